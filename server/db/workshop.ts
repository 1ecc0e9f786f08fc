import type { Knex } from 'knex'
import type { Workshop } from '../../schemas'
import { ConflictError } from '../http/errors'

export async function readWorkshop(knex: Knex): Promise<Workshop> {
  return await knex('workshop').first('version', 'celsius', 'humidity', 'units')
}

/** Keeps the workshop's air and units. @throws ConflictError with the newer row when it was changed meanwhile */
export async function writeWorkshop(knex: Knex, { version, ...fields }: Workshop): Promise<Workshop> {
  const changed = await knex('workshop').where({ id: 1, version }).update({ ...fields, version: version + 1 })
  const now = await readWorkshop(knex)
  if (!changed) throw new ConflictError('The workshop was changed on another device. What it says now is shown; enter yours again if it still holds.', now)
  return now
}
