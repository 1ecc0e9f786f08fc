import type { Knex } from 'knex'
import { GoneError } from '../faults'

/** Runs something in a transaction of one workshop. */
export type Within = <T>(work: (trx: Knex) => Promise<T>) => Promise<T>

/**
 * Enters a workshop for the rest of a transaction: from here on it sees and writes what is there, and nothing else.
 * @throws GoneError when there is no such workshop
 */
export async function enter(trx: Knex, workshop: string): Promise<void> {
  const found: { rows: { id: string | null }[] } = await trx.raw('select enter_workshop(?) as id', [workshop])
  if (!found.rows[0]?.id) throw new GoneError('This workshop is not here any more. It was deleted, or the demo was begun anew.')
}

/** Transactions in a workshop, from a pool behind the wall; what is entered in them is noted as of this person. */
export const withinWorkshop = (knex: Knex, workshop: string, person: string | null = null): Within => work =>
  knex.transaction(async (trx) => {
    await enter(trx, workshop)
    if (person) await trx.raw('select set_config(\'oxlip.person\', ?, true)', [person])
    return work(trx)
  })
