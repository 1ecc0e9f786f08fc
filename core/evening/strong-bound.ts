import { num, real } from '../sure'
import { leastAssignment } from './assignment'
import { beginning } from './course'
import { goneOn, leastFrom } from './bound'
import { doneBy, whenDone } from './hours'
import type { Costs } from './problem'
import { shortestFirst } from './shortest-first'
import { costOf, type Chain, type Task } from './task'

/** A middle part of a pen’s work: its pieces from `first` on, before `end`; a pen that has no such part has none of its pieces in it. */
interface Middle {
  chain: Chain
  first: number
  end: number
  /** Whether it has none. */
  isNone: boolean
}

/** A wait that parts the work of a pen, s: of an hour, of half an hour, of ten minutes. */
const PARTS = [3600, 1800, 600]

/** The pieces before which a pen waits so long. */
const waitsOf = (chain: Chain, long: number): number[] => [...chain.wait].flatMap((wait, at) => (at > 0 && wait >= long ? [at] : []))

/** Where the middle of a pen’s work lies, by the pieces before which it waits. */
type Rule = (count: number, waits: readonly number[]) => { first: number, end: number }
const RULES: readonly Rule[] = [
  // From the first wait to the next one.
  (count, [one, two]) => ({ first: one ?? count, end: two ?? count }),
  // From the beginning to the second wait, and to the last one.
  (count, [, two]) => ({ first: 0, end: two ?? count }),
  (count, waits) => ({ first: 0, end: waits.at(-1) ?? count }),
]

/**
 * The least that any order can come to, from the beginning. Beside what `leastFrom` says: of each pen’s work a middle part is looked at.
 * The k-th of these to be done is done no sooner than when the shortest first are taken up as they become ready, in the hours there are,
 * and no sooner than the hours hold the k least of them with the changes that any k of them need. From there each pen is finished no
 * sooner than alone. Which pen is the k-th is not known: the least assignment of pens to places bounds them all. Every way of parting
 * gives a bound; the largest counts.
 */
export function leastOf(task: Task): Costs {
  const least = leastFrom(task, beginning(task))
  const there = task.pens.filter(pen => pen.count)
  const done = task.pens.reduce((sum, pen) => sum + (pen.count ? 0 : costOf(task, pen, pen.after)), 0)
  let { finished } = least
  const seen = new Set<string>()
  for (const long of PARTS) {
    for (const rule of RULES) {
      const parts = there.map((chain): Middle => {
        const { first, end } = rule(chain.count, waitsOf(chain, long))
        return { chain, first, end, isNone: first >= chain.count }
      })
      const key = parts.map(({ first, end }) => `${first} ${end}`).join()
      if (seen.has(key)) continue
      seen.add(key)
      finished = Math.max(finished, done + leastParted(task, parts))
    }
  }
  return { ...least, finished }
}

function leastParted(task: Task, parts: readonly Middle[]): number {
  const moments = momentsOf(task, parts)
  return leastAssignment(parts.map(({ chain, end }) => {
    const alone = goneOn(task, chain, { first: 0, to: end, ended: 0, now: 0, setUp: task.setUp })
    return moments.map((moment) => {
      const ended = Math.max(alone, moment)
      return costOf(task, chain, goneOn(task, chain, { first: end, to: chain.count, ended, now: 0 }) + chain.after)
    })
  }))
}

/** When the first, the second, the third of these parts is done at the soonest, s. */
function momentsOf(task: Task, parts: readonly Middle[]): number[] {
  const { capacity } = task
  const ready = parts.map(part => readyAlone(task, part))
  const hands = parts.map(({ chain, first, end }) => chain.hands.slice(first, end).reduce((sum, one) => sum + one, 0))
  const alone = shortestFirst(parts.map(({ isNone }, at) =>
    ({ ready: isNone ? 0 : doneBy(capacity, num(ready, at)), work: num(hands, at) })))
  const changes = changesIn(task, parts)
  // One set-up of each pair of hands may stand already when the first of them is ready.
  const standing = task.crews.length * Math.max(0, ...changes.costs.values())
  const begins = Math.max(0, doneBy(capacity, Math.min(...ready)) - standing)
  const none = parts.filter(part => part.isNone).length
  return alone.map((work, at) => {
    const together = at < none ? 0 : begins + leastTogether(hands, changes, at + 1)
    const done = Math.max(work, together)
    return done > 0 ? whenDone(capacity, done) : 0
  })
}

