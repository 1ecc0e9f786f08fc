import type { Knex } from 'knex'
import { traits, type ToldPen, type Trait } from '../../core/findings'
import type { About } from './facts'

/** Traits that have a column of their own; the hour follows from when the first coat went on. */
export type KeptTrait = Exclude<Trait, 'hour'>
/** All of them. */
export const keptTraits = traits.filter((one): one is KeptTrait => one !== 'hour')
/** The column of a trait. */
export const columnOf = (trait: KeptTrait): string => trait.replace(' ', '_')

/** What is learnt from pens that are over is kept as one lesson. */
export const TOLD: About = { kind: 'told', about: '*' }

/** A pen and what it tells. */
interface Telling {
  pen: { id: string, due: string | null, maker: string | null }
  told: ToldPen | undefined
}

/** Keeps what pens that are over tell, and takes away what others told. Answers which lessons are old now: none where nothing changed. */
export async function writeTold(trx: Knex, all: readonly Telling[]): Promise<About[]> {
  const open = all.filter(one => !one.told).map(one => one.pen.id)
  const gone = open.length ? await trx('pen_told').whereIn('pen_id', open).delete() : 0
  const rows = all.flatMap(({ pen, told }) => (told ? [rowOf(pen, told)] : []))
  if (!rows.length) return gone ? [TOLD] : []
  const columns = Object.keys(rows[0] ?? {})
  const changed = await trx('pen_told')
    .insert(rows)
    .onConflict(['workshop_id', 'pen_id'])
    .merge()
    .whereRaw(`(${columns.map(one => `pen_told.${one}`).join()}) is distinct from (${columns.map(one => `excluded.${one}`).join()})`)
    .returning('pen_id')
  return gone || changed.length ? [TOLD] : []
}

function rowOf({ id, due, maker }: Telling['pen'], told: ToldPen) {
  const { ended, coated, traits, defects, mends, failed, scrapped, finished, figures } = told
  const kept = Object.fromEntries(keptTraits.map(trait => [columnOf(trait), traits[trait] ?? null]))
  return {
    pen_id: id, ended, coated: coated ?? null, due, ...kept, who: maker, defects: [...defects], mends, failed, scrapped, finished,
    figures: JSON.stringify(figures),
  }
}
