import type { Fitting } from '../barrel'
import { isResin, stepWords, trace, waitWords, type Plan } from '../plan'
import type { AirReading } from '../climate'
import type { UnitWords } from '../units'
import { isOpen } from './defects'
import type { BenchEvent } from './event'
import { leftOut, replay } from './replay'

export type PenStage = 'planned' | 'in work' | 'finished'

/** One pen as the bench lists it. Follows from plan and log; what depends on the clock (“free now”) is left to whoever has one. */
export interface PenSummary {
  stage: PenStage
  fitting: Fitting
  material: { name: string, colour: string, resin: boolean }
  /** What to do next, in words; null when finished. */
  next: { step: string, title: string, how: string } | null
  /** The wait before the next step, if one was started. */
  wait: { words: string, from: string, until: string } | null
  coats: { on: number, planned: number }
  stepsDone: number
  stepsPlanned: number
  openDefects: number
  /** Planned time with hands on it that is still to come, s. */
  handsOnLeft: number
  lastEntryAt: string | null
}

/** The summary of one pen, in the turner's units. */
export function summarise(planned: Plan, events: readonly BenchEvent[], units: UnitWords, air: readonly AirReading[] = []): PenSummary {
  const state = replay(planned, events, air)
  const { plan } = state
  const traced = trace(plan, leftOut(state.steps))
  const next = traced.steps.find(one => one.step.id === state.next?.id)
  const wait = state.waits.find(one => one.before === state.next?.id)
  const { fitting, material } = plan.inputs
  const settled = state.steps.filter(one => one.status !== 'open')
  const open = new Set(state.steps.filter(one => one.status === 'open').map(one => one.step.id))
  const words = next && stepWords(plan, next, units, traced)
  return {
    stage: state.finished ? 'finished' : state.begun ? 'in work' : 'planned',
    fitting,
    material: { name: material.name, colour: material.colour, resin: isResin(material) },
    next: next && words ? { step: next.step.id, title: words.title, how: words.how } : null,
    wait: wait ? { words: waitWords[wait.purpose], from: wait.from, until: wait.until } : null,
    coats: state.coats,
    stepsDone: settled.length,
    stepsPlanned: state.steps.length,
    openDefects: state.defects.filter(isOpen).length,
    handsOnLeft: traced.steps.filter(one => open.has(one.step.id)).reduce((sum, one) => sum + one.handsOn.value, 0),
    lastEntryAt: state.log.findLast(entry => entry.inForce && entry.event.kind !== 'undo')?.event.at ?? null,
  }
}
