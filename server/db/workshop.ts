import type { Knex } from 'knex'
import { soundCautions, type Workshop, type WorkshopChange } from '../../schemas'
import { ConflictError } from '../faults'
import { noteAir } from './air'

interface Row {
  version: number
  celsius: number
  humidity: number
  units: Workshop['units']
  currency: string | null
  per_end: number | null
  kerf: number | null
  wander: number | null
  least_wall: number | null
  cautions: unknown
  helper: string | null
}

/** The workshop as it is now. */
export async function readWorkshop(knex: Knex): Promise<Workshop> {
  const {
    per_end: perEnd,
    least_wall: leastWall,
    cautions,
    ...rest
  }: Row = await knex('workshop')
    .first('version', 'celsius', 'humidity', 'units', 'currency', 'per_end', 'kerf', 'wander', 'least_wall', 'cautions', 'helper')
  return { ...rest, perEnd, leastWall, cautions: soundCautions(cautions) }
}

/**
 * Keeps the units and ways of cutting, and the air where the turner says that it is another; what is not said stays.
 * @throws ConflictError with the newer row when it was changed meanwhile
 */
export async function writeWorkshop(knex: Knex, { version, air, perEnd, leastWall, ...fields }: WorkshopChange): Promise<Workshop> {
  return knex.transaction(async (trx) => {
    const all = { ...fields, ...air, per_end: perEnd, least_wall: leastWall }
    const said = Object.fromEntries(Object.entries(all).filter(([, value]) => value !== undefined))
    const changed = await trx('workshop').where({ version }).update({ ...said, version: version + 1 })
    if (!changed) {
      const says = 'The workshop was changed on another device. What it says now is shown; enter yours again if it still holds.'
      throw new ConflictError(says, await readWorkshop(trx))
    }
    if (air) await noteAir(trx, { at: new Date().toISOString(), ...air })
    return readWorkshop(trx)
  })
}
