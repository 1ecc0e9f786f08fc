import { blankSchema } from '../../../../schemas'
import { changeBlank } from '../../../db/blanks'
import { db } from '../../../db/connection'
import { readChecked } from '../../../http/body'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'

export default route('PUT /api/blanks/:id', async event => changeBlank(db(), idParam(event), await readChecked(event, blankSchema)))
