import { methodCopySchema } from '../../../schemas'
import { db } from '../../db/connection'
import { copyMethod } from '../../db/methods'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

export default route('POST /api/methods', async (event) => {
  const { of, name } = await readChecked(event, methodCopySchema)
  return copyMethod(db(), of, name)
}, { created: true })
