import { must, nth, num, whole } from '../sure'
import { columnsOf, type Columns, type Pieces } from './columns'
import { LeastChanges } from './least-changes'
import { capacityOf, clockOf, type Capacity, type Clock } from './hours'
import { SAME, type EveningProblem, type PieceId, type SetUp, type Work } from './problem'

/** One pen made ready for counting. */
export interface Chain extends Pieces {
  /** Its id. */
  id: string
  /** How many pieces. */
  count: number
  /** What the changes for this piece and all after it take if nothing else is done, s; nothing being set up before. */
  ownChanges: Float64Array
  /** The set-up that is needed first from each piece on; 0: none. */
  firstSetUp: Int32Array
  /** Each set-up it needs, and at which piece for the last time: from then on it needs it no more. */
  needs: readonly { setUp: number, last: number }[]
  /** Hands on this and all after it, s. */
  rest: Float64Array
  /** What runs by itself after the last, s. */
  after: number
  /** Promised by, s; Infinity where it is not. */
  due: number
  /** Weight of that promise. */
  weight: number
}

/** Counts as the promised day of pens that have none where days are weighed, s. */
export const FAR = 1e7

/** A piece by numbers. */
export interface At {
  /** Which pen. */
  pen: number
  /** Which of its pieces. */
  at: number
}

/** A problem made ready. Set-ups are numbers: 0 is nothing, any other is alike only to itself. */
export interface Task {
  /** The pens. */
  pens: readonly Chain[]
  /** Their pieces as columns. */
  columns: Columns
  /** The clock of each pair of hands. */
  crews: readonly Clock[]
  /** What they hold together. */
  capacity: Capacity
  /** The least that changes can take; null where there is more than one pair of hands, who each have their own. */
  leastChanges: LeastChanges | null
  /** What a change to each set-up takes, s. */
  changes: Float64Array
  /** What is set up in the beginning. */
  setUp: number
  /** Finishing times count in steps of this, s; 0: each second. */
  grain: number
  /** What comes before all else. */
  first: readonly At[]
  /** What is done in one go. */
  groups: readonly (readonly At[])[]
  /** For each pen and piece its group; -1: none. */
  groupOf: readonly (readonly number[])[]
  /** The steps by their numbers. */
  steps: readonly (readonly string[])[]
}

/**
 * A problem made ready for counting. Pins that name a piece that is not there are passed over: it was done meanwhile.
 * @throws RangeError for hours that are none, or work without time
 */
export function taskOf({ pens, hours, helpers = [], changes, setUp, grain = 0, first = [], together = [] }: EveningProblem): Task {
  const known = new Map([['', 0]])
  const costs = [0]
  const numberOf = (one: SetUp | null | undefined): number => {
    if (!one) return 0
    const key = `${one.kind} ${one.which}`
    const at = known.get(key)
    if (at !== undefined) return at
    known.set(key, known.size)
    costs.push(changes[one.kind] ?? 0)
    return known.size - 1
  }
  for (const { work } of pens)
    if (work.some(one => !(one.hands >= 0) || !(one.wait >= 0))) throw new RangeError('Work and waits should take no less than no time.')
  const all = [hours, ...helpers]
  const last = Math.max(0, ...all.flatMap(one => one.map(({ to }) => to)))
  const crews = all.map(one => clockOf(one, last))
  const chains = pens.map(({ id, work, after = 0, due = Infinity, weight = 1 }): Chain => {
    const hands = work.map(one => one.hands)
    const setUps = work.map(one => numberOf(one.setUp))
    const column = (of: (one: Work) => number) => Float64Array.from(work, of)
    return {
      id, count: work.length, after, due, weight,
      hands: column(one => one.hands),
      wait: column(one => one.wait),
      latest: column(one => one.latest ?? Infinity),
      from: column(one => one.from ?? 0),
      by: column(one => one.by ?? Infinity),
      setUp: Int32Array.from(setUps),
      ...alone(setUps, costs),
      needs: [...new Set(setUps)].filter(one => one !== 0).map(one => ({ setUp: one, last: setUps.lastIndexOf(one) })),
      rest: Float64Array.from([...hands, 0], (_, at) => hands.slice(at).reduce((sum, one) => sum + one, 0)),
    }
  })
  const atOf = ({ pen, step }: PieceId): At[] => {
    const index = pens.findIndex(one => one.id === pen)
    const at = pens[index]?.work.findIndex(one => one.step === step) ?? -1
    return at < 0 ? [] : [{ pen: index, at }]
  }
  const groups = together.map(group => group.flatMap(atOf)).filter(group => group.length > 1)
  const groupOf = pens.map(({ work }) => work.map(() => -1))
  groups.forEach((group, index) => {
    for (const { pen, at } of group) nth(groupOf, pen)[at] = index
  })
  return {
    leastChanges: crews.length === 1 ? new LeastChanges(chains.map(one => [...one.setUp]), costs) : null,
    pens: chains, columns: columnsOf(chains), crews, grain, capacity: capacityOf(crews), setUp: numberOf(setUp),
    changes: Float64Array.from(costs), first: first.flatMap(atOf), groups, groupOf,
    steps: pens.map(({ work }) => work.map(one => one.step)),
  }
}

/** The same with its pens otherwise: as many, each with as many pieces. */
export const withPens = (task: Task, pens: readonly Chain[]): Task => ({ ...task, pens, columns: columnsOf(pens) })

/** What a pen’s own changes take from each piece on, and the first set-up it needs from there. */
function alone(setUps: readonly number[], changes: readonly number[]): Pick<Chain, 'ownChanges' | 'firstSetUp'> {
  const [ownChanges, firstSetUp] = [[0], [0]]
  for (const one of [...setUps].reverse()) {
    const [sum, next] = [num(ownChanges, 0), num(firstSetUp, 0)]
    ownChanges.unshift(one && one !== next ? sum + num(changes, one) : sum)
    firstSetUp.unshift(one || next)
  }
  return { ownChanges: Float64Array.from(ownChanges), firstSetUp: Int32Array.from(firstSetUp) }
}

/** A finishing time as it counts: up to the next step. */
export const counted = ({ grain }: Pick<Task, 'grain'>, time: number): number => (grain ? Math.ceil(time / grain - SAME) * grain : time)

/** What a pen costs that is finished at a moment, s: that, and what is past its promise once more by its weight. */
export function costOf(task: Pick<Task, 'grain'>, { due, weight }: Pick<Chain, 'due' | 'weight'>, ends: number): number {
  const counts = counted(task, ends)
  return counts + (ends > due + SAME ? weight * (counts - due) : 0)
}

/** The pens that may be taken up next by what the turner wants first or in one go; null: all of them. */
export function onlyThese({ first, groups, groupOf, pens }: Task, at: Int32Array): number[] | null {
  if (!first.length && !groups.length) return null
  const ahead = first.find(one => whole(at, one.pen) <= one.at)
  if (ahead) return [ahead.pen]
  const isDone = (one: At) => whole(at, one.pen) > one.at
  const begun = groups.find(group => group.some(isDone) && !group.every(isDone))
  if (begun) return begun.filter(one => !isDone(one)).map(one => one.pen)
  const all = pens.flatMap((pen, index) => (whole(at, index) < pen.count ? [index] : []))
  const free = all.filter((pen) => {
    const group = nth(groupOf, pen)[whole(at, pen)] ?? -1
    return group < 0 || must(groups[group], 'a group has its number').every(one => whole(at, one.pen) === one.at)
  })
  // Wishes that bar one another bar nothing.
  return free.length ? free : all
}
