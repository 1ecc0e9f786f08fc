import type { Knex } from 'knex'
import type { AirReading } from '../../core/climate'
import { named } from './named'

/** Waits run for days, not for months: older readings change none that is still running. */
const KEPT_DAYS = 30

/** The air as it was read in the last weeks, in the order of time, each stretch of the same air once. */
export const readAir = (knex: Knex): Promise<AirReading[]> =>
  stretches(knex('air_readings').where('at', '>', knex.raw('now() - make_interval(days => ?)', [KEPT_DAYS])))

interface Reading {
  at: number
  celsius: number
  humidity: number
}

const readSpans = named<Reading>('air of spans', `
  select (extract(epoch from at) * 1000)::float8 as at, celsius, humidity
  from jsonb_to_recordset(?::jsonb) as span (number integer, since timestamptz, until timestamptz)
  cross join lateral (select coalesce(max(at), since) as since from air_readings where at <= span.since) as begun
  join air_readings on at >= begun.since and at <= span.until
  order by number, at`)

const DAY = 86_400_000

/**
 * The air over the time of a log: as it was at its first entry, and as it was read until its last. The years that a pen lay between, as one
 * does that comes back for repair, are left out.
 */
export const airOfLog = (knex: Knex, events: readonly { at: string }[]): Promise<AirReading[]> => airOver(knex, events, 0)

/** The same with what was read while waits ran that its entries began. */
export const airAround = (knex: Knex, events: readonly { at: string }[]): Promise<AirReading[]> => airOver(knex, events, KEPT_DAYS)

async function airOver(knex: Knex, events: readonly { at: string }[], days: number): Promise<AirReading[]> {
  if (!events.length) return []
  const spans: { from: number, to: number }[] = []
  for (const at of events.map(event => Date.parse(event.at)).sort((a, b) => a - b)) {
    const last = spans.at(-1)
    if (last && at - last.to <= KEPT_DAYS * DAY) last.to = at
    else spans.push({ from: at, to: at })
  }
  const moment = (ms: number) => new Date(ms).toISOString()
  const asked = spans.map(({ from, to }, number) => ({ number, since: moment(from), until: moment(to + days * DAY) }))
  const rows = await readSpans(knex, JSON.stringify(asked))
  return changing(rows).map(({ at, celsius, humidity }) => ({ at: moment(at), celsius, humidity }))
}

async function stretches(readings: Knex.QueryBuilder): Promise<AirReading[]> {
  const rows: { at: Date, celsius: number, humidity: number }[] = await readings.orderBy('at').select('at', 'celsius', 'humidity')
  return changing(rows).map(({ at, celsius, humidity }) => ({ at: at.toISOString(), celsius, humidity }))
}

/** Of readings those that are another than the one before. */
const changing = <T extends { celsius: number, humidity: number }>(rows: readonly T[]): T[] =>
  rows.filter((row, index) => row.celsius !== rows[index - 1]?.celsius || row.humidity !== rows[index - 1]?.humidity)
