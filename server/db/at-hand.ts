import type { Knex } from 'knex'
import type { Plan } from '../../core/plan'
import type { StoredEvent } from '../../contract'
import { LOG, logFrom, type LogRow } from './log'
import { named } from './named'
import { plansAtHand } from './plan-cache'
import { STAMP, STAMPED } from './plans'

/** What a pen is worked out from, and what else follows from it. */
export interface AtHand {
  /** The plan its log is played on; undefined where it has none that can be read. */
  plan: Plan | undefined
  /** What was entered, in the order it came in. */
  log: StoredEvent[]
  /** Whether it is kept as with somebody else; undefined where nothing is kept of it yet. */
  gone: boolean | undefined
  /** Whether it is kept what it tells as one that is over. */
  told: boolean
}

interface Row {
  pen: string
  stamp: string | null
  log: LogRow[] | null
  gone: boolean | null
  told: boolean
}

const readRows = named<Row>('at hand', `
  select pens.id as pen, ${STAMP} as stamp, (${LOG}) as log,
    (select gone from pen_rows where pen_rows.pen_id = pens.id) as gone,
    exists (select from pen_told where pen_told.pen_id = pens.id) as told
  from pens ${STAMPED}
  where pens.id = any(?::uuid[])`)

/** What there is of some pens, by pen, with one statement for however many. */
export async function atHand(trx: Knex, ids: readonly string[]): Promise<Map<string, AtHand>> {
  const rows = await readRows(trx, [...ids])
  const plans = await plansAtHand(trx, new Map(rows.flatMap(({ pen, stamp }) => (stamp === null ? [] : [[pen, stamp]]))))
  return new Map(rows.map(({ pen, log, gone, told }) =>
    [pen, { plan: plans.get(pen), log: logFrom(log), gone: gone ?? undefined, told }]))
}
