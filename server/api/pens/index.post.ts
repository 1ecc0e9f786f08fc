import { setResponseStatus } from 'h3'
import { newPenSchema } from '../../../schemas'
import { db } from '../../db/connection'
import { createPen } from '../../db/pens'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

export default route(async (event) => {
  const pen = await createPen(db(), await readChecked(event, newPenSchema))
  setResponseStatus(event, 201)
  return pen
})
