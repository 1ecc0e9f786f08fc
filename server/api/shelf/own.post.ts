import { setResponseStatus } from 'h3'
import { ownAbrasiveSchema } from '../../../schemas'
import { db } from '../../db/connection'
import { createOwnAbrasive } from '../../db/shelf'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

export default route(async (event) => {
  const shelf = await createOwnAbrasive(db(), await readChecked(event, ownAbrasiveSchema))
  setResponseStatus(event, 201)
  return shelf
})
