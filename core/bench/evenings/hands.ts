import type { SetUp } from '../../evening'
import type { StepKind } from '../../plan'
import { secondsBetween } from '../pause'
import type { Saved } from '../together/operation'
import { against, learnPace, type OwnPace } from './pace'
import { CHANGES, SAME_EVENING } from './set-up'

/** One step as it was done, as its own pen tells it. */
export interface StepDone {
  /** Whose hands they were; null: nobody was asked, and one pair of hands is taken for all of those. */
  by: string | null
  /** Its kind. */
  kind: StepKind
  /** When it was done, ISO 8601. */
  at: string
  /** Since the entry before it on its own pen, or the end of its wait, s; NaN where nobody measured that. */
  seconds: number
  /** Whether the turner said so: that stands. */
  said: boolean
  /** What was planned, s. */
  planned: number
  /** What had to be set up for it; null: nothing that others have too. */
  setUp: SetUp | null
  /** Whether something went wrong at it that had to be mended. */
  mended: boolean
}

/** What a change of one kind of thing takes in these hands. */
export interface OwnChange {
  /** So long, s. */
  seconds: number
  /** From how many changes. */
  changes: number
}

/** How long hands take in this workshop. */
export interface OwnHands {
  /** The pace at each kind of step that was timed. */
  paces: Partial<Record<StepKind, OwnPace>>
  /** What was changed between two steps, by its kind. */
  changes: Partial<Record<Saved, OwnChange>>
}

/** What changes take in these hands, s: our own starting values where nothing was learnt. */
export const changesWith = (hands?: Pick<OwnHands, 'changes'>): Record<Saved, number> => ({
  ...CHANGES, ...Object.fromEntries(Object.entries(hands?.changes ?? {}).map(([thing, { seconds }]) => [thing, seconds])),
})

/** How far from our own starting value a change may well be, as a part of it [model]. */
const DOUBT = 0.7
/** Paces and changes are each learnt with the other taken off, until no change moves by more than this, s, or so many times. */
const STILL = 0.1
const ROUNDS = 60

/** A step with what stood beside it on the bench. */
interface Beside extends StepDone {
  /** What had to be changed for it; null: nothing, or it does not matter since the turner said how long the step took. */
  changed: Saved | null
  /** What that is thought to have taken, s. */
  change: number
}

/**
 * The pace at each kind of step and what changes take, from all that was done in a workshop (in any order). Where the same hands were on
 * another pen meanwhile that is not counted; other people at their own bench take no time from them. A step for which something had to be
 * changed took its own time and the change, one that found it there its own time alone. Both are drawn to the starting values where there
 * is little to go by.
 */
export function learnHands(done: readonly StepDone[]): OwnHands {
  const steps = besideOneAnother(done)
  const kinds = groupedBy(steps, one => one.kind)
  const things = groupedBy(steps, one => one.changed)
  const changes: OwnHands['changes'] = {}
  const paces: OwnHands['paces'] = {}
  for (let [round, moved] = [0, true]; moved && round < ROUNDS; round++) {
    for (const [kind, taken] of kinds) {
      const pace = learnPace(taken, paces[kind]?.factor)
      if (pace.steps) paces[kind] = pace
    }
    moved = false
    for (const [thing, after] of things) {
      if (!thing) continue
      const before = changes[thing]?.seconds ?? CHANGES[thing]
      const change = changeOver(thing, after, paces, before)
      changes[thing] = change
      for (const one of after) one.change = change.seconds
      moved ||= Math.abs(change.seconds - before) > STILL
    }
  }
  return { paces, changes }
}

function groupedBy<K, T extends StepDone>(steps: readonly T[], key: (one: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const one of steps) {
    const group = groups.get(key(one))
    if (group) group.push(one)
    else groups.set(key(one), [one])
  }
  return groups
}

/** Steps in the order in which they were done by the same hands, with the time that these can have been on each, and what stood set up. */
function besideOneAnother(done: readonly StepDone[]): Beside[] {
  return [...groupedBy(done, one => one.by).values()].flatMap(ofTheSameHands)
}

function ofTheSameHands(done: readonly StepDone[]): Beside[] {
  const inOrder = [...done].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
  let before: StepDone | undefined
  let stands: SetUp | undefined
  return inOrder.map((one) => {
    const since = before ? secondsBetween(before.at, one.at) : Infinity
    if (since > SAME_EVENING) stands = undefined
    const isAlike = one.setUp && stands && one.setUp.kind === stands.kind && one.setUp.which === stands.which
    const isUnknown = one.setUp && !stands
    const changed = one.setUp && stands && !isAlike && !one.said ? (one.setUp.kind as Saved) : null
    // Where nobody knows whether something was changed, the time tells nothing, unless the turner said it.
    const seconds = one.said ? one.seconds : isUnknown ? NaN : Math.min(one.seconds, since)
    before = one
    stands = one.setUp ?? stands
    return { ...one, seconds, changed, change: changed ? CHANGES[changed] : 0 }
  })
}

/** What changes of one kind take, from the times of steps they came before and the pace of those, our starting value counted with them. */
function changeOver(thing: Saved, steps: readonly Beside[], paces: OwnHands['paces'], before: number): OwnChange {
  const start = CHANGES[thing]
  let precision = 1 / (DOUBT * start) ** 2
  let sum = start * precision
  let changes = 0
  for (const one of steps) {
    const pace = paces[one.kind]
    const told = pace && against(one, pace.factor)
    if (!told) continue
    const { over, noise } = told
    const expected = pace.factor * one.planned + before
    const weight = 1 / (expected * pace.spread * noise) ** 2
    precision += weight
    sum += weight * (before + over * expected)
    changes++
  }
  return { seconds: Math.max(0, sum / precision), changes }
}
