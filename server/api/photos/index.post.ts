import { setResponseStatus } from 'h3'
import { db } from '../../db/connection'
import { keepPhoto } from '../../db/photos'
import { readPicture } from '../../http/body'
import { route } from '../../http/route'

export default route(async (event) => {
  const photo = await keepPhoto(db(), await readPicture(event))
  setResponseStatus(event, 201)
  return photo
})
