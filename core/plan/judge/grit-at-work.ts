import { fresh, freshSurface, heatOf, lifeUsed, waysOn, work, type Heat, type WayOn } from '../../sanding'
import { coarserThan } from '../../shelf'
import { barePass, gritRung, rungOf, usableBare, workedGrit } from '../make'
import type { Plan, Step, StepOf } from '../model'
import type { PlanTrace } from '../trace'

/** One grit as it is worked: time on the paper, heat, and how much of a piece it uses up. */
export interface GritAtWork {
  /** On the paper, s, all pieces together. */
  seconds: number
  /** Fresh pieces it takes. */
  pieces: number
  /** How warm it gets. */
  heat: Heat
  /** Part of the (last) piece's life that is gone afterwards, 0 to 1. */
  life: number
  /** What stays of the scratches before it when it is stopped at half its time, µm. */
  leftAtHalf: number
}

/** Time, heat and wear of a grit of the plan; undefined for other steps. */
export function gritAtWork(plan: Plan, traced: PlanTrace, step: Step): GritAtWork | undefined {
  const grit = step.kind === 'sand' ? traced.steps.find(one => one.step.id === step.id)?.grit : undefined
  if (step.kind !== 'sand' || !grit) return undefined
  const { seconds, pieces, times } = workedGrit(plan.inputs, step, grit.removes.value)
  const inHand = barePass(plan.inputs)(step.abrasive)
  const last = pieces > 1 ? fresh(inHand) : inHand
  const lastTime = times.at(-1) ?? 0
  const half = work(freshSurface('before', grit.removes.value / pieces), last, lastTime / 2)
  return {
    seconds,
    pieces,
    heat: heatOf(last, Math.max(...times)),
    life: lifeUsed(last, lastTime),
    leftAtHalf: half.scratches.find(one => one.origin === 'before')?.depth ?? 0,
  }
}

/** Grains nearer than this, as a ratio, are no way back. */
const COARSER = 1.05
/** However long a grit was sanded, this part of what it was to take off is still there when somebody says “not yet” [model]. */
const LEAST_LEFT = 0.2
/** Somebody who says “not yet” needs about this many times the time that was planned [model]. */
const SLOWER = 2

/** After “not yet”: the cheapest ways on for a grit of the plan that was sanded `spent` s so far. Empty for a grit that is not there. */
export function waysOnFrom(plan: Plan, traced: PlanTrace, step: StepOf<'sand'>, spent: number): WayOn[] {
  const grit = traced.steps.find(one => one.step.id === step.id)?.grit
  if (!grit) return []
  const depth = grit.removes.value
  const left = Math.max(depth * LEAST_LEFT, depth * (1 - spent / Math.max(1, SLOWER * grit.seconds)))
  const pass = barePass(plan.inputs)
  const here = pass(step.abrasive)
  const coarser = coarserThan(step.abrasive, usableBare(plan.inputs)).filter(one => pass(one).grain > here.grain * COARSER)
  return waysOn(gritRung(plan.inputs, step), spent, left, coarser.map(rungOf(plan.inputs, pass)), 0)
}
