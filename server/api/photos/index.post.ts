import { db } from '../../db/connection'
import { keepPhoto } from '../../db/photos'
import { readPicture } from '../../http/body'
import { route } from '../../http/route'

export default route('POST /api/photos', async event => keepPhoto(db(), await readPicture(event)), { created: true })
