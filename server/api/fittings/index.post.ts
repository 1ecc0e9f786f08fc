import { setResponseStatus } from 'h3'
import { shelfFittingSchema } from '../../../schemas'
import { db } from '../../db/connection'
import { createFitting } from '../../db/fittings'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

export default route(async (event) => {
  const fitting = await createFitting(db(), await readChecked(event, shelfFittingSchema))
  setResponseStatus(event, 201)
  return fitting
})
