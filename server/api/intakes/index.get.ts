import { intakeKnown, listIntakes } from '../../db/intake'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Sheets that were taken in, and what cells of one can name. */
export default route('GET /api/intakes', event => inWorkshop(event, async knex =>
  ({ intakes: await listIntakes(knex), known: await intakeKnown(knex) })))
