import type { Knex } from 'knex'
import type { AirReading } from '../../core/climate'

/** Waits run for days, not for months: older readings change none that is still running. */
const KEPT_DAYS = 30

/** The air as it was read in the last weeks, in the order of time, each stretch of the same air once. */
export const readAir = (knex: Knex): Promise<AirReading[]> =>
  stretches(knex('air_readings').where('at', '>', knex.raw('now() - make_interval(days => ?)', [KEPT_DAYS])))

/** The air from a moment (ISO 8601) on: what it was then, and as it was read since. */
export const airSince = (knex: Knex, at: string): Promise<AirReading[]> =>
  stretches(knex('air_readings').whereRaw('at >= coalesce((select max(at) from air_readings where at <= ?), ?)', [at, at]))

/**
 * The air over the time of a log: as it was at its first entry, and as it was read until its last. The years that a pen lay between, as one
 * does that comes back for repair, are left out.
 */
export async function airOfLog(knex: Knex, events: readonly { at: string }[]): Promise<AirReading[]> {
  const spans: { from: string, to: string }[] = []
  for (const at of events.map(event => event.at).sort()) {
    const last = spans.at(-1)
    if (last && Date.parse(at) - Date.parse(last.to) <= KEPT_DAYS * 86_400_000) last.to = at
    else spans.push({ from: at, to: at })
  }
  const parts: AirReading[] = []
  for (const { from, to } of spans) {
    const since = knex.raw('coalesce((select max(at) from air_readings where at <= ?), ?)', [from, from])
    parts.push(...await stretches(knex('air_readings').where('at', '>=', since).where('at', '<=', to)))
  }
  return parts
}

async function stretches(readings: Knex.QueryBuilder): Promise<AirReading[]> {
  const rows: { at: Date, celsius: number, humidity: number }[] = await readings.orderBy('at').select('at', 'celsius', 'humidity')
  return rows
    .filter((row, index) => row.celsius !== rows[index - 1]?.celsius || row.humidity !== rows[index - 1]?.humidity)
    .map(({ at, celsius, humidity }) => ({ at: at.toISOString(), celsius, humidity }))
}
