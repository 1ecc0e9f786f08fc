import type { ToldPen, Trait } from './pens'
import type { Counted } from './statistics/rate'

/** What is compared like with like where it is mixed up with what one asks. */
export const LIKE = ['class', 'method'] as const satisfies readonly Trait[]
/** One of them. */
export type Like = (typeof LIKE)[number]

/** Pens that are alike in what one asks by and in what like is compared with like by, counted: on how many of them it was so. */
export interface Cell extends Counted {
  /** What they have of the trait that one asks by. */
  value: string
  /** Their class of wood; null where it is not known. */
  class: string | null
  /** Their method; null where it is not known. */
  method: string | null
}

/** Whether something is so on a pen; undefined: the pen tells nothing of it. */
export type Asked = (pen: ToldPen) => boolean | undefined

/** Counts pens by a trait of theirs. Those that have no such trait, or tell nothing, are left out. */
export function cellsOf(pens: Iterable<ToldPen>, asked: Asked, by: Trait): Cell[] {
  const cells = new Map<string, Cell>()
  for (const pen of pens) {
    const [is, value] = [asked(pen), pen.traits[by]]
    if (is === undefined || value === undefined) continue
    const alike = { value, class: pen.traits.class ?? null, method: pen.traits.method ?? null }
    const key = JSON.stringify(alike)
    const cell = cells.get(key) ?? { ...alike, hits: 0, of: 0 }
    cells.set(key, { ...cell, hits: cell.hits + (is ? 1 : 0), of: cell.of + 1 })
  }
  return [...cells.values()]
}
