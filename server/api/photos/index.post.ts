import { develop, keepPhoto } from '../../db/photos'
import { readPicture } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('POST /api/photos', async (event) => {
  const photo = await develop(await readPicture(event))
  return inWorkshop(event, knex => keepPhoto(knex, photo))
}, { created: true })
