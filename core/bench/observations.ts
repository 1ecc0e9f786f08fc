import { capacity, deepest, timeConstant, type SandingObservation } from '../sanding'
import { gritOverhead, mediumOf, passOf, sandSpeed, trace, type Plan } from '../plan'
import { inOrder, type BenchEvent } from './event'
import { leftOut, replay } from './replay'
import { takenBack } from './undo'

/** A gap this long, s, is a pause: nothing is learnt from it. */
const PAUSE = 900

/**
 * What a pen's log tells about its turner's sanding: for every grit that was looked at, the time it had been sanded (change of paper and the look taken off) and whether the scratches before
 * it were gone. “Cannot tell” tells nothing. Only bare wood is learnt from. The passes are those of the model without what was learnt before.
 */
export function sandingObservations(planned: Plan, events: Iterable<BenchEvent>): SandingObservation[] {
  const log = inOrder(events)
  const state = replay(planned, log)
  const { plan } = state
  const { inputs } = plan
  const medium = mediumOf(inputs.material)
  if (medium.kind !== 'wood') return []
  const back = takenBack(log)
  const held = log.filter(event => !back.has(event.id) && event.kind !== 'undo')
  const traced = trace({ ...plan, inputs: { ...inputs, own: undefined } }, leftOut(state.steps))
  return traced.steps.flatMap(({ step, before }) => {
    if (step.kind !== 'sand') return []
    const pass = passOf(step.abrasive, medium, inputs.fitting, sandSpeed(inputs).value)
    const first = held.findIndex(event => (event.kind === 'done' || event.kind === 'look') && event.payload.step === step.id)
    const start = held[first - 1]
    if (first < 1 || !start) return []
    const answers = held.filter(event => (event.kind === 'look' && event.payload.answer === 'not yet' && event.payload.step === step.id) || (event.kind === 'done' && event.payload.step === step.id))
    return answers.slice(0, 4).flatMap((event, index): SandingObservation[] => {
      const seconds = (Date.parse(event.at) - Date.parse(start.at)) / 1000 - (index + 1) * gritOverhead.value
      return seconds > 1 && seconds < PAUSE ? [{ depth: deepest(before.wood), capacity: capacity(pass), tau: timeConstant(pass), seconds, gone: event.kind === 'done' }] : []
    })
  })
}
