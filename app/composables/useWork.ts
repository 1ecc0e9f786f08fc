import { useEventListener } from '@vueuse/core'
import { coatPlace, stepWords } from '#core/plan'
import { formatCountdown, formatSpan } from '#core/units'
import { cautionsFor } from '#reference'

/** Two presses closer than this are one finger that bounced, ms. */
const BOUNCE = 600

/** The next action of the pen at the bench: its words, its wait, and what each key does. */
export function useWork() {
  const store = usePen()
  const { units } = storeToRefs(useWorkshop())
  const { now } = useClock()

  const next = computed(() => store.traced?.steps.find(one => one.step.id === store.state?.next?.id))
  const words = computed(() => next.value && store.plan && store.traced ? stepWords(store.plan, next.value, units.value, store.traced) : undefined)
  const place = computed(() => next.value && store.plan ? coatPlace(store.plan, next.value.step) : '')
  const caution = computed(() => next.value && cautionsFor(next.value.step)[0])
  const wait = computed(() => {
    const running = store.state?.waits.find(one => one.before === store.state?.next?.id)
    if (!running) return undefined
    const left = (Date.parse(running.until) - now.value.getTime()) / 1000
    return { ...running, left, over: left <= 0, countdown: left > 86_400 ? formatSpan(left) : formatCountdown(left), ready: clockTime(running.until, now.value), late: running.latest !== undefined && Date.parse(running.latest) < now.value.getTime() }
  })
  const begins = computed(() => store.state && !store.state.begun)
  const doneKey = computed(() => begins.value ? 'Begin' : words.value?.done ?? '')

  let pressed = 0
  function done() {
    const step = store.state?.next
    if (!step || Date.now() - pressed < BOUNCE) return
    pressed = Date.now()
    void store.enter({ kind: begins.value ? 'begin' : 'done', payload: { step: step.id } }, step.barrels)
  }
  function skip() {
    const step = store.state?.next
    if (step) void store.enter({ kind: 'skip', payload: { step: step.id } }, step.barrels)
  }
  function takeBack() {
    if (store.state?.takeBack.length) void store.enter({ kind: 'undo', payload: { entries: store.state.takeBack } })
  }
  function putBack() {
    if (store.state?.putBack) void store.enter({ kind: 'undo', payload: { entries: [store.state.putBack] } })
  }
  return { next, words, place, caution, wait, doneKey, done, skip, takeBack, putBack }
}

/** Keys of the keyboard (and of a foot pedal that sends space), left alone while something is typed or another control has the focus. */
export function useWorkKeys(keys: Record<string, () => void>, active: () => boolean) {
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    const target = event.target as HTMLElement
    if (!active() || event.repeat || event.ctrlKey || event.metaKey || event.altKey) return
    if (target.closest('input, textarea, select, [contenteditable], [role=dialog]') || (event.key === ' ' && target.closest('button, a, summary'))) return
    const act = keys[event.key.toLowerCase()]
    if (!act) return
    event.preventDefault()
    act()
  })
}
