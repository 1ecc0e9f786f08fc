import type { BarrelId } from '../barrel'
import type { RepairOf } from '../defects'
import type { Applicator } from '../film'
import type { PlanInputs, Product, ShelfAbrasive, WaitPurpose } from './inputs'

/** The order of the work; a step never comes before one of an earlier phase. */
export const phases = ['blank', 'turn', 'sand', 'clean', 'coat', 'level', 'assemble'] as const
export type Phase = typeof phases[number]

/** A wait that must be over before a step: for what, counted from the nearest step of that kind before it. */
export interface Gate {
  purpose: WaitPurpose
  since: 'tube' | 'harden' | 'fill' | 'coat' | 'set aside'
}

interface StepBase {
  /** Stays the same from version to version for the same piece of work, so that what was done stays done. */
  id: string
  phase: Phase
  barrels: readonly BarrelId[]
  gate?: Gate
  /** Of a step that is done again: the defect it is done again for. */
  again?: string
  /** Of a step that a mend put in: the mend it belongs to. */
  mend?: string
  /** Of a mend’s step on a barrel that catches up with the rest: what it leaves there is followed apart. */
  apart?: true
}

export type CleanHow = 'blow' | 'alcohol' | 'rinse'

/** Small work by hand that a mend asks for. */
export type FixHow = 'ream' | 'press on' | 'take apart' | 'flush the end' | 'ease the end' | 'touch up'

/** One step of a plan: what is to be done, and nothing that can be worked out from the rest. */
export type Step = StepBase & (
  | { kind: 'parts' | 'cut' | 'drill' | 'dry' | 'square' | 'turn' | 'ends' | 'assemble' | 'check' }
  | { kind: 'tube', product: Product | null, accelerated: boolean }
  | { kind: 'fill', product: Product, accelerated: boolean, repair: RepairOf }
  | { kind: 'flush', repair: RepairOf }
  | { kind: 'harden', product: Product }
  | { kind: 'sand', abrasive: ShelfAbrasive }
  | { kind: 'clean', how: CleanHow }
  | { kind: 'polish', product: Product }
  | { kind: 'try' | 'wipe off', product: Product }
  | { kind: 'buff' }
  /** `speed` is in rev/min, 0 with the lathe off; `mends` names the defect that it covers. */
  | { kind: 'coat', product: Product, number: number, accelerated: boolean, soak: boolean, speed: number, applicator: Applicator, mends?: string }
  | { kind: 'level', abrasive: ShelfAbrasive }
  | { kind: 'smooth' | 'cut back', abrasive: ShelfAbrasive }
  /** The finish is sanded off down to the wood: all of it, or at the place of a defect. */
  | { kind: 'sand back', abrasive: ShelfAbrasive, whole: boolean }
  /** Left alone in the warm for so many s, and looked at again. */
  | { kind: 'set aside', seconds: number }
  | { kind: 'look again' }
  | { kind: 'fix', how: FixHow }
)

export type StepKind = Step['kind']
export type StepOf<K extends StepKind> = Extract<Step, { kind: K }>

/** A plan is a value: its inputs and its steps. Time, film, scratches and diameters are worked out from it by `trace`. */
export interface Plan {
  form: 1
  inputs: PlanInputs
  steps: readonly Step[]
}

const NONE: ReadonlySet<string> = new Set()

/** Waits that every product put on has to keep, not only the last: a lacquer under a wax cures on. */
const OF_EACH: ReadonlySet<WaitPurpose> = new Set(['level', 'assemble', 'hand over'])

/**
 * The steps that a gate counts from: the nearest one of its kind before the gated step, those left out passed over; for what must be hard all through, the last coat of every product.
 */
export function gateSince(plan: Plan, step: Step, leftOut = NONE): Step[] {
  const { gate } = step
  if (!gate) return []
  const before = plan.steps.slice(0, plan.steps.indexOf(step)).filter(earlier => earlier.kind === gate.since && !leftOut.has(earlier.id))
  if (!OF_EACH.has(gate.purpose)) return before.slice(-1)
  return [...new Map(before.map(earlier => ['product' in earlier ? earlier.product?.id : '', earlier])).values()]
}

/** The coats that stand in the end: those since the finish was last sanded off, without those of a barrel that catches up. */
function standingCoats(plan: Plan): StepOf<'coat'>[] {
  const last = plan.steps.findLastIndex(step => step.kind === 'sand back' && step.whole)
  return plan.steps.slice(last + 1).filter((step): step is StepOf<'coat'> => step.kind === 'coat' && !step.apart)
}

/** How many coats of film the plan puts on. */
export const coatCount = (plan: Plan): number => standingCoats(plan).length
