import { nth } from '../sure'
import { leastAssignment } from './assignment'
import { beginning } from './course'
import { goneOn, leastFrom } from './bound'
import { whenDone } from './hours'
import type { Costs } from './problem'
import { costOf, type Chain, type Task } from './task'

/** A wait that outlasts an evening, s. */
const LONG = 2 * 3600

/** Where a pen’s work is parted in two: before a wait that matters, or at its end. */
type Parting = (chain: Chain) => number

const longest = (chain: Chain): number => {
  let found = chain.count
  for (let at = 1; at < chain.count; at++)
    if (nth(chain.wait, at) > LONG && (found === chain.count || nth(chain.wait, at) >= nth(chain.wait, found))) found = at
  return found
}
const lastLong = (chain: Chain): number => {
  const at = chain.wait.findLastIndex((wait, index) => index > 0 && wait > LONG)
  return at < 0 ? chain.count : at
}
const firstLong = (chain: Chain): number => {
  const at = chain.wait.findIndex((wait, index) => index > 0 && wait > LONG)
  return at < 0 ? chain.count : at
}
const PARTINGS: readonly Parting[] = [longest, lastLong, firstLong, chain => chain.count]

/**
 * The least that any order can come to, from the beginning. Beside what `leastFrom` says: each pen’s work is parted before a wait that
 * outlasts an evening. The k-th pen to come to its parting is not there before the hours hold the k least of these first parts, with their
 * part of the changes; from there it is finished no sooner than alone. Which pen is the k-th is not known: the least assignment of pens to
 * places bounds them all. Every way of parting gives a bound; the largest counts.
 */
export function leastOf(task: Task): Costs {
  const least = leastFrom(task, beginning(task))
  const there = task.pens.flatMap((pen, index) => (pen.count ? [index] : []))
  let finished = least.finished
  const done = task.pens.reduce((sum, pen) => sum + (pen.count ? 0 : costOf(task, pen, pen.after)), 0)
  for (const parting of PARTINGS) finished = Math.max(finished, done + leastParted(task, there, parting))
  return { ...least, finished }
}

function leastParted(task: Task, there: readonly number[], parting: Parting): number {
  const parts = there.map(pen => parting(nth(task.pens, pen)))
  const share = sharesOf(task, there, parts)
  const heads = there.map((pen, index) => headOf(nth(task.pens, pen), nth(parts, index), share)).sort((a, b) => a - b)
  const moments: number[] = []
  let work = 0
  for (const head of heads) moments.push(whenDone(task.capacity, work += head))
  const table = there.map((pen, index) => {
    const chain = nth(task.pens, pen)
    const to = nth(parts, index)
    const alone = goneOn(task, chain, { first: 0, to, ended: 0, now: 0, setUp: task.setUp })
    return moments.map((moment) => {
      return costOf(task, chain, goneOn(task, chain, { first: to, to: chain.count, ended: Math.max(alone, moment), now: 0 }) + chain.after)
    })
  })
  return leastAssignment(table)
}

/** What a change to each set-up lays on every pen that needs it in its first part. */
function sharesOf({ pens, changes, setUp }: Task, there: readonly number[], parts: readonly number[]): number[] {
  const needs = changes.map(() => 0)
  there.forEach((pen, index) => {
    for (const one of new Set(nth(pens, pen).setUp.slice(0, nth(parts, index)))) needs[one] = nth(needs, one) + 1
  })
  return changes.map((change, one) => (one === setUp || !nth(needs, one) ? 0 : change / nth(needs, one)))
}

function headOf({ hands, setUp }: Chain, part: number, share: readonly number[]): number {
  const changes = [...new Set(setUp.slice(0, part))].reduce((sum, one) => sum + nth(share, one), 0)
  return hands.slice(0, part).reduce((sum, one) => sum + one, 0) + changes
}
