import { useEventListener } from '@vueuse/core'
import type { RunningWait } from '#core/bench'
import { coatPlace, stepWords } from '#core/plan'
import { keyboardWedge } from '#devices/wedge'
import { formatCountdown, formatSpan } from '#core/format'
import { cautionsFor } from '#reference'

/** Two presses closer than this are one finger that bounced, ms. */
const BOUNCE = 600

/** The wait before the next action, as the clock has it now. */
export interface NextWait extends RunningWait {
  /** Whether it has run out. */
  over: boolean
  /** What is left of it, in words or as a clock counts down. */
  countdown: string
  /** When it is over, on the clock. */
  ready: string
  /** Whether the latest time for the next step is past. */
  late: boolean
}

/** The next action of the pen at the bench: its words, its wait, and what each key does. */
export function useWork() {
  const store = usePen()
  const { units } = storeToRefs(useWorkshop())
  const { now } = useClock()

  const next = computed(() => store.traced?.steps.find(one => one.step.id === store.state?.next?.id))
  const words = computed(() =>
    next.value && store.plan && store.traced ? stepWords(store.plan, next.value, units.value, store.traced) : undefined,
  )
  const place = computed(() => (next.value && store.plan ? coatPlace(store.plan, next.value.step) : ''))
  const caution = computed(() => next.value && cautionsFor(next.value.step)[0])
  const wait = computed((): NextWait | undefined => {
    const running = store.state?.waits.find(one => one.before === store.state?.next?.id)
    if (!running) return undefined
    const left = (Date.parse(running.until) - now.value.getTime()) / 1000
    return {
      ...running,
      over: left <= 0,
      countdown: left > 86_400 ? formatSpan(left) : formatCountdown(left),
      ready: clockTime(running.until, now.value),
      late: running.latest !== undefined && Date.parse(running.latest) < now.value.getTime(),
    }
  })
  const begins = computed(() => store.state && !store.state.begun)
  const doneKey = computed(() => (begins.value ? 'Begin' : (words.value?.done ?? '')))

  let pressed = 0
  function done() {
    const step = store.state?.next
    if (!step || Date.now() - pressed < BOUNCE) return
    pressed = Date.now()
    store.enter({ kind: begins.value ? 'begin' : 'done', payload: { step: step.id } }, step.barrels)
  }
  /** A coat is on: the one that is next, else one more of what was put on last. */
  function coat() {
    const { state, plan } = store
    if (!state || !plan) return
    if (state.next?.kind === 'coat') return done()
    const last = state.steps.findLast(one => one.step.kind === 'coat' && one.status === 'done')?.step
    if (last?.kind !== 'coat' || Date.now() - pressed < BOUNCE) return
    pressed = Date.now()
    store.enter({ kind: 'coat', payload: { product: last.product.id, step: state.next?.id ?? null } }, last.barrels)
  }
  function skip() {
    const step = store.state?.next
    if (step) store.enter({ kind: 'skip', payload: { step: step.id } }, step.barrels)
  }
  function takeBack() {
    if (store.state?.takeBack.length) store.enter({ kind: 'undo', payload: { entries: store.state.takeBack } })
  }
  function putBack() {
    if (store.state?.putBack) store.enter({ kind: 'undo', payload: { entries: [store.state.putBack] } })
  }
  return { next, words, place, caution, wait, doneKey, done, coat, skip, takeBack, putBack }
}

/** Keys of the keyboard (and of a foot pedal that sends space), left alone while something is typed or another control has the focus. */
export function useWorkKeys(keys: Record<string, () => void>, active: () => boolean) {
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    const target = event.target as HTMLElement
    if (!active() || event.repeat || event.ctrlKey || event.metaKey || event.altKey) return
    if (
      target.closest('input, textarea, select, [contenteditable], [role=dialog]')
      || (event.key === ' ' && target.closest('button, a, summary'))
    )
      return
    const act = keys[event.key.toLowerCase()]
    if (!act) return
    event.preventDefault()
    act()
  })
}

/**
 * Figures on the keyboard, when they mean anything: a calliper that types, or a finger on a number key. Left alone while something is
 * typed.
 */
export function useWedge(on: { reading: (text: string) => void, key: (figure: string) => void }, active: () => boolean) {
  const take = keyboardWedge(on)
  useEventListener(
    window,
    'keydown',
    (event: KeyboardEvent) => {
      const target = event.target as HTMLElement
      if (
        !active()
        || event.repeat
        || event.ctrlKey
        || event.metaKey
        || event.altKey
        || target.closest('input, textarea, select, [contenteditable], [role=dialog]')
      )
        return
      if (take(event.key)) event.preventDefault()
    },
    { capture: true },
  )
}