/** When a pen’s middle part is ready for hands if nothing else is done, s; Infinity where it has none. */
function readyAlone(task: Task, { chain, first, isNone }: Middle): number {
  if (isNone) return Infinity
  const ended = first ? goneOn(task, chain, { first: 0, to: first, ended: 0, now: 0, setUp: task.setUp }) : 0
  return Math.max(ended + real(chain.wait, first), real(chain.from, first))
}

/** Changes that some parts need. */
interface Changes {
  /** Of each part which: a set-up, and how often it was needed in this part by then. */
  of: readonly (readonly string[])[]
  /** What each takes, s. */
  costs: ReadonlyMap<string, number>
  /** How many parts need each. */
  needed: ReadonlyMap<string, number>
}

/**
 * The changes of some parts. Of one pen each run of the same set-up needs a change of its own, which those of other pens may share. What
 * any pen needs before its part may have been set up for that, and does not count; with several pairs of hands each set-up counts once,
 * since it may stay on the other.
 */
function changesIn({ changes, crews, setUp: there }: Task, parts: readonly Middle[]): Changes {
  const before = new Set(parts.flatMap(({ chain, first }) => [...chain.setUp.slice(0, first)]))
  const costs = new Map<string, number>()
  const needed = new Map<string, number>()
  const of = parts.map(({ chain, first, end }) => {
    const runs = runsOf(chain.setUp.slice(first, end))
    return [...runs].filter(([one]) => !before.has(one)).flatMap(([one, count]) =>
      Array.from({ length: crews.length > 1 ? 1 : count }, (_, run) => {
        const key = `${one} ${run}`
        costs.set(key, one === there && run === 0 ? 0 : real(changes, one))
        needed.set(key, (needed.get(key) ?? 0) + 1)
        return key
      }))
  })
  return { of, costs, needed }
}

/** How often each set-up comes after another one; 0 needs nothing, and leaves what was set up. */
function runsOf(setUps: Int32Array): Map<number, number> {
  const runs = new Map<number, number>()
  let last = 0
  for (const one of setUps) {
    if (one && one !== last) runs.set(one, (runs.get(one) ?? 0) + 1)
    last = one || last
  }
  return runs
}

/**
 * The least that any so many of the parts take together, s: their hands; whole what so many cannot do without, since too few parts do; of
 * any other change an equal share of each that needs it, so that those who share it bear no more than it costs. And no less than the
 * hands with all the changes of one of them.
 */
function leastTogether(hands: readonly number[], { of, costs, needed }: Changes, count: number): number {
  const costOfChange = (key: string) => costs.get(key) ?? 0
  const needs = (key: string) => needed.get(key) ?? 1
  const isForced = (key: string) => needs(key) > hands.length - count
  const forced = [...costs.keys()].reduce((sum, key) => sum + (isForced(key) ? costOfChange(key) : 0), 0)
  const shared = of.map((keys, at) =>
    keys.reduce((sum, key) => sum + (isForced(key) ? 0 : costOfChange(key) / needs(key)), num(hands, at)))
  const own = of.map(keys => keys.reduce((sum, key) => sum + costOfChange(key), 0))
  return Math.max(forced + leastOfAll(shared, count), leastOfAll(hands, count) + (own.sort(up)[count - 1] ?? 0))
}

const up = (a: number, b: number): number => a - b
const leastOfAll = (all: readonly number[], count: number): number => [...all].sort(up).slice(0, count).reduce((sum, one) => sum + one, 0)
