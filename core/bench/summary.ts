import type { Fitting } from '../barrel'
import { coatPlace, stepWords, waitWords, type PlanInputs, type StepId } from '../plan'
import { isResin } from '../shelf'
import type { UnitWords } from '../units'
import type { Board } from './board'
import { isOpen } from './course'
import { isSettled, type BenchState } from './replay'
import { operationOf } from './together/operation'
import type { Gone } from './whereabouts'

/** How far a pen is. */
export type PenStage = 'planned' | 'in work' | 'finished' | 'set aside' | 'given up'

/** One pen as the bench lists it. Follows from plan and log; what depends on the clock (“free now”) is left to whoever has one. */
export interface PenSummary {
  /** How far it is. */
  stage: PenStage
  /** Its metal parts. */
  fitting: Fitting
  /** What it is made of, as far as it is drawn. */
  material: { name: string, colour: string, resin: boolean }
  /**
   * What to do next, in words (`says`: in one line, a coat with its place among all; `together`: the same for all pens on which the same
   * can be done together); null when finished.
   */
  next: { step: StepId, title: string, how: string, says: string, together: string | null } | null
  /** The wait before the next step, if one was started. */
  wait: { words: string, from: string, until: string } | null
  /** Coats that are on, and planned. */
  coats: { on: number, planned: number }
  /** Steps done or left out. */
  stepsDone: number
  /** Steps in all. */
  stepsPlanned: number
  /** Defects that something has to be decided about. */
  openDefects: number
  /** Planned time with hands on it that is still to come, s. */
  handsOnLeft: number
  /** When the last entry was made; null before the first. */
  lastEntryAt: string | null
  /** Its shapes where they are not the usual ones, barrel by barrel. */
  shapes?: NonNullable<PlanInputs['wishes']['shapes']>
  /** How it went to somebody, and when; absent while it is here. */
  gone?: Gone
  /** The picture that was taken of it last; absent without one. */
  picture?: string
  /** Why it cannot be worked out, in plain words; absent when it can. Nothing else of it is known then but what it is made of. */
  broken?: string
}

/** The summary of one pen, in the turner's units. */
export function summarise({ state, traced }: Board, units: UnitWords): PenSummary {
  const { plan, steps, held } = state
  const ahead = state.away || state.gone ? undefined : state.next?.id
  const next = traced.steps.find(one => one.step.id === ahead)
  const wait = state.waits.find(one => one.before === ahead)
  const { fitting, material } = plan.inputs
  const picture = state.remarks.findLast(one => one.photo !== undefined)?.photo
  const open = traced.steps.filter((_, index) => steps[index]?.status === 'open')
  const words = next && stepWords(plan, next, units, traced)
  const place = next && coatPlace(plan, next.step)
  return {
    stage: stageOf(state),
    fitting,
    material: { name: material.name, colour: material.colour, resin: isResin(material) },
    next:
      next && words
        ? {
            step: next.step.id,
            title: words.title,
            how: words.how,
            says: place ? `${words.work}, ${place}` : words.title,
            together: operationOf(next.step, plan.inputs)?.key ?? null,
          }
        : null,
    wait: wait ? { words: waitWords[wait.purpose], from: wait.from, until: wait.until } : null,
    coats: state.coats,
    stepsDone: steps.filter(isSettled).length,
    stepsPlanned: steps.length,
    openDefects: state.defects.filter(isOpen).length,
    handsOnLeft: open.reduce((sum, one) => sum + one.handsOn.value, 0),
    lastEntryAt: held.all.findLast(event => event.kind !== 'undo')?.at ?? null,
    ...(plan.inputs.wishes.shapes ? { shapes: plan.inputs.wishes.shapes } : {}),
    ...(picture === undefined ? {} : { picture }),
    ...(state.gone ? { gone: state.gone } : {}),
  }
}

/** How far it is; what was never meant counts as given up, what went to somebody as finished. */
function stageOf({ away, gone, finished, begun }: BenchState): PenStage {
  if (away) return away.how === 'set aside' ? 'set aside' : 'given up'
  return finished || gone ? 'finished' : begun ? 'in work' : 'planned'
}

/** Why a pen cannot be worked out, and what to do, in plain words: its plan cannot be read, or its log does not fit it. */
export const brokenWords = {
  plan: 'Its plan cannot be read. What was entered is kept: plan it anew.',
  log: 'Its plan and its log do not fit together. What was entered is kept: choose the fitting again, or plan it anew.',
} as const

/** What is known of a pen that cannot be worked out. */
export interface Unworked extends Pick<PenSummary, 'fitting' | 'material' | 'lastEntryAt'> {
  /** Why not, in plain words. */
  why: string
}

/** The summary of a pen that cannot be worked out, so that it has its row in lists as all others have. */
export const brokenSummary = ({ why, ...known }: Unworked): PenSummary => ({
  ...known,
  stage: known.lastEntryAt === null ? 'planned' : 'in work',
  next: null,
  wait: null,
  coats: { on: 0, planned: 0 },
  stepsDone: 0,
  stepsPlanned: 0,
  openDefects: 0,
  handsOnLeft: 0,
  broken: why,
})
