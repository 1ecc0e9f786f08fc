import type { Fitting } from '../barrel'
import { coatPlace, stepWords, waitWords, type StepId } from '../plan'
import { isResin } from '../shelf'
import type { UnitWords } from '../units'
import type { Board } from './board'
import { isOpen } from './course'
import { isSettled } from './replay'

/** How far a pen is. */
export type PenStage = 'planned' | 'in work' | 'finished'

/** One pen as the bench lists it. Follows from plan and log; what depends on the clock (“free now”) is left to whoever has one. */
export interface PenSummary {
  /** How far it is. */
  stage: PenStage
  /** Its metal parts. */
  fitting: Fitting
  /** What it is made of, as far as it is drawn. */
  material: { name: string, colour: string, resin: boolean }
  /** What to do next, in words (`says`: in one line, a coat with its place among all); null when finished. */
  next: { step: StepId, title: string, how: string, says: string } | null
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
}

/** The summary of one pen, in the turner's units. */
export function summarise({ state, traced }: Board, units: UnitWords): PenSummary {
  const { plan, steps, held } = state
  const next = traced.steps.find(one => one.step.id === state.next?.id)
  const wait = state.waits.find(one => one.before === state.next?.id)
  const { fitting, material } = plan.inputs
  const open = traced.steps.filter((_, index) => steps[index]?.status === 'open')
  const words = next && stepWords(plan, next, units, traced)
  const place = next && coatPlace(plan, next.step)
  return {
    stage: state.finished ? 'finished' : state.begun ? 'in work' : 'planned',
    fitting,
    material: { name: material.name, colour: material.colour, resin: isResin(material) },
    next:
      next && words
        ? { step: next.step.id, title: words.title, how: words.how, says: place ? `${words.work}, ${place}` : words.title }
        : null,
    wait: wait ? { words: waitWords[wait.purpose], from: wait.from, until: wait.until } : null,
    coats: state.coats,
    stepsDone: steps.filter(isSettled).length,
    stepsPlanned: steps.length,
    openDefects: state.defects.filter(isOpen).length,
    handsOnLeft: open.reduce((sum, one) => sum + one.handsOn.value, 0),
    lastEntryAt: held.all.findLast(event => event.kind !== 'undo')?.at ?? null,
  }
}

/** What is left of a pen when it is worked straight through from here, waits of the plan kept, s; 0 when nothing is. */
export function timeLeft({ state, traced }: Board): number {
  const open = traced.steps.filter((_, index) => state.steps[index]?.status === 'open')
  const [first, last] = [open[0], open.at(-1)]
  return first && last ? last.ends - first.begins : 0
}
