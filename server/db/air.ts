import type { Knex } from 'knex'
import type { AirReading } from '../../core/climate'

/** Waits run for days, not for months: older readings change none that is still running. */
const KEPT_DAYS = 30

/** The air as it was read in the last weeks, in the order of time, each stretch of the same air once. */
export async function readAir(knex: Knex): Promise<AirReading[]> {
  const rows: { at: Date, celsius: number, humidity: number }[] = await knex('air_readings')
    .where('at', '>', knex.raw('now() - make_interval(days => ?)', [KEPT_DAYS]))
    .orderBy('at')
    .select('at', 'celsius', 'humidity')
  return rows
    .filter((row, index) => row.celsius !== rows[index - 1]?.celsius || row.humidity !== rows[index - 1]?.humidity)
    .map(({ at, celsius, humidity }) => ({ at: at.toISOString(), celsius, humidity }))
}

/** Keeps a reading of the air. */
export async function noteAir(knex: Knex, { at, celsius, humidity }: AirReading): Promise<void> {
  await knex('air_readings').insert({ at, celsius, humidity }).onConflict('at').merge()
}

/** What an instrument reads: kept, and from now on the air of the workshop. What the turner set besides stays, and its version with it. */
export async function readInstrument(knex: Knex, { at, celsius, humidity }: AirReading): Promise<void> {
  await knex.transaction(async (trx) => {
    await trx('workshop').where({ id: 1 }).update({ celsius, humidity })
    await noteAir(trx, { at, celsius, humidity })
  })
}
