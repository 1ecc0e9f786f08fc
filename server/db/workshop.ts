import type { Knex } from 'knex'
import type { Workshop } from '../../schemas'
import { ConflictError } from '../http/errors'
import { noteAir } from './air'

interface Row {
  version: number
  celsius: number
  humidity: number
  units: Workshop['units']
  per_end: number | null
  kerf: number | null
  wander: number | null
  least_wall: number | null
}

export async function readWorkshop(knex: Knex): Promise<Workshop> {
  const { per_end: perEnd, least_wall: leastWall, ...rest }: Row = await knex('workshop').first('version', 'celsius', 'humidity', 'units', 'per_end', 'kerf', 'wander', 'least_wall')
  return { ...rest, perEnd, leastWall }
}

/** Keeps the workshop's air, units and ways of cutting; ways that are not said stay. @throws ConflictError with the newer row when it was changed meanwhile */
export async function writeWorkshop(knex: Knex, { version, perEnd, leastWall, ...fields }: Workshop): Promise<Workshop> {
  const said = Object.fromEntries(Object.entries({ ...fields, per_end: perEnd, least_wall: leastWall }).filter(([, value]) => value !== undefined))
  const changed = await knex('workshop').where({ id: 1, version }).update({ ...said, version: version + 1 })
  const now = await readWorkshop(knex)
  if (changed) await noteAir(knex, { at: new Date().toISOString(), celsius: now.celsius, humidity: now.humidity })
  if (!changed) throw new ConflictError('The workshop was changed on another device. What it says now is shown; enter yours again if it still holds.', now)
  return now
}
