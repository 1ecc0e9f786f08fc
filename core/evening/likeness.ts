import { nth, num, real } from '../sure'
import type { Chain } from './task'

/** What pens need, each of its set-ups once. */
type Needs = Pick<Chain, 'needs'>

/** How much pens need the same: such pens are worked in one go, since a change then serves all of them. */
export class Likeness {
  /** Of each pen the weights of the others, each with those before it. */
  private readonly upTo: readonly Float64Array[]
  private readonly like: readonly Float64Array[]

  constructor(pens: readonly Needs[]) {
    const sets = pens.map(({ needs }) => new Set(needs.map(one => one.setUp)))
    this.like = sets.map(one => Float64Array.from(sets, other => inCommon(one, other)))
    this.upTo = this.like.map((row, pen) => {
      let sum = 0
      return row.map((like, other) => (sum += other === pen ? 0 : like ** STEEP))
    })
  }

  /** What two pens both need, as a part of what the one needs that needs more: 0 nothing, 1 all. */
  of(one: number, other: number): number {
    return real(nth(this.like, one), other)
  }

  /** Another pen by chance (0 to 1), the more alike the likelier; the pen itself where none has anything in common with it. */
  drawn(pen: number, chance: number): number {
    const row = nth(this.upTo, pen)
    const sum = row.length ? real(row, row.length - 1) : 0
    if (!sum) return pen
    return Math.max(0, row.findIndex(upTo => upTo > chance * sum))
  }

  /** Pens in batches of up to so many that need nearly the same; every pen is in one. */
  batches(most: number): number[][] {
    const all: number[][] = []
    for (let pen = 0; pen < this.like.length; pen++) {
      const batch = all.find(one => one.length < most && this.of(num(one, 0), pen) > NEARLY)
      if (batch) batch.push(pen)
      else all.push([pen])
    }
    return all
  }
}
/** How much likelier the more alike are. */
const STEEP = 4
/** So much in common is nearly the same. */
const NEARLY = 0.7

function inCommon(one: ReadonlySet<number>, other: ReadonlySet<number>): number {
  let count = 0
  for (const setUp of one) if (other.has(setUp)) count += 1
  return count / Math.max(1, one.size, other.size)
}
