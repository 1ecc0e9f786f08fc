import { shelfFittingSchema } from '../../../schemas'
import { db } from '../../db/connection'
import { changeFitting } from '../../db/fittings'
import { readChecked } from '../../http/body'
import { nameParam } from '../../http/params'
import { route } from '../../http/route'

export default route('PUT /api/fittings/:id', async event =>
  changeFitting(db(), nameParam(event), await readChecked(event, shelfFittingSchema)),
)
