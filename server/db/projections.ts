import type { Knex } from 'knex'
import type { AirReading } from '../../core/climate'
import type { Plan } from '../../core/plan'
import { brokenProjection, brokenWords, project, PROJECTION, type BenchEvent, type Projection } from '../../core/bench'
import { isResin } from '../../core/shelf'
import { nth } from '../../core/sure'
import { fittings, materials, materialWith } from '../../reference'
import { airSince } from './air-log'
import { readFitting } from './fittings'
import { writeFacts } from './facts'
import { writeTold } from './told'
import { logsOf } from './log'
import { closeOrders } from './order-state'
import { plansAtHand } from './plan-cache'
import { withinWorkshop, type Within } from './within'

interface PenRow {
  id: string
  mark: string
  name: string
  reason: string | null
  due: string | null
  fitting: string
  material: string
  method: string
  maker: string | null
  created_at: Date
}

/** A pen with what was worked out of it. */
interface Found {
  pen: PenRow
  found: Projection
}

/**
 * Works out anew what is kept ready of some pens, in the transaction that changed them, with as many statements for many as for one. A
 * pen is locked first, so that of two who change it the later one sees what the earlier did. A pen that cannot be worked out has a row
 * that says so, and is told in the log.
 */
export async function projectPens(trx: Knex, ids: readonly string[]): Promise<void> {
  if (!ids.length) return
  const pens: PenRow[] = await trx('pens')
    .whereIn('id', ids)
    .orderBy('id')
    .forUpdate()
    .select(
      'id', 'mark', 'name', 'reason', trx.raw('to_char(due, \'YYYY-MM-DD\') as due'), 'fitting', 'material', 'method',
      'maker', 'created_at',
    )
  const [plans, logs] = [await plansAtHand(trx, ids), await logsOf(trx, ids)]
  const air = await airOf(trx, [...logs.values()].flat())
  const all: Found[] = []
  for (const pen of pens) {
    const log = logs.get(pen.id) ?? []
    all.push({ pen, found: workedOut(pen.id, plans.get(pen.id), log, air) ?? (await broken(trx, pen, plans.has(pen.id), log)) })
  }
  await writeRows(trx, all)
  await closeOrders(trx, all.map(({ pen }) => pen.id))
  const told = await writeTold(trx, all.map(({ pen, found }) => ({ pen, told: found.told })))
  await writeFacts(trx, new Map(all.map(({ pen, found }) => [pen.id, found.facts])), told)
}

/** The row of a pen that cannot be worked out, from what its own row says it is made of. */
async function broken(trx: Knex, pen: PenRow, isPlanned: boolean, events: readonly BenchEvent[]): Promise<Projection> {
  const { name, colour, ...material } = materials.find(row => row.id === pen.material) ?? materialWith('unknown')
  const fitting = (await readFitting(trx, pen.fitting))?.fitting ?? nth(fittings, 0)
  return brokenProjection({
    fitting,
    material: { name, colour, resin: isResin({ name, colour, ...material }) },
    lastEntryAt: events.findLast(event => event.kind !== 'undo')?.at ?? null,
    why: isPlanned ? brokenWords.log : brokenWords.plan,
  })
}

function workedOut(id: string, plan: Plan | undefined, events: readonly BenchEvent[], air: readonly AirReading[]): Projection | undefined {
  // A plan that cannot be read was told when it was not.
  if (!plan) return undefined
  try {
    return project(plan, events, airFrom(air, firstOf(events)))
  } catch (error) {
    console.error(`What is kept ready of pen ${id} cannot be worked out: ${(error as Error).message}`)
    return undefined
  }
}

/** When the first of some entries was, as its device told it, ISO 8601. */
const firstOf = (events: readonly BenchEvent[]): string | undefined =>
  events.reduce<string | undefined>((least, { at }) => (least === undefined || at < least ? at : least), undefined)

