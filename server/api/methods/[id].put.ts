import { methodChangeSchema, type MethodInput } from '../../../schemas'
import { changeMethod } from '../../db/methods'
import { readChecked } from '../../http/body'
import { nameParam } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('PUT /api/methods/:id', async (event) => {
  const { version, ...method } = await readChecked(event, methodChangeSchema)
  return inWorkshop(event, knex => changeMethod(knex, nameParam(event), version, method as unknown as MethodInput))
})
