import { HARD_AT } from '../climate'
import type { FilmStep } from '../film'
import type { Rung } from '../sanding'
import {
  coatAsFilm, gritRung, handsOnTime, isGrit, isTouched, overheadOf, stepWaits, stripsAll, wipedOff, type GritStep, type Plan,
  type StepKind,
} from '../plan'

/** A coat as a run lays it. */
export interface LaidCoat {
  /** Its product. */
  product: string
  /** As the film model takes it; absent for what builds no film. */
  film?: Extract<FilmStep, { kind: 'coat' }>
}

/** A wait before a step. */
interface CompiledWait {
  /** The place of the step it counts from. */
  since: number
  /** As planned, s. */
  seconds: number
  /** Where a finger tells: the product, and which coat of the run it counts from. */
  touched?: { product: string, coat: number }
}

/** A step with all that no run changes worked out beforehand. */
export interface CompiledStep {
  /** Its kind. */
  kind: StepKind
  /** Hands on it as planned, s; of a grit what its changes take for each piece. */
  seconds: number
  /** What is sanded with. */
  grit?: { rung: Rung, step: GritStep, place: number }
  /** What is put on, and which coat of all it is. */
  coat?: LaidCoat & { place: number }
  /** Whether the finish is sanded off down to the wood. */
  strips: boolean
  /** What is waited for before it. */
  waits: readonly CompiledWait[]
}

/** A plan made ready to be played many times. Mends that were chosen count as if they were planned; of barrels that catch up only time. */
export interface Compiled {
  /** Its steps in their order. */
  steps: readonly CompiledStep[]
  /** How many of them sand. */
  grits: number
  /** How many are coats. */
  coats: number
  /** Products that build a film. */
  builds: readonly string[]
  /** Products whose waits a finger tells. */
  waits: readonly string[]
}

/** Makes a plan ready. */
export function compile(plan: Plan): Compiled {
  const off = wipedOff(plan.steps)
  const places = new Map(plan.steps.map((step, index) => [step.id, index]))
  const coatPlaces = new Map<string, number>()
  let [grits, coats] = [0, 0]
  let under: string | undefined
  const steps = plan.steps.map((step): CompiledStep => {
    const waits = stepWaits(plan, step, plan.inputs.climate).map((wait): CompiledWait => {
      const from = plan.steps[places.get(wait.since) ?? 0]
      const isTold = step.gate && isTouched(step.gate.purpose) && from?.kind === 'coat'
      return {
        since: places.get(wait.since) ?? 0, seconds: wait.length.value,
        ...(isTold ? { touched: { product: from.product.id, coat: coatPlaces.get(from.id) ?? 0 } } : {}),
      }
    })
    const base = { kind: step.kind, waits, strips: stripsAll(step) }
    if (stripsAll(step)) under = undefined
    if (isGrit(step)) {
      const rung = gritRung(plan.inputs, step)
      const grit = { rung, step, place: grits++ }
      return { ...base, seconds: overheadOf(plan.inputs, step.abrasive).value, ...(step.apart ? {} : { grit }) }
    }
    const seconds = handsOnTime(plan.inputs, step, undefined).value
    if (step.kind !== 'coat') return { ...base, seconds }
    coatPlaces.set(step.id, coats)
    const film = step.apart || off.has(step.id) ? undefined : coatAsFilm(plan.inputs, step, under)
    if (film) under = step.product.id
    return { ...base, seconds, coat: { product: step.product.id, place: coats++, ...(film ? { film } : {}) } }
  })
  const distinct = (all: readonly string[]) => [...new Set(all)]
  return {
    steps, grits, coats,
    builds: distinct(steps.flatMap(({ coat }) => (coat?.film ? [coat.product] : []))),
    waits: distinct(steps.flatMap(one => one.waits.flatMap(({ touched }) => touched?.product ?? []))),
  }
}

/** A coat is hard after so much of its wait, in the middle of all. */
export const hardAfter = (seconds: number): number => HARD_AT * seconds
