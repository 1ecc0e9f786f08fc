import type { Knex } from 'knex'
import type { AirReading } from '../../core/climate'
import { oneAtATime } from './append-lock'
import { projectWaiting } from './projections'

/** Keeps a reading of the air; waits that run follow it. */
export async function noteAir(trx: Knex, { at, celsius, humidity }: AirReading): Promise<void> {
  await oneAtATime(trx)
  await trx('air_readings').insert({ at, celsius, humidity }).onConflict(['workshop_id', 'at']).merge()
  await projectWaiting(trx, at)
}

/** What an instrument reads: kept, and from now on the air of the workshop. What the turner set besides stays, and its version with it. */
export async function readInstrument(knex: Knex, { at, celsius, humidity }: AirReading): Promise<void> {
  await knex.transaction(async (trx) => {
    await trx('workshop').update({ celsius, humidity })
    await noteAir(trx, { at, celsius, humidity })
  })
}
