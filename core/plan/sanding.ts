import { abrasiveName, grainSize } from '../abrasives'
import { barrelNames } from '../barrel'
import {
  bestLadders, capacity, costOfMissing, freshSurface, heatOf, lifeUsed, reviewLadder, stepFor, waysOn, work, worthBuying, worthOfSteps,
  type Heat, type Ladder, type LadderProblem, type Review, type Rung, type WayOn,
} from '../sanding'
import type { PlanInputs, ShelfAbrasive } from './inputs'
import { passOf } from './ladder'
import type { Plan, Step, StepOf } from './plan'
import { gritOverhead, mayLeave } from './targets'
import type { PlanTrace } from './trace'
import { coarsestGrain, mediumOf, sandSpeed, startMarks } from './traits'

/** Tool marks are a guess and vary: the first grit must be able to take out this many times their depth with one piece [model]. */
export const MARKS_MARGIN = 2

const passFor = (inputs: PlanInputs) => (abrasive: ShelfAbrasive) => passOf(abrasive, mediumOf(inputs.material), inputs.fitting, sandSpeed(inputs).value, inputs.own)

/** The abrasives of the shelf that may sand the bare blank: dry ones, no coarser than it bears, none the turner refuses. */
export function usableBare(inputs: PlanInputs): ShelfAbrasive[] {
  const refused = new Set(inputs.wishes.refuse)
  return inputs.shelf.abrasives.filter(one => one.dry && !refused.has(one.id) && grainSize(one.scale, one.mark) <= coarsestGrain(inputs.material).value)
}

/** Finest grain to begin with, µm: the finest of the shelf that can take out twice the tool's marks with one piece. */
export function firstGrain(inputs: PlanInputs, abrasives: readonly ShelfAbrasive[], from: number): number {
  const pass = passFor(inputs)
  const needed = abrasives.filter(one => capacity(pass(one)) >= MARKS_MARGIN * from).map(one => pass(one).grain)
  return needed.length ? Math.min(...needed) : Math.max(0, ...abrasives.map(one => pass(one).grain))
}

/** The search for the bare blank's ladder, as the turner's wishes have it. */
export function sandingProblem(inputs: PlanInputs): LadderProblem {
  const abrasives = usableBare(inputs)
  const from = startMarks(inputs.wishes).value
  return {
    from, target: mayLeave(inputs).value, overhead: gritOverhead.value, greatestJump: jumpOf(inputs), firstGrain: firstGrain(inputs, abrasives, from),
    rungs: abrasives.map(one => ({ id: one.id, pass: passFor(inputs)(one) })),
    insist: (inputs.wishes.insist ?? []).filter(id => abrasives.some(one => one.id === id)),
  }
}

/** Greatest jump: the turner's own (0 lifts it), else the method's. */
export const jumpOf = ({ wishes, method }: PlanInputs): number => wishes.jump === 0 ? Infinity : wishes.jump ?? method.greatestJump

/** A ladder that is offered: what it is, and how long it takes. */
export interface Proposal {
  name: 'best for my shelf' | 'next best' | 'the short one' | 'the careful one'
  ids: readonly string[]
  seconds: number
}

/** Ladders to choose from: the quickest, the next few, one of few grits, one of small jumps. Alike ones once. */
export function proposals(inputs: PlanInputs): Proposal[] {
  const problem = sandingProblem(inputs)
  const asked = (name: Proposal['name'], ladder: Ladder | undefined): Proposal[] => ladder ? [{ name, ids: ladder.steps.map(step => step.rung.id), seconds: secondsOf(ladder, problem.overhead) }] : []
  const [best, ...next] = bestLadders(problem, 4)
  // Dear changes of paper make the search take few grits; a small jump makes it take many.
  const short = bestLadders({ ...problem, overhead: problem.overhead * 8, greatestJump: Infinity })[0]
  const careful = [1.5, 1.6, 1.75].flatMap(jump => bestLadders({ ...problem, greatestJump: Math.min(jump, problem.greatestJump) }))[0]
  const seen = new Set<string>()
  return [...asked('best for my shelf', best), ...asked('the short one', short), ...asked('the careful one', careful), ...next.flatMap(one => asked('next best', one))]
    .filter(one => !seen.has(one.ids.join()) && seen.add(one.ids.join()))
}

const secondsOf = (ladder: Ladder, overhead: number): number => ladder.steps.reduce((sum, step) => sum + step.seconds + step.pieces * overhead, 0)