/** The air since the first of these entries; none where there is no entry. */
async function airOf(trx: Knex, events: readonly BenchEvent[]): Promise<AirReading[]> {
  const first = firstOf(events)
  return first === undefined ? [] : airSince(trx, first)
}

/** Of the air of several pens what one of them saw: from the last reading before its first entry on. */
function airFrom(air: readonly AirReading[], first: string | undefined): readonly AirReading[] {
  if (first === undefined) return []
  return air.slice(Math.max(0, air.findLastIndex(({ at }) => at <= first)))
}

async function writeRows(trx: Knex, all: readonly Found[]): Promise<void> {
  const rows = all.map(({ pen, found }) => {
    const { waits, text: _, ...shown } = found.summary
    return {
      pen_id: pen.id,
      projection: PROJECTION,
      stage: found.summary.stage,
      recent: found.summary.lastEntryAt ?? pen.created_at,
      letter: pen.mark.charAt(0),
      number: Number(pen.mark.slice(1)),
      due: pen.due,
      fitting: pen.fitting,
      material: pen.material,
      method: pen.method,
      method_version: found.summary.broken === undefined ? found.summary.methodVersion : null,
      open_defects: found.summary.openDefects,
      gone: found.summary.gone !== undefined,
      waits_until: waits.reduce<string | null>((last, { until }) => (last === null || until > last ? until : last), null),
      body: JSON.stringify({ ...shown, waits }),
    }
  })
  await trx('pen_rows').insert(rows).onConflict(['workshop_id', 'pen_id']).merge()
  const texts = all.map(({ pen: { id, mark, name, reason }, found }) =>
    [id, [mark, name, reason ?? '', found.summary.text].join(' ').toLowerCase()])
  await trx.raw(
    `insert into pen_search (pen_id, search, words)
     select id::uuid, search, to_tsvector('simple', search) from unnest(?::text[], ?::text[]) as texts (id, search)
     on conflict (workshop_id, pen_id)
     do update set search = excluded.search, words = excluded.words where pen_search.search <> excluded.search`,
    [texts.map(([id]) => id), texts.map(([, search]) => search)] as never,
  )
}

/** A new reading of the air moves the waits that run: their pens are worked out anew. */
export async function projectWaiting(trx: Knex, at: string): Promise<void> {
  await projectPens(trx, await trx('pen_rows').where('waits_until', '>', at).orderBy('pen_id').pluck('pen_id'))
}

/** Works out anew some of the pens whose rows an earlier Oxlip made, or that have none; answers how many there were. */
async function projectSome(within: Within, most = 20): Promise<number> {
  const ids: string[] = await within(trx => trx('pens')
    .leftJoin('pen_rows', 'pen_rows.pen_id', 'pens.id')
    .where(query => query.whereNull('projection').orWhere('projection', '<', PROJECTION))
    .orderBy('pens.id')
    .limit(most)
    .pluck('pens.id'))
  for (const id of ids) await within(trx => projectPens(trx, [id]))
  return ids.length
}

/**
 * Works out all pens of a workshop whose rows are of an earlier Oxlip, in small batches with a pause between them, so that lists go on
 * meanwhile. Answers how many there were.
 */
export async function projectAll(within: Within, pause = 0, goesOn: () => boolean = () => true): Promise<number> {
  let count = 0
  for (;;) {
    const made = goesOn() ? await projectSome(within) : 0
    if (!made) return count
    count += made
    if (pause) await new Promise(resolve => setTimeout(resolve, pause))
  }
}

/** The same in every workshop, one after another. */
export async function projectEverywhere(owner: Knex, walled: Knex, pause = 0, goesOn: () => boolean = () => true): Promise<number> {
  let count = 0
  const workshops: string[] = await owner('workshops').orderBy('created_at').pluck('id')
  for (const workshop of workshops) count += await projectAll(withinWorkshop(walled, workshop), pause, goesOn)
  return count
}
