import { penQuerySchema } from '../../../schemas'
import { db } from '../../db/connection'
import { pagePens } from '../../db/rows'
import { readWorkshop } from '../../db/workshop'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'

/** A page of the pens that are asked for. */
export default route('GET /api/pens', async (event) => {
  const asked = await queryOf(event, penQuerySchema, ['limit'])
  const { units } = await readWorkshop(db())
  return pagePens(db(), units, asked)
})
