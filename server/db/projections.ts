import type { Knex } from 'knex'
import type { AirReading } from '../../core/climate'
import { project, PROJECTION, type BenchEvent, type Projection } from '../../core/bench'
import { StoredError } from '../faults'
import { airSince } from './air-log'
import { writeFacts } from './facts'
import { eventsOf } from './log'
import { readBase } from './plans'
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
  created_at: Date
}

/**
 * Works out anew what is kept ready of some pens, in the transaction that changed them. A pen is locked first, so that of two who
 * change it the later one sees what the earlier did. A pen that cannot be worked out has a row that says so, and is told in the log.
 */
export async function projectPens(trx: Knex, ids: readonly string[]): Promise<void> {
  if (!ids.length) return
  const pens: PenRow[] = await trx('pens')
    .whereIn('id', ids)
    .orderBy('id')
    .forUpdate()
    .select('id', 'mark', 'name', 'reason', trx.raw('to_char(due, \'YYYY-MM-DD\') as due'), 'fitting', 'material', 'method', 'created_at')
  for (const pen of pens) {
    const found = await workedOut(trx, pen.id)
    await writeRow(trx, pen, found)
    await writeFacts(trx, pen.id, found?.facts ?? [])
  }
}

async function workedOut(trx: Knex, id: string): Promise<Projection | undefined> {
  try {
    const [{ plan }, events] = [await readBase(trx, id), await eventsOf(trx, id)]
    return project(plan, events, await airOf(trx, events))
  } catch (error) {
    // A fault of the database is not one of the pen.
    if (!(error instanceof StoredError) && (error as { code?: string }).code !== undefined) throw error
    console.error(`What is kept ready of pen ${id} cannot be worked out: ${(error as Error).message}`)
    return undefined
  }
}

/** The air since a pen was begun; none before its first entry. */
async function airOf(trx: Knex, events: readonly BenchEvent[]): Promise<AirReading[]> {
  const first = events.reduce<string | undefined>((least, { at }) => (least === undefined || at < least ? at : least), undefined)
  return first === undefined ? [] : airSince(trx, first)
}

async function writeRow(trx: Knex, pen: PenRow, found: Projection | undefined): Promise<void> {
  const { mark, name, reason, created_at: createdAt } = pen
  const { text, waits, ...shown } = found?.summary ?? { text: '', waits: [] }
  const search = [mark, name, reason ?? '', text].join(' ').toLowerCase()
  const last = found?.summary.lastEntryAt
  const row = {
    pen_id: pen.id,
    projection: PROJECTION,
    stage: found?.summary.stage ?? null,
    recent: last ?? createdAt,
    letter: mark.charAt(0),
    number: Number(mark.slice(1)),
    due: pen.due,
    fitting: pen.fitting,
    material: pen.material,
    method: pen.method,
    method_version: found?.summary.methodVersion ?? null,
    open_defects: found?.summary.openDefects ?? 0,
    waits_until: waits.reduce<string | null>((last, { until }) => (last === null || until > last ? until : last), null),
    body: found ? JSON.stringify({ ...shown, waits }) : null,
  }
  await trx('pen_rows').insert(row).onConflict(['workshop_id', 'pen_id']).merge()
  await trx.raw(
    `insert into pen_search (pen_id, search, words) values (?, ?, to_tsvector('simple', ?)) on conflict (workshop_id, pen_id)
     do update set search = excluded.search, words = excluded.words where pen_search.search <> excluded.search`,
    [pen.id, search, search],
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
