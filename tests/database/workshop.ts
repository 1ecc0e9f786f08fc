import type { Knex } from 'knex'
import type { Workshop, WorkshopChange } from '../../schemas'
import { readWorkshop, writeWorkshop } from '../../server/db/workshop'

/** Changes the workshop as a form would that was opened just now. */
export async function changeWorkshop(knex: Knex, change: Partial<WorkshopChange>): Promise<Workshop> {
  const { version, units } = await readWorkshop(knex)
  return writeWorkshop(knex, { version, units, ...change })
}
