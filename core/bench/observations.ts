import { barePass, gritOverhead, traceOnce, type Plan } from '../plan'
import { capacity, deepest, timeConstant, type SandingObservation } from '../sanding'
import { isResin } from '../shelf'
import type { BenchEvent } from './event'
import { isPause, secondsBetween } from './pause'
import { leftOut, type BenchState } from './replay'

/** Less sanding than this cannot be told from none, s. */
const LEAST = 1
/** After so many looks at one grit nobody learns more of it. */
const MOST_LOOKS = 4

/** What one look told, and when it was, ISO 8601. */
export type DatedObservation = SandingObservation & { at: string }

/**
 * What a pen's log tells about its turner's sanding: for every grit that was looked at, the time it had been sanded (change of paper
 * and the look taken off) and whether the scratches before it were gone. “Cannot tell” tells nothing, and a pause nothing either. Only
 * bare wood is learnt from. The passes are those of the model without what was learnt before.
 */
export function sandingObservations({ plan, steps, held }: BenchState): DatedObservation[] {
  if (isResin(plan.inputs.material)) return []
  const bare = unlearnt(plan)
  const entries = held.all.filter(event => event.kind !== 'undo')
  return traceOnce(bare, leftOut(steps)).steps.flatMap(({ step, before, handsOn }) => {
    if (step.kind !== 'sand') return []
    const about = (event: BenchEvent) => (event.kind === 'done' || event.kind === 'look') && event.payload.step === step.id
    const start = entries[entries.findIndex(about) - 1]
    if (!start) return []
    const pass = barePass(bare.inputs)(step.abrasive)
    const told = { depth: deepest(before.wood), capacity: capacity(pass), tau: timeConstant(pass) }
    return entries.filter(event => about(event) && tells(event)).slice(0, MOST_LOOKS).flatMap((event, index) => {
      const seconds = secondsBetween(start.at, event.at) - (index + 1) * gritOverhead.value
      return seconds > LEAST && !isPause(seconds, handsOn.value) ? [{ ...told, seconds, gone: event.kind === 'done', at: event.at }] : []
    })
  })
}

const bareOf = new WeakMap<Plan, Plan>()

/** A plan without what was learnt before; the same one each time. */
function unlearnt(plan: Plan): Plan {
  const { own, ...inputs } = plan.inputs
  const bare = bareOf.get(plan) ?? (own ? { ...plan, inputs } : plan)
  bareOf.set(plan, bare)
  return bare
}

const tells = (event: BenchEvent): boolean => event.kind === 'done' || (event.kind === 'look' && event.payload.answer === 'not yet')