type SandStep = StepOf<'sand'>
const sandSteps = (plan: Plan): SandStep[] => plan.steps.filter((step): step is SandStep => step.kind === 'sand')

/** The plan's ladder on the bare blank, reviewed: what each grit takes and leaves, and what is wrong with the order. */
export function reviewOf(plan: Plan, traced: PlanTrace): Review {
  const { inputs } = plan
  const pass = passFor(inputs)
  return reviewLadder(sandSteps(plan).map(({ abrasive }) => ({
    id: abrasive.id, name: abrasiveName(abrasive), scale: abrasive.scale, number: abrasive.mark, pass: pass(abrasive), wet: !abrasive.dry,
  })), {
    from: startMarks(inputs.wishes).value, origin: `the ${inputs.wishes.tool}`, forgives: mayLeave(inputs).value, greatestJump: jumpOf(inputs), overhead: gritOverhead.value,
    bare: mediumOf(inputs.material).kind === 'wood',
    // An end of one's own that is turned too small has that much less to spare; as worked out, sanding takes what was left for it.
    toSpare: traced.ends.filter(end => end.over < 0).map(end => ({ end: `${end.end} end of the ${barrelNames[end.barrel]}`, depth: traced.sandingTakes.value + end.over / 2 * 1000 })),
  })
}

/** Why a grit is there, and why the others are not missed: s that each would cost. */
export interface LadderReasons {
  steps: { id: string, costs: number }[]
  missing: { id: string, costs: number }[]
  buy?: { id: string, saves: number }
}

/** The reasons of the best ladder for these inputs; `offers` are the abrasives that could be bought. */
export function ladderReasons(inputs: PlanInputs, offers: readonly ShelfAbrasive[]): LadderReasons | undefined {
  const problem = sandingProblem(inputs)
  const [best] = bestLadders(problem)
  if (!best) return undefined
  const there = new Set(inputs.shelf.abrasives.map(one => one.id))
  const bearable = offers.filter(one => one.dry && !there.has(one.id) && grainSize(one.scale, one.mark) <= coarsestGrain(inputs.material).value)
  const bought = worthBuying(problem, bearable.map((one): Rung => ({ id: one.id, pass: passFor(inputs)(one) })))
  const told = (all: { rung: Rung, costs: number }[]) => all.map(({ rung, costs }) => ({ id: rung.id, costs }))
  return { steps: told(worthOfSteps(problem, best)), missing: told(costOfMissing(problem, best)), ...(bought ? { buy: { id: bought.rung.id, saves: bought.saves } } : {}) }
}

/** One grit as it is worked: time on the paper, heat, and how much of a piece it uses up. */
export interface GritAtWork {
  seconds: number
  pieces: number
  heat: Heat
  /** Part of the (last) piece's life that is gone afterwards, 0 to 1. */
  life: number
  /** What stays of the scratches before it when it is stopped at half its time, µm. */
  leftAtHalf: number
}

/** Time, heat and wear of a grit of the plan; undefined for other steps. */
export function gritAtWork(plan: Plan, traced: PlanTrace, step: Step): GritAtWork | undefined {
  if (step.kind !== 'sand') return undefined
  const found = traced.steps.find(one => one.step.id === step.id)
  if (!found?.grit) return undefined
  const pass = passFor(plan.inputs)(step.abrasive)
  const planned = stepFor({ id: step.id, pass }, found.grit.removes.value, gritOverhead.value)
  const seconds = planned?.seconds ?? 0
  const pieces = Math.max(1, planned?.pieces ?? 1)
  const depth = found.grit.removes.value
  const half = work(freshSurface('before', depth / pieces), pass, seconds / pieces / 2)
  return { seconds, pieces, heat: heatOf(pass, seconds / pieces), life: lifeUsed(pass, seconds / pieces), leftAtHalf: half.scratches.find(one => one.origin === 'before')?.depth ?? 0 }
}

/** After “not yet”: the cheapest ways on for a grit that was sanded `spent` s, when about `left` µm of what was before it are still there. */
export function waysOnFrom(plan: Plan, step: SandStep, spent: number, left: number): WayOn[] {
  const pass = passFor(plan.inputs)
  const coarser = usableBare(plan.inputs).filter(one => pass(one).grain > pass(step.abrasive).grain * 1.05)
  return waysOn({ id: step.abrasive.id, pass: pass(step.abrasive) }, spent, left, coarser.map(one => ({ id: one.id, pass: pass(one) })), gritOverhead.value)
}
