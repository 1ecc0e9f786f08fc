import type { Knex } from 'knex'
import type { Fact } from '../../core/bench'

interface Row {
  pen_id: string
  kind: string
  place: number
  about: string
  at: Date
  body: unknown
}

/** A fact of a pen in its place. */
interface Placed {
  pen_id: string
  kind: string
  place: number
  about: string
  at: string
  body: string
}

const keyOf = ({ pen_id: pen, kind, place }: Pick<Placed, 'pen_id' | 'kind' | 'place'>): string => `${pen} ${kind} ${place}`

/** A value as text that is the same for the same value, whatever order its fields stand in. */
function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join()}]`
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null'
  const fields = Object.entries(value).filter(([, field]) => field !== undefined).sort(([a], [b]) => (a < b ? -1 : 1))
  return `{${fields.map(([name, field]) => `${JSON.stringify(name)}:${canonical(field)}`).join()}}`
}

function placed(pen: string, facts: readonly Fact[]): Placed[] {
  const counts = new Map<string, number>()
  return facts.map(({ kind, about, at, ...body }) => {
    const place = counts.get(kind) ?? 0
    counts.set(kind, place + 1)
    return { pen_id: pen, kind, place, about, at, body: canonical(body) }
  })
}

/** So many rows go into one statement: it takes 65,535 values at most. */
const AT_ONCE = 5000

/** What lessons are about. */
export interface About {
  /** The kind of its facts. */
  kind: string
  /** What they are about. */
  about: string
}

/**
 * Keeps the facts of some pens: only what is another than before is written, and what was learnt from such is told to be old, and so is
 * what else was touched.
 */
export async function writeFacts(trx: Knex, ofPens: ReadonlyMap<string, readonly Fact[]>, also: readonly About[]): Promise<void> {
  const rows: Row[] = await trx('facts').whereIn('pen_id', [...ofPens.keys()]).select('pen_id', 'kind', 'place', 'about', 'at', 'body')
  const before = new Map(rows.map(row => [keyOf(row), { ...row, at: row.at.toISOString(), body: canonical(row.body) }]))
  const now = [...ofPens].flatMap(([pen, facts]) => placed(pen, facts))
  const there = new Set(now.map(keyOf))
  const gone = [...before.values()].filter(row => !there.has(keyOf(row)))
  const other = now.filter((fact) => {
    const was = before.get(keyOf(fact))
    return !was || was.about !== fact.about || was.at !== fact.at || was.body !== fact.body
  })
  if (gone.length) {
    await trx('facts')
      .whereIn(['pen_id', 'kind', 'place'], gone.map(({ pen_id: pen, kind, place }) => [pen, kind, place]))
      .delete()
  }
  for (let from = 0; from < other.length; from += AT_ONCE) {
    await trx('facts')
      .insert(other.slice(from, from + AT_ONCE))
      .onConflict(['workshop_id', 'pen_id', 'kind', 'place'])
      .merge()
  }
  const touched = [...gone, ...other, ...other.flatMap(fact => before.get(keyOf(fact)) ?? []), ...also]
  await outdate(trx, touched)
}

/** Counts up what these facts are about, so that what was learnt of it is worked out anew when it is next asked for. */
export async function outdate(trx: Knex, touched: readonly About[]): Promise<void> {
  const lessons = [...new Map(touched.map(({ kind, about }) => [`${kind} ${about}`, { kind, about }])).values()]
  if (!lessons.length) return
  // In one order, so that two who count up the same wait for one another and never in a circle.
  lessons.sort((a, b) => (a.kind + a.about < b.kind + b.about ? -1 : 1))
  await trx('lessons')
    .insert(lessons.map(lesson => ({ ...lesson, facts: 1 })))
    .onConflict(['workshop_id', 'kind', 'about'])
    .merge({ facts: trx.raw('lessons.facts + 1') as unknown as number })
}
