import type { Knex } from 'knex'
import { traits, type Cell, type Look, type Trait } from '../../core/findings'
import { defectKinds, type DefectKind } from '../../core/defects'
import { traitSql } from './trait-sql'

/** So many values of a trait can be chosen from. */
const VALUES = 40

/** What a look over all pens finds. */
interface Looked {
  /** How many pens tell anything. */
  pens: number
  /** On how many pens each kind of defect was found. */
  often: Partial<Record<DefectKind, number>>
  /** Every kind of defect by every trait. */
  looks: Look[]
  /** What pens have of each trait, what most have first. */
  values: Partial<Record<Trait, string[]>>
}

/** So many pens that have these traits in common, and perhaps a kind of defect. */
interface Row extends Record<string, unknown> {
  which: number
  count: number
  kind?: string
}

/** Traits by which pens are told apart beside class and method. */
const others = traits.filter(one => one !== 'class' && one !== 'method')
const columnOf = (trait: Trait): string => trait.replace(' ', '_')
const columns = traits.map(columnOf)
const which = `grouping(${columns.join(', ')})::int as which, ${columns.join(', ')}`
const sets = (first: string) => ['', ...others.map(one => `, ${columnOf(one)}`)].map(one => `(${first}class, method${one})`).join(', ')

/** Every kind of defect by every trait, counted in two passes over the pens however many looks that are; hours by the clock of a zone. */
export async function allLooks(knex: Knex, zone: string): Promise<Looked> {
  const hour = traitSql('hour', zone)
  const pens = `(select *, ${hour.sql} as hour from pen_told) as pens`
  const all: { rows: Row[] } = await knex.raw(
    `select ${which}, count(*)::int as count from ${pens} group by grouping sets (${sets('')})`, [...hour.with])
  const hits: { rows: Row[] } = await knex.raw(
    `select kind, ${which}, count(*)::int as count from ${pens} cross join unnest(defects) as kind
     group by grouping sets (${sets('kind, ')})`, [...hour.with])
  const cells = new Map<Trait, Map<string, Cell>>(traits.map(trait => [trait, new Map()]))
  for (const row of all.rows) {
    for (const { trait, key, ...alike } of told(row)) cells.get(trait)?.set(key, { ...alike, hits: 0, of: row.count })
  }
  const found = new Map<string, Map<string, number>>()
  for (const row of hits.rows) {
    for (const { trait, key } of told(row)) {
      const look = `${row.kind} ${trait}`
      found.set(look, (found.get(look) ?? new Map<string, number>()).set(key, row.count))
    }
  }
  const kinds = defectKinds.filter(kind => found.has(`${kind} method`))
  const lookAt = (of: DefectKind, trait: Trait): Look => {
    const hits = found.get(`${of} ${trait}`)
    return { of, trait, cells: [...cells.get(trait) ?? []].map(([key, cell]) => ({ ...cell, hits: hits?.get(key) ?? 0 })) }
  }
  return {
    pens: [...cells.get('method')?.values() ?? []].reduce((sum, one) => sum + one.of, 0),
    often: Object.fromEntries(kinds.map(kind => [kind, sumOf(found.get(`${kind} method`)?.values() ?? [])])),
    looks: kinds.flatMap(of => traits.map(trait => lookAt(of, trait))),
    values: Object.fromEntries([...cells].map(([trait, own]) => [trait, mostFirst(own.values())])),
  }
}

/** What a row tells: of one trait, or of class and of method where it is about those alone. Pens without the trait tell nothing of it. */
function told(row: Row): (Pick<Cell, 'value' | 'class' | 'method'> & { trait: Trait, key: string })[] {
  const there = others.find(trait => !(row.which & (1 << (traits.length - 1 - traits.indexOf(trait)))))
  const like = { class: row.class as string | null, method: row.method as string | null }
  return (there ? [there] : ['class', 'method'] as const).flatMap((trait) => {
    const value = row[columnOf(trait)]
    return typeof value === 'string' ? [{ trait, value, ...like, key: JSON.stringify([value, like]) }] : []
  })
}

const sumOf = (counts: Iterable<number>): number => [...counts].reduce((sum, one) => sum + one, 0)

function mostFirst(cells: Iterable<Cell>): string[] {
  const counts = new Map<string, number>()
  for (const { value, of } of cells) counts.set(value, (counts.get(value) ?? 0) + of)
  return [...counts].sort(([, a], [, b]) => b - a).slice(0, VALUES).map(([value]) => value)
}
