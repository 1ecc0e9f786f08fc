import { ownAbrasiveSchema } from '../../../schemas'
import { db } from '../../db/connection'
import { createOwnAbrasive } from '../../db/shelf'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

export default route('POST /api/shelf/own', async event => createOwnAbrasive(db(), await readChecked(event, ownAbrasiveSchema)), {
  created: true,
})
