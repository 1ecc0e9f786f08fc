import { bottleSchema, type BottleChange } from '../../../schemas'
import { db } from '../../db/connection'
import { changeBottle } from '../../db/shelf'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

export default route('PUT /api/shelf/bottle', async event => changeBottle(db(), (await readChecked(event, bottleSchema)) as BottleChange))
