import { readingSchema } from '../../../../../schemas'
import { addReading } from '../../../../db/blanks'
import { db } from '../../../../db/connection'
import { readChecked } from '../../../../http/body'
import { idParam } from '../../../../http/params'
import { route } from '../../../../http/route'

export default route('POST /api/blanks/:id/readings', async event =>
  addReading(db(), idParam(event), await readChecked(event, readingSchema)),
)
