import type { Knex } from 'knex'

/** Any number, the same for every Oxlip: appending is one at a time, so that `seq` grows in the order in which rows become visible. */
const APPEND_LOCK = 7_265_302

/** The lock of the workshop’s log, held up to the end of the transaction. */
export const APPEND = `pg_advisory_xact_lock(${APPEND_LOCK}, hashtext(current_workshop()::text))`

/** Waits until nobody else appends in this workshop, up to the end of the transaction. */
export async function oneAtATime(trx: Knex): Promise<void> {
  await trx.raw(`select ${APPEND}`)
}
