import { shelfChangeSchema } from '../../../schemas'
import { db } from '../../db/connection'
import { changeShelf } from '../../db/shelf'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

export default route('PUT /api/shelf', async event => changeShelf(db(), await readChecked(event, shelfChangeSchema)))
