import { blankSchema } from '../../../schemas'
import { createBlank } from '../../db/blanks'
import { db } from '../../db/connection'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

export default route('POST /api/blanks', async event => createBlank(db(), await readChecked(event, blankSchema)), { created: true })
