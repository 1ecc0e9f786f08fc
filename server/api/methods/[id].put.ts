import { methodChangeSchema, type MethodInput } from '../../../schemas'
import { db } from '../../db/connection'
import { changeMethod } from '../../db/methods'
import { readChecked } from '../../http/body'
import { nameParam } from '../../http/params'
import { route } from '../../http/route'

export default route('PUT /api/methods/:id', async (event) => {
  const { version, ...method } = await readChecked(event, methodChangeSchema)
  return changeMethod(db(), nameParam(event), version, method as unknown as MethodInput)
})
