import { setResponseStatus } from 'h3'
import { methodCopySchema } from '../../../schemas'
import { db } from '../../db/connection'
import { copyMethod } from '../../db/methods'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

export default route(async (event) => {
  const { of, name } = await readChecked(event, methodCopySchema)
  const method = await copyMethod(db(), of, name)
  setResponseStatus(event, 201)
  return method
})
