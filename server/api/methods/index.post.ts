import { methodCopySchema } from '../../../schemas'
import { copyMethod } from '../../db/methods'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('POST /api/methods', async (event) => {
  const { of, name } = await readChecked(event, methodCopySchema)
  return inWorkshop(event, knex => copyMethod(knex, of, name))
}, { created: true })
