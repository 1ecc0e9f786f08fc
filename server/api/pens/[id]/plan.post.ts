import { replanSchema } from '../../../../schemas'
import { db } from '../../../db/connection'
import { replanPen } from '../../../db/pens'
import { readChecked } from '../../../http/body'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'

export default route('POST /api/pens/:id/plan', async event =>
  replanPen(db(), idParam(event), (await readChecked(event, replanSchema)).version),
)
