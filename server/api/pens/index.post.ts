import { newPenSchema } from '../../../schemas'
import { db } from '../../db/connection'
import { createPen } from '../../db/pens'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

export default route('POST /api/pens', async event => createPen(db(), await readChecked(event, newPenSchema)), { created: true })
