import { useEventListener } from '@vueuse/core'
import { answerTo, type RunningWait } from '#core/bench'
import { checksFor, coatPlace, stepWords, type ExtraWork } from '#core/plan'
import { keyboardWedge } from '#devices/wedge'
import { formatCountdown, formatSpan } from '#core/format'
import type { Product, ShelfAbrasive } from '#core/shelf'
import { cautionsFor } from '#reference'
import { BOUNCE } from '~/utils/once'

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
  const { units, workshop } = storeToRefs(useWorkshop())
  const { now } = useClock()

  const next = computed(() => store.traced?.steps.find(one => one.step.id === store.state?.next?.id))
  const words = computed(() =>
    next.value && store.plan && store.traced ? stepWords(store.plan, next.value, units.value, store.traced) : undefined,
  )
  const place = computed(() => (next.value && store.plan ? coatPlace(store.plan, next.value.step) : ''))
  const caution = computed(() => next.value && cautionsFor(next.value.step, store.plan?.inputs.material, workshop.value?.cautions)[0])
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
  /** Clearing the ends is looked at point by point: the key answers the next one, and is “done” once all are answered. */
  const gates = computed(() => {
    const { plan, traced, state } = store
    if (next.value?.step.kind !== 'ends' || !plan || !traced || !state) return []
    const { step } = next.value
    return checksFor(plan, step, traced, units.value).map(({ id }) => ({ id, said: answerTo(state, step.id, id) }))
  })
  const gate = computed(() => gates.value.find(one => !one.said))
  const doneKey = computed(() => {
    if (begins.value) return 'Begin'
    return gate.value ? `Yes, ${gates.value.indexOf(gate.value) + 1} of ${gates.value.length}` : (words.value?.done ?? '')
  })

  let pressed = 0
  function done() {
    const step = store.state?.next
    if (!step || Date.now() - pressed < BOUNCE) return
    pressed = Date.now()
    if (!begins.value && gate.value) {
      store.enter({ kind: 'check', payload: { step: step.id, check: gate.value.id, answer: 'yes' } }, step.barrels)
      return
    }
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
  /** Something was done that no plan asked for. */
  function doneBeside(work: ExtraWork, what: string | null, item?: ShelfAbrasive | Product) {
    const step = store.state?.next?.id ?? null
    if (work === 'coat') {
      if (what) store.enter({ kind: 'coat', payload: { product: what, step, ...(item && 'role' in item ? { item } : {}) } })
      return
    }
    store.enter({ kind: 'extra', payload: { work, with: what, step, ...(item ? { item } : {}) } })
  }
  function waitLonger(seconds: number) {
    const step = store.state?.next
    if (step) store.enter({ kind: 'wait', payload: { step: step.id, seconds } }, step.barrels)
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
  return { next, words, place, caution, wait, doneKey, done, coat, doneBeside, waitLonger, skip, takeBack, putBack }
}

/** A key that is down so long is held, ms. */
const HELD = 700

/**
 * Keys of the keyboard (and of a foot pedal that sends space), left alone while something is typed or another control has the focus. A
 * key that means something else when it is held acts when it is let go.
 */
export function useWorkKeys(keys: Record<string, () => void>, active: () => boolean, held: Record<string, () => void> = {}) {
  const down = new Map<string, ReturnType<typeof setTimeout>>()
  function press(key: string) {
    const hold = held[key]
    if (!hold) return keys[key]?.()
    down.set(key, setTimeout(() => {
      down.delete(key)
      hold()
    }, HELD))
  }
  function letGo(key: string, act: boolean) {
    const waiting = down.get(key)
    if (waiting === undefined) return
    clearTimeout(waiting)
    down.delete(key)
    if (act && active()) keys[key]?.()
  }
  useEventListener(window, 'keyup', (event: KeyboardEvent) => letGo(event.key.toLowerCase(), true))
  useEventListener(window, 'blur', () => [...down.keys()].forEach(key => letGo(key, false)))
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    const target = event.target as HTMLElement
    if (!active() || event.repeat || event.ctrlKey || event.metaKey || event.altKey) return
    if (
      target.closest('input, textarea, select, [contenteditable], [role=dialog]')
      || (event.key === ' ' && target.closest('button, a, summary'))
    )
      return
    const key = event.key.toLowerCase()
    if (!keys[key]) return
    event.preventDefault()
    press(key)
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
