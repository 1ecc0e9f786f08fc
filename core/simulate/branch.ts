import type { Method } from '../method'
import { coatCount, depthRange, isGrit, isKind, leastFilm, revisePlan, usableBare, type GritStep, type Plan } from '../plan'
import { grainOf } from '../shelf'
import { must } from '../sure'
import type { Hand } from './hand'

/** Something that could be otherwise in a plan, in its workshop, or in the hand that makes it. */
export type Change
  /** A grit of the bare ladder is left out, by the id of its abrasive. */
  = | { kind: 'without', abrasive: string }
  /** Another abrasive of the shelf in the place of a grit of the bare ladder, both by their ids. */
    | { kind: 'paper', abrasive: string, other: string }
  /** So many coats in all: the film is wanted as deep as those make it. */
    | { kind: 'coats', count: number }
  /** Another depth of the finish is wanted, as the least film of a CA finish, µm. */
    | { kind: 'depth', um: number }
  /** Another finish, by the id of its method. */
    | { kind: 'method', method: string }
  /** The room is colder, warmer or damper; the paper in hand is half worn; waits are halved; somebody works who has not done it often. */
    | { kind: 'colder' | 'warmer' | 'damper' | 'worn' | 'hurry' | 'beginner' }

/** So much colder, warmer (°C) and damper (%) the room is; so much of its life a worn piece has behind it; so much of a wait is kept. */
export const STEPS = { colder: -6, warmer: 5, damper: 20, worn: 0.5, hurry: 0.5 } as const
/** Depths to choose from, µm. */
const DEPTHS = [10, 20, 40, 80]
/** So many coats fewer or more can be chosen. */
const COATS = 3
/** A depth is looked for until it is known to this part of itself. */
const CLOSE = 0.01

/** A plan that branches off another, and what the hand does otherwise. */
export interface Branch {
  /** The plan as it would be. */
  plan: Plan
  /** What the hand does otherwise. */
  hand: Partial<Hand>
}

/** What can be otherwise in a plan; `methods` are those there are to choose from. Grits that are done cannot be left out any more. */
export function changesFor(plan: Plan, methods: readonly Method[], done: ReadonlySet<string> = new Set()): Change[] {
  const open = plan.steps.filter(step => !done.has(step.id))
  const grits = bareGrits(open)
  const depth = leastFilm(plan.inputs).value
  return [
    ...(grits.length > 1 ? grits.map((step): Change => ({ kind: 'without', abrasive: step.abrasive.id })) : []),
    ...papersFor(plan, grits),
    ...coatsFor(plan, done),
    ...(coatCount(plan) && depth ? DEPTHS.filter(um => um !== plan.inputs.wishes.depth).map((um): Change => ({ kind: 'depth', um })) : []),
    ...methods.filter(one => one.id !== plan.inputs.method.id).map((one): Change => ({ kind: 'method', method: one.id })),
    ...(['colder', 'warmer', 'damper', 'hurry', 'beginner'] as const).map((kind): Change => ({ kind })),
    ...(open.some(isGrit) ? [{ kind: 'worn' } as const] : []),
  ]
}

/** The grits of the bare ladder, without those that a mend put in. */
const bareGrits = (steps: Plan['steps']) => steps.filter(isKind('sand')).filter(step => !step.mend)

/**
 * For each grit the abrasives nearest to it that are not in the ladder, and keep their place between the grits before and after it. A pad
 * does not stand in the place of a paper, nor a paper in a pad's: on bare wood pads come after the papers [trade].
 */
function papersFor({ inputs, steps }: Plan, open: readonly Pick<GritStep, 'abrasive'>[]): Change[] {
  const ladder = bareGrits(steps).map(step => step.abrasive)
  const others = usableBare(inputs).filter(one => !ladder.some(each => each.id === one.id))
  return open.flatMap(({ abrasive }): Change[] => {
    const at = ladder.findIndex(one => one.id === abrasive.id)
    const [before, own, after] = [ladder[at - 1], grainOf(abrasive), ladder[at + 1]]
    const isPad = abrasive.scale === 'pad'
    const fits = others.filter(one =>
      (one.scale === 'pad') === isPad && (!before || grainOf(one) < grainOf(before)) && (!after || grainOf(one) > grainOf(after)))
    const nearest = (all: typeof fits) =>
      [...all].sort((a, b) => Math.abs(Math.log(grainOf(a) / own)) - Math.abs(Math.log(grainOf(b) / own))).slice(0, 1)
    return [...nearest(fits.filter(one => grainOf(one) >= own)), ...nearest(fits.filter(one => grainOf(one) < own))]
      .map(one => ({ kind: 'paper', abrasive: abrasive.id, other: one.id }))
  })
}

/** A few coats fewer or more, as far as a depth there is makes them. */
function coatsFor(plan: Plan, done: ReadonlySet<string>): Change[] {
  const now = coatCount(plan)
  if (!now || !leastFilm(plan.inputs).value) return []
  const [least, most] = [depthRange.least, depthRange.most].map(um => coatCount(atDepth(plan, um, done)))
  const counts = Array.from({ length: 2 * COATS + 1 }, (_, index) => now - COATS + index)
  return counts.filter(count => count !== now && count >= (least ?? now) && count <= (most ?? now)).map(count => ({ kind: 'coats', count }))
}

