import { traits, type ToldPen, type Trait } from './pens'
import { howOften, type Difference } from './question'
import { amongMany } from './statistics/many'

/** A difference that stands though many were looked at. */
export interface Noticed extends Difference {
  /** Of what: a kind of defect. */
  of: string
  /** By what pens were told apart. */
  trait: Trait
  /** Of all that is announced at this one’s likelihood no more than this part is false. */
  falsely: number
}

/** Of all that is announced no more than this part may be chance [model]. */
const FALSE = 0.1
/** Fewer pens than this on either side, or fewer with the defect in all, tell nothing [model]. */
const LEAST = { pens: 5, hits: 4 }

/**
 * What stands out in a log: for every kind of defect and every trait each group against the others, all of them weighed together, so that
 * of many looks few are false. Of two traits that tell the same, both may be named. The surest first.
 */
export function noticed(pens: readonly ToldPen[]): Noticed[] {
  const isOften = (kind: string) => pens.filter(pen => pen.defects.includes(kind)).length >= LEAST.hits
  const kinds = [...new Set(pens.flatMap(pen => pen.defects))].filter(isOften)
  const looks = kinds.flatMap(of => traits.flatMap((trait) => {
    const { groups, differences } = howOften(pens, pen => pen.defects.includes(of), trait)
    const all = groups.reduce((sum, one) => sum + one.counted.of, 0)
    const large = new Set(groups.filter(({ counted }) => Math.min(counted.of, all - counted.of) >= LEAST.pens).map(one => one.value))
    // Of two groups each differs from the other by the same: that is one look.
    const own = differences.filter(one => large.has(one.value))
    return (groups.length === 2 ? own.slice(0, 1) : own).map(one => ({ ...one, of, trait }))
  }))
  const falsely = amongMany(looks.map(one => one.likelihood))
  return looks
    .flatMap((one, index): Noticed[] => {
      const share = falsely[index] ?? 1
      return share < FALSE ? [{ ...one, falsely: share }] : []
    })
    .sort((a, b) => a.falsely - b.falsely || a.likelihood - b.likelihood)
}
