import type { Knex } from 'knex'
import { GoneError } from '../faults'
import { named } from './named'

/** Runs something in a transaction of one workshop. */
export type Within = <T>(work: (trx: Knex) => Promise<T>) => Promise<T>

const entering = named<{ id: string | null }>('enter', `
  select enter_workshop(?) as id, set_config('oxlip.person', coalesce(?, current_setting('oxlip.person', true), ''), true)`)

/**
 * Enters a workshop for the rest of a transaction: from here on it sees and writes what is there, and nothing else. What is entered is
 * noted as of this person, where one is named.
 * @throws GoneError when there is no such workshop
 */
export async function enter(trx: Knex, workshop: string, person: string | null = null): Promise<void> {
  const [found] = await entering(trx, workshop, person)
  if (!found?.id) throw new GoneError('This workshop is not here any more. It was deleted, or the demo was begun anew.')
}

/** Transactions in a workshop, from a pool behind the wall; what is entered in them is noted as of this person. */
export const withinWorkshop = (knex: Knex, workshop: string, person: string | null = null): Within => work =>
  knex.transaction(async (trx) => {
    await enter(trx, workshop, person)
    return work(trx)
  })
