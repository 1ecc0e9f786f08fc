import { develop, keepPhoto } from '../../db/photos'
import { readPicture } from '../../http/body'
import { idParam } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** A picture under an id that was made where it was taken; sending it twice keeps it once. */
export default route('PUT /api/photos/:id', async (event) => {
  const photo = await develop(await readPicture(event), idParam(event))
  return inWorkshop(event, knex => keepPhoto(knex, photo))
})
