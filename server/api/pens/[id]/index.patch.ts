import { penChangeSchema, type PenChange } from '../../../../schemas'
import { db } from '../../../db/connection'
import { changePen } from '../../../db/pens'
import { readChecked } from '../../../http/body'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'

export default route('PATCH /api/pens/:id', async event =>
  changePen(db(), idParam(event), (await readChecked(event, penChangeSchema)) as PenChange),
)
