import { workshopSchema, type WorkshopChange } from '../../schemas'
import { db } from '../db/connection'
import { writeWorkshop } from '../db/workshop'
import { readChecked } from '../http/body'
import { route } from '../http/route'

export default route('PUT /api/workshop', async event => writeWorkshop(db(), (await readChecked(event, workshopSchema)) as WorkshopChange))
