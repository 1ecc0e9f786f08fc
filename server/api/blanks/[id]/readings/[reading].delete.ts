import { dropReading } from '../../../../db/blanks'
import { db } from '../../../../db/connection'
import { idParam } from '../../../../http/params'
import { route } from '../../../../http/route'

export default route('DELETE /api/blanks/:id/readings/:reading', async event =>
  dropReading(db(), idParam(event), idParam(event, 'reading')),
)
