import type { Knex } from 'knex'
import type { AirReading } from '../../core/climate'
import type { Plan } from '../../core/plan'
import { brokenProjection, brokenWords, project, PROJECTION, type BenchEvent, type Projection } from '../../core/bench'
import { isResin } from '../../core/shelf'
import { nth } from '../../core/sure'
import { fittings, materials, materialWith } from '../../reference'
import { airAround } from './air-log'
import { atHand } from './at-hand'
import { FACTS, placed, type About } from './facts'
import { readFitting } from './fittings'
import { lockPens, type LockedPen } from './locked-pens'
import { named } from './named'
import { closeOrders } from './order-state'
import { writeTold } from './told'
import { withinWorkshop, type Within } from './within'

/** A pen with what was worked out of it. */
interface Found {
  pen: LockedPen
  found: Projection
}

/**
 * Works out anew what is kept ready of some pens, in the transaction that changed them, with as many statements for many as for one. A
 * pen is locked first, so that of two who change it the later one sees what the earlier did. A pen that cannot be worked out has a row
 * that says so, and is told in the log.
 */
export async function projectPens(trx: Knex, ids: readonly string[]): Promise<void> {
  if (ids.length) await projectLocked(trx, await lockPens(trx, ids))
}

/** The same of pens that are locked already. */
export async function projectLocked(trx: Knex, pens: readonly LockedPen[]): Promise<void> {
  if (!pens.length) return
  const known = await atHand(trx, pens.map(pen => pen.id))
  const air = await airAround(trx, [...known.values()].flatMap(({ log }) => log))
  const all: Found[] = []
  for (const pen of pens) {
    const { plan, log } = known.get(pen.id) ?? { plan: undefined, log: [] }
    all.push({ pen, found: workedOut(pen.id, plan, log, air) ?? (await broken(trx, pen, Boolean(plan), log)) })
  }
  const over = all.filter(({ pen, found }) => found.told ?? known.get(pen.id)?.told)
  const also = over.length ? await writeTold(trx, over.map(({ pen, found }) => ({ pen, told: found.told }))) : []
  await keep(trx, all, also)
  await closeOrders(trx, all.flatMap(({ pen, found }) => (known.get(pen.id)?.gone === isGone(found) ? [] : [pen.id])))
}

/** The row of a pen that cannot be worked out, from what its own row says it is made of. */
async function broken(trx: Knex, pen: LockedPen, isPlanned: boolean, events: readonly BenchEvent[]): Promise<Projection> {
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

/** Of the air of several pens what one of them saw: from the last reading before its first entry on. */
function airFrom(air: readonly AirReading[], first: string | undefined): readonly AirReading[] {
  if (first === undefined) return []
  return air.slice(Math.max(0, air.findLastIndex(({ at }) => at <= first)))
}

const ROW = `
  pen_id uuid, projection integer, stage text, recent timestamptz, letter text, number integer, due date, fitting text, material text,
  method text, method_version integer, open_defects integer, gone boolean, waits_until timestamptz, body jsonb`
const COLUMNS = [...ROW.matchAll(/(\w+) \w+/g)].map(([, column]) => column ?? '')

const keepAll = named('keep what was worked out', `
  with asked as materialized (
    select ?::uuid[] as pens, ?::jsonb as rows, ?::jsonb as texts, ?::jsonb as facts, ?::jsonb as also),
  rows_written as (
    insert into pen_rows (${COLUMNS.join()})
    select ${COLUMNS.join()} from jsonb_to_recordset((select rows from asked)) as one (${ROW})
    on conflict (workshop_id, pen_id) do update set ${COLUMNS.map(column => `${column} = excluded.${column}`).join()}),
  texts_written as (
    insert into pen_search (pen_id, search, words)
    select pen_id, search, to_tsvector('simple', search)
    from jsonb_to_recordset((select texts from asked)) as one (pen_id uuid, search text)
    on conflict (workshop_id, pen_id)
    do update set search = excluded.search, words = excluded.words where pen_search.search <> excluded.search),
  ${FACTS}
  select 1`)

/** Keeps rows, texts and facts of some pens, and tells what was learnt from those to be old, and what else was touched. */
async function keep(trx: Knex, all: readonly Found[], also: readonly About[]): Promise<void> {
  const facts = all.flatMap(({ pen, found }) => placed(pen.id, found.facts))
  const jsons = [all.map(rowOf), all.map(textOf), facts, also].map(one => JSON.stringify(one))
  await keepAll(trx, all.map(({ pen }) => pen.id), ...jsons)
}

const isGone = ({ summary }: Projection): boolean => summary.gone !== undefined

function rowOf({ pen, found }: Found): object {
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
    gone: isGone(found),
    waits_until: waits.reduce<string | null>((last, { until }) => (last === null || until > last ? until : last), null),
    body: { ...shown, waits },
  }
}

const textOf = ({ pen: { id, mark, name, reason }, found }: Found): object =>
  ({ pen_id: id, search: [mark, name, reason ?? '', found.summary.text].join(' ').toLowerCase() })

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
