import type { DefectKind } from '../defects'
import type { Cell } from './cells'
import { howOften, type Difference } from './how-often'
import type { Trait } from './pens'
import { amongMany } from './statistics/many'

/** A difference that stands though many were looked at. */
export interface Noticed extends Difference {
  /** Of what: a kind of defect. */
  of: DefectKind
  /** By what pens were told apart. */
  trait: Trait
  /** Of all that is announced at this one’s likelihood no more than this part is false. */
  falsely: number
}

/** One look at a log: of one kind of defect, by one trait. */
export interface Look {
  /** Of what: a kind of defect. */
  of: DefectKind
  /** By what. */
  trait: Trait
  /** The pens, counted. */
  cells: readonly Cell[]
}

/** Of all that is announced no more than this part may be chance [model]. */
const FALSE = 0.1
/** By this nobody is compared unless somebody asks: people learn at their own pace, and a screen should not point at them. */
const UNASKED: Trait = 'who'
/** Fewer pens than this on either side, or fewer with the defect in all, tell nothing [model]. */
const LEAST = { pens: 5, hits: 4 }

/**
 * What stands out in a log: in every look each group against the others, all of them weighed together, so that of many looks few are
 * false. Of two traits that tell the same, both may be named. Who made them is never looked at. The surest first.
 */
export function noticed(looks: readonly Look[]): Noticed[] {
  const all = looks.filter(one => one.trait !== UNASKED).flatMap(({ of, trait, cells }) => {
    const told = howOften(cells, trait)
    if (told.all.hits < LEAST.hits) return []
    const own = told.differences.filter(({ sides }) => Math.min(sides.one.of, sides.other.of) >= LEAST.pens)
    // Of two groups each differs from the other by the same: that is one look, told of where it is more.
    return (told.groups.length === 2 ? own.filter(({ by }) => by.value >= 0).slice(0, 1) : own).map(one => ({ ...one, of, trait }))
  })
  const falsely = amongMany(all.map(one => one.likelihood))
  return all
    .flatMap((one, index): Noticed[] => {
      const share = falsely[index] ?? 1
      return share < FALSE ? [{ ...one, falsely: share }] : []
    })
    .sort((a, b) => a.falsely - b.falsely || a.likelihood - b.likelihood)
}

/** What stands out, and since when it does. */
export interface StandsOut extends Noticed {
  /** When it was seen first, ISO 8601. */
  since: string
}

/** What stands out now, the newest first: what stood out before keeps its day, whatever its figures are by now. */
export function newestFirst(now: readonly Noticed[], before: readonly StandsOut[], at: string): StandsOut[] {
  const key = ({ of, trait, value }: Noticed) => JSON.stringify([of, trait, value])
  const known = new Map(before.map(one => [key(one), one.since]))
  const dated = now.map((one): StandsOut => ({ ...one, since: known.get(key(one)) ?? at }))
  return dated.sort((a, b) => (a.since === b.since ? 0 : a.since > b.since ? -1 : 1))
}
