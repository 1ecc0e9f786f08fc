import { shelfFittingSchema } from '../../../schemas'
import { db } from '../../db/connection'
import { createFitting } from '../../db/fittings'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

export default route('POST /api/fittings', async event => createFitting(db(), await readChecked(event, shelfFittingSchema)), {
  created: true,
})
