import { db } from '../../db/connection'
import { keepPhoto } from '../../db/photos'
import { readPicture } from '../../http/body'
import { idParam } from '../../http/params'
import { route } from '../../http/route'

/** A picture under an id that was made where it was taken; sending it twice keeps it once. */
export default route('PUT /api/photos/:id', async event => keepPhoto(db(), await readPicture(event), idParam(event)))
