import type { Knex } from 'knex'
import type { DueDay, ListedPen, Pen, PenPage } from '../../contract'
import { summaryIn, type ProjectedSummary } from '../../core/bench'
import type { UnitSystem } from '../../core/units'
import type { PenQuery } from '../../schemas'
import { FieldsError } from '../faults'
import { asPen, penColumns, type PenColumns } from './pen-columns'

type Row = PenColumns & { body: ProjectedSummary, recent: Date, letter: string, number: number }
type Key = readonly (string | number)[]

/** An order of the list: the columns it goes by, the last of them the pen’s id, and which way. */
interface Order {
  columns: readonly string[]
  way: 'asc' | 'desc'
  key: (row: Row) => Key
}

const ORDERS: Record<NonNullable<PenQuery['sort']>, Order> = {
  recent: { columns: ['recent', 'pen_rows.pen_id'], way: 'desc', key: row => [row.recent.toISOString(), row.id] },
  marks: { columns: ['letter', 'number', 'pen_rows.pen_id'], way: 'asc', key: row => [row.letter, row.number, row.id] },
  due: { columns: ['pen_rows.due', 'pen_rows.pen_id'], way: 'asc', key: row => [row.due ?? '', row.id] },
}
const USUAL = 50

/** Where a page ends, as text that is only handed back. */
const asCursor = (key: Key): string => Buffer.from(JSON.stringify(key)).toString('base64url')

/** @throws FieldsError when it is none of ours */
function fromCursor(cursor: string, { columns }: Order): Key {
  try {
    const key: unknown = JSON.parse(Buffer.from(cursor, 'base64url').toString('utf8'))
    if (Array.isArray(key) && key.length === columns.length && key.every(one => ['string', 'number'].includes(typeof one))) return key
  } catch {
    // Told below: it is not of this list.
  }
  throw new FieldsError({ after: 'This is no place in this list: begin at its beginning.' })
}

/**
 * One page of the pens that are asked for, in their order, and where the next one begins. Every page costs the same, however many pens
 * there are. Pens that cannot be worked out are left out.
 */
export async function pagePens(knex: Knex, units: UnitSystem, asked: PenQuery): Promise<PenPage> {
  const { sort = 'recent', after, limit = USUAL } = asked
  const order = ORDERS[sort]
  const query = pensWithRows(knex).limit(limit + 1)
  for (const column of order.columns) void query.orderBy(column, order.way)
  for (const column of ['stage', 'material', 'fitting', 'method', 'due'] as const)
    if (asked[column]) void query.where(`pen_rows.${column}`, asked[column])
  if (asked.at) void query.where('stage', 'finished').where('gone', asked.at === 'gone')
  if (asked.defects) void query.where('open_defects', '>', 0)
  if (asked.maker) void query.where('maker', asked.maker)
  if (sort === 'due') void query.whereNotNull('pen_rows.due')
  const words = wordsIn(asked.text)
  if (words.length) void query.join('pen_texts', 'pen_texts.pen_id', 'pen_rows.pen_id')
  for (const word of words) void whereSays(query, word)
  if (after) {
    const key = fromCursor(after, order)
    const than = order.way === 'asc' ? '>' : '<'
    void query.whereRaw(`(${order.columns.join(', ')}) ${than} (${key.map(() => '?').join(', ')})`, [...key])
  }
  const rows: Row[] = await query
  const page = rows.slice(0, limit)
  const last = page.at(-1)
  return {
    pens: page.map(row => asListed(row, units)),
    next: rows.length > limit && last ? asCursor(order.key(last)) : null,
  }
}

/** The rows of some pens, as lists show them. */
export async function rowsOf(knex: Knex, units: UnitSystem, ids: readonly string[]): Promise<ListedPen[]> {
  const rows: Row[] = ids.length ? await pensWithRows(knex).whereIn('pen_id', ids) : []
  return rows.map(row => asListed(row, units))
}

const pensWithRows = (knex: Knex) =>
  knex('pen_rows')
    .join('pens', 'pens.id', 'pen_rows.pen_id')
    .whereNotNull('body')
    .select(...penColumns(knex), 'body', 'recent', 'letter', 'number') as Knex.QueryBuilder<Row, Row[]>

const asListed = ({ body, recent: _r, letter: _l, number: _n, ...row }: Row, units: UnitSystem): ListedPen => ({
  pen: asPen(row),
  summary: summaryIn(body, units),
})

/** From so many letters on an index finds a word anywhere, else where words begin with it. */
const TRIGRAM = 3
/** More words than this are not looked for. */
const MOST_WORDS = 8

/** The words of a text that can be looked for: a stray sign is none. */
const wordsIn = (text = ''): string[] =>
  text.toLowerCase().split(/\s+/).filter(word => word.length >= TRIGRAM || /[\p{L}\p{N}]/u.test(word)).slice(0, MOST_WORDS)

function whereSays(query: Knex.QueryBuilder, word: string): Knex.QueryBuilder {
  if (word.length >= TRIGRAM) return query.whereRaw('search like ?', [`%${word.replace(/[\\%_]/g, '\\$&')}%`])
  return query.whereRaw('words @@ to_tsquery(\'simple\', ?)', [`'${word.replace(/['\\]/g, ' ')}':*`])
}

/** The pens in work, by their marks; of one maker, where that is said. */
export async function inWork(knex: Knex, maker?: string): Promise<Pen[]> {
  const rows: PenColumns[] = await knex('pen_rows')
    .join('pens', 'pens.id', 'pen_rows.pen_id')
    .where({ stage: 'in work', ...(maker ? { maker } : {}) })
    .orderBy(['letter', 'number', 'pen_id'])
    .select(...penColumns(knex))
  return rows.map(asPen)
}

/** The first of the pens that are planned and not begun, those due first before the others, and how many there are. */
export async function plannedFirst(knex: Knex, most: number): Promise<{ pens: Pen[], all: number }> {
  const rows: PenColumns[] = await knex('pen_rows')
    .join('pens', 'pens.id', 'pen_rows.pen_id')
    .where({ stage: 'planned' })
    .orderByRaw('pen_rows.due nulls last, letter, number, pen_id')
    .limit(most)
    .select(...penColumns(knex))
  const count: { all: number } | undefined = await knex('pen_rows').where({ stage: 'planned' }).first(knex.raw('count(*)::int as "all"'))
  return { pens: rows.map(asPen), all: count?.all ?? 0 }
}

/** The first day on which a pen is due that is not finished, and how many of that day are still to come; null when none is due. */
export async function nextDue(knex: Knex): Promise<DueDay | null> {
  const first = (stage: string) => knex('pen_rows').where({ stage }).whereNotNull('due').min('due as day')
  const found: { day: string | null }[] = await knex.from(first('planned').unionAll([first('in work')]).as('open'))
    .select(knex.raw('to_char(min(day), \'YYYY-MM-DD\') as day'))
  const day = found[0]?.day
  if (!day) return null
  const group: { open: number, all: number, reason: string | null } = await knex('pen_rows')
    .join('pens', 'pens.id', 'pen_rows.pen_id')
    .where('pen_rows.due', day)
    .first(
      knex.raw('count(*)::int as "all"'),
      knex.raw('(count(*) filter (where stage is distinct from \'finished\' and stage is distinct from \'given up\'))::int as open'),
      knex.raw('min(reason) filter (where stage is distinct from \'finished\' and stage is distinct from \'given up\') as reason'),
    )
  return { day, ...group }
}
