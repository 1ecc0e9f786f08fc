import { barePass, overheadOf, traceOnce } from '../plan'
import { capacity, deepest, timeConstant, type SandingObservation } from '../sanding'
import { isResin } from '../shelf'
import type { BenchEvent } from './event'
import { isShared } from './held'
import { isPause, secondsBetween } from './pause'
import { leftOut, type BenchState } from './replay'
import { typedAfterwards } from './typed'
import { unlearnt } from './unlearnt'

/** Less than this between two entries is no work, s. */
const LEAST = 1
/** After so many looks at one grit nobody learns more of it. */
const MOST_LOOKS = 4
/** Where the paper was tapped on, this part of the first change lies before [model]. */
const CHANGED = 0.5

/** What one grit told, and when it was left, ISO 8601. */
export type DatedObservation = SandingObservation & { at: string }

/**
 * What a pen's log tells about its turner's sanding: for every grit that was looked at, when the scratches before it were not gone yet and
 * when they were, from the entry before it or, where that was tapped, from “paper on”. “Cannot tell” tells nothing, a pause nothing
 * either, and nor do entries that were typed in afterwards. Only bare wood is learnt from. The passes are those of the model without what
 * was learnt before.
 */
export function sandingObservations({ plan, steps, held }: BenchState): DatedObservation[] {
  if (isResin(plan.inputs.material)) return []
  const bare = unlearnt(plan)
  const entries = held.all.filter(event => event.kind !== 'undo')
  const typed = typedAfterwards(entries)
  const usual = overheadOf({}, PAPER).value
  return traceOnce(bare, leftOut(steps)).steps.flatMap(({ step, before, handsOn }) => {
    if (step.kind !== 'sand') return []
    const about = (event: BenchEvent) => 'step' in event.payload && event.payload.step === step.id
    const seen = entries.filter(event => about(event) && tells(event)).slice(0, MOST_LOOKS)
    const last = seen.at(-1)
    const first = entries.findIndex(event => about(event) && (tells(event) || event.kind === 'look'))
    const on = entries.find(event => event.kind === 'begin' && about(event))
    const start = on ?? entries[first - 1]
    if (!last || !start || seen.some(event => typed.has(event.id))) return []
    // Of several pens together its part of the time is known, but not when it was looked at meanwhile.
    if (isShared(last) && seen.length > 1) return []
    const times = seen.map(event => (isShared(event) ? event.payload.shared.seconds : secondsBetween(start.at, event.at)))
    if (times.some(seconds => seconds <= LEAST || isPause(seconds, handsOn.value))) return []
    const pass = barePass(bare.inputs)(step.abrasive)
    const each = overheadOf({}, step.abrasive).value / usual
    const gone = last.kind === 'done'
    return [{
      depth: deepest(before.wood),
      capacity: capacity(pass),
      tau: timeConstant(pass),
      notYet: gone ? times.slice(0, -1) : times,
      gone: gone ? (times.at(-1) ?? null) : null,
      before: each * (on ? 1 - CHANGED : 1),
      each,
      at: last.at,
    }]
  })
}

/** A sheet of paper, whose change is what a turner's own is told against. */
const PAPER = { scale: 'P', mark: 320 } as const

const tells = (event: BenchEvent): boolean => event.kind === 'done' || (event.kind === 'look' && event.payload.answer === 'not yet')