const atDepth = (plan: Plan, um: number, done: ReadonlySet<string>): Plan =>
  revisePlan(plan, { wishes: { ...plan.inputs.wishes, depth: um } }, done)

/** The plan of so many coats: with the deepest film that asks for no more, on a scale where each step is the same part. */
function withCoats(plan: Plan, count: number, done: ReadonlySet<string>): Plan {
  let [low, high]: [number, number] = [depthRange.least, depthRange.most]
  let best = atDepth(plan, low, done)
  while (high / low > 1 + CLOSE) {
    const middle = Math.sqrt(low * high)
    const at = atDepth(plan, Math.round(middle * 10) / 10, done)
    if (coatCount(at) <= count) [low, best] = [middle, at]
    else high = middle
  }
  return best
}

/**
 * The plan with something otherwise; what is done of it stays done.
 * @throws Error for a method that is not among those there are
 */
export function branchOf(plan: Plan, change: Change, methods: readonly Method[], done: ReadonlySet<string> = new Set()): Branch {
  const { inputs } = plan
  const { wishes, climate, shelf } = inputs
  const revised = (by: Partial<Plan['inputs']>): Branch => ({ plan: revisePlan(plan, by, done), hand: {} })
  switch (change.kind) {
    case 'without': {
      const ladder = wishes.ladder?.filter(id => id !== change.abrasive)
      const refuse = [...wishes.refuse ?? [], change.abrasive]
      return revised({ wishes: { ...wishes, ...(ladder ? { ladder } : { refuse }) } })
    }
    case 'paper': {
      const ladder = bareGrits(plan.steps).map(step => step.abrasive.id)
      const refuse = wishes.refuse?.filter(id => id !== change.other)
      const other = ladder.map(id => (id === change.abrasive ? change.other : id))
      return revised({ wishes: { ...wishes, ladder: other, ...(refuse ? { refuse } : {}) } })
    }
    case 'coats': return { plan: withCoats(plan, change.count, done), hand: {} }
    case 'depth': return revised({ wishes: { ...wishes, depth: change.um } })
    case 'method': {
      const method = must(methods.find(one => one.id === change.method), 'a finish is chosen from those there are')
      return revised({ method })
    }
    case 'colder': case 'warmer': return revised({ climate: { ...climate, celsius: climate.celsius + STEPS[change.kind] } })
    case 'damper': return revised({ climate: { ...climate, humidity: Math.min(95, climate.humidity + STEPS.damper) } })
    case 'worn': {
      const abrasives = shelf.abrasives.map(one => ({ ...one, worn: Math.max(one.worn ?? 0, STEPS.worn) }))
      return revised({ shelf: { ...shelf, abrasives } })
    }
    case 'hurry': return { plan, hand: { hurry: STEPS.hurry } }
    case 'beginner': return { plan, hand: { beginner: true } }
  }
}

/**
 * The plan with several things otherwise at once, as words of an address have them (`changeWord`), each on what the one before left. Words
 * that are none, or cannot be any more, are passed over.
 */
export function branchAlong(plan: Plan, words: readonly string[], methods: readonly Method[], done?: ReadonlySet<string>): LongBranch {
  return words.reduce<LongBranch>((so, word) => {
    const change = changesFor(so.plan, methods, done).find(one => changeWord(one) === word)
    if (!change || !so.changes.every(one => goTogether(one, change))) return so
    const next = branchOf(so.plan, change, methods, done)
    return { plan: next.plan, hand: { ...so.hand, ...next.hand }, changes: [...so.changes, change] }
  }, { plan, hand: {}, changes: [] })
}

/** A branch in which several things may be otherwise. */
export interface LongBranch extends Branch {
  /** What is otherwise. */
  changes: readonly Change[]
}

/** Changes of which only one can be at a time: another depth or finish takes the place of the one before. */
const APART: readonly (readonly Change['kind'][])[] = [['depth', 'coats'], ['method'], ['colder', 'warmer']]

/** Whether two changes can be made at once. */
export const goTogether = (one: Change, other: Change): boolean =>
  changeWord(one) !== changeWord(other) && !APART.some(kinds => kinds.includes(one.kind) && kinds.includes(other.kind))

/** Changes of the plan, that can be kept; the others are of the room or of the hand. */
const KEPT: readonly Change['kind'][] = ['without', 'paper', 'coats', 'depth', 'method']
/** Whether a change is one of the plan. */
export const canBeKept = ({ kind }: Change): boolean => KEPT.includes(kind)

/** A change as a word of an address. */
export function changeWord(change: Change): string {
  switch (change.kind) {
    case 'without': return `without.${change.abrasive}`
    case 'paper': return `paper.${change.abrasive}.${change.other}`
    case 'coats': return `coats.${change.count}`
    case 'depth': return `depth.${change.um}`
    case 'method': return `method.${change.method}`
    default: return change.kind
  }
}
