import { createSharedComposable, useDocumentVisibility, useLocalStorage } from '@vueuse/core'
import type { Evenings, EveningProblem, FirstUp } from '#core/evening'
import type { Pin } from '#schemas'
import type { AskedEvenings, ToldEvenings } from '~/utils/evening-talk'

/** What stands on the screen is worked out anew at least so often, ms. */
const AT_LEAST = 5 * 60_000

type Aside = Extract<ToldEvenings, { kind: 'aside' }>
type Chances = Omit<Extract<ToldEvenings, { kind: 'chances' }>, 'kind' | 'number'>

/**
 * The coming evenings: planned when an entry comes in, a wait ends, hours or wishes are changed, and every few minutes; bettered while one
 * looks. The order that was shown stays where another is better by little.
 */
export const useEvenings = createSharedComposable(() => {
  const store = useEveningsKept()
  const workshop = useWorkshop()
  const { now } = useClock()
  const visibility = useDocumentVisibility()
  const opened = ref(now.value.getTime())
  watch(visibility, () => {
    opened.value = now.value.getTime()
  })

  /** The moment for which it is planned: the last entry, or a whole few minutes, ms. */
  const moment = computed((before?: number) => {
    // Nobody looks at a page that is hidden: it is planned when it is looked at again.
    if (before !== undefined && visibility.value === 'hidden') return before
    const time = now.value.getTime()
    const entries = store.boards.flatMap(({ state }) => state.log.at(-1)?.event.at ?? []).map(at => Date.parse(at))
    return Math.max(opened.value, Math.floor(time / AT_LEAST) * AT_LEAST, ...entries.filter(at => at <= time))
  })
  const given = computed(() => ({
    boards: store.boards,
    hours: store.kept?.hours ?? [],
    pins: store.kept?.pins ?? [],
    hands: workshop.learnt?.hands,
  }))
  const posed = computed(() => (store.kept ? pose(given.value, new Date(moment.value)) : undefined))

  const plan = shallowRef<{ of: Posed, is: Evenings, rests: boolean, gone: number, first: FirstUp | undefined }>()
  const chances = shallowRef<Chances>()
  const worker = new Worker(new URL('../workers/evenings.worker.ts', import.meta.url), { type: 'module' })
  const asides = new Worker(new URL('../workers/evenings.worker.ts', import.meta.url), { type: 'module' })
  let number = 0
  let asked: Posed | undefined
  worker.onmessage = ({ data }: MessageEvent<ToldEvenings>) => {
    if (data.kind === 'aside' || data.number !== number || !asked) return
    if (data.kind === 'plan') plan.value = { of: asked, is: data.plan, rests: data.rests, gone: data.gone, first: data.first }
    else chances.value = data
  }
  /** The order that stands there, or stood there last. */
  const shownNow = () => (plan.value?.is.blocks ?? store.kept?.shown ?? []).map(({ pen, step }) => ({ pen, step }))
  /** So many screens show evenings; others want to know only what comes next. */
  const screens = ref(0)
  const brief = computed(() => !screens.value)
  /** The order that is shown stays unless another has pens ready sooner by more than this in all, min; kept on this device. */
  const stays = useLocalStorage('oxlip-order-stays', 10)
  function ask(now: Posed, how: { brief: boolean, enough: number, longer?: boolean }) {
    asked = now
    // Where this page has shown none yet it goes on with what was shown last, so that two devices say the same.
    const shown = shownNow()
    const message: AskedEvenings = { kind: 'plan', number: ++number, problem: now.problem, ...how, ...(shown.length ? { shown } : {}) }
    worker.postMessage(message)
  }
  watch([posed, brief, stays], ([now, brief, stays]) => {
    if (now) ask(now, { brief, enough: stays * 60 })
  }, { immediate: true })
  /** The best so far will do: no better one is looked for. */
  const stop = () => worker.postMessage({ kind: 'stop', number } satisfies AskedEvenings)
  /** Looks longer for a better order; whoever asks for it wants it however little better it is. */
  const lookLonger = () => {
    if (posed.value) ask(posed.value, { brief: false, enough: 0, longer: true })
  }
  /** Says that this screen shows evenings, as long as it stands. */
  const shows = () => {
    screens.value++
    onScopeDispose(() => screens.value--)
  }

  const waiting = new Map<number, (told: Aside) => void>()
  let question = 0
  asides.onmessage = ({ data }: MessageEvent<ToldEvenings>) => {
    if (data.kind !== 'aside') return
    waiting.get(data.number)?.(data)
    waiting.delete(data.number)
  }
  /** What another problem would come to, answered beside what is shown. */
  const aside = (problem: EveningProblem, plays = false): Promise<Aside> =>
    new Promise((resolve) => {
      const message: AskedEvenings = { kind: 'aside', number: ++question, problem, plays, shown: shownNow() }
      waiting.set(question, resolve)
      asides.postMessage(message)
    })
  /** What the same pens would come to with other wishes or hours. */
  const whatIf = async (change: Partial<EveningsGiven>): Promise<{ of: Posed, is: Evenings }> => {
    const of = pose({ ...given.value, ...change }, new Date(moment.value))
    return { of, is: (await aside(of.problem)).plan }
  }
  /** Wishes with one more. */
  const withPin = (pin: Pin): readonly Pin[] => [...given.value.pins.filter(one => one.id !== pin.id), pin]

  onScopeDispose(() => {
    worker.terminate()
    asides.terminate()
  })
  return { plan, chances, given, aside, whatIf, withPin, moment, shows, stays, stop, lookLonger }
})
