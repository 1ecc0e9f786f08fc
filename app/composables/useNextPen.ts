import { createSharedComposable, useDocumentVisibility } from '@vueuse/core'
import { jobOf, nextPen, type NextPen } from '#core/bench'

/** What comes next is worked out anew at least so often, ms: an open page is not left with what was true yesterday. */
const AT_LEAST = 10 * 60_000
/**
 * The best answer is waited for so long before a good one stands in for it, ms: what is said first need not be taken back. The first one
 * comes when the worker has begun.
 */
const PATIENCE = { first: 2000, later: 500 }

/**
 * Which pen to take up next. Worked out when an entry comes in or a wait ends: the best there is as soon as the worker has it, and a good
 * answer where that takes longer than a moment.
 */
export const useNextPen = createSharedComposable(() => {
  const bench = useBenchPens()
  const { now } = useClock()
  const opened = ref(now.value.getTime())
  const visibility = useDocumentVisibility()
  watch(visibility, () => {
    opened.value = now.value.getTime()
  })

  /** When something happened or ended, or will, ms. */
  const moments = computed(() => bench.inWork.flatMap(({ state }) =>
    [state.log.at(-1)?.event.at, ...state.waits.map(wait => wait.until)].flatMap(at => (at === undefined ? [] : [Date.parse(at)]))))
  /** The last of these that is past: the moment for which it is worked out, ms. */
  const moment = computed(() => {
    const time = now.value.getTime()
    const least = Math.max(opened.value, Math.floor(time / AT_LEAST) * AT_LEAST)
    return moments.value.reduce((latest, at) => (at <= time && at > latest ? at : latest), least)
  })
  const jobs = computed(() => {
    const at = new Date(moment.value).toISOString()
    return bench.inWork.map(board => jobOf(board.pen.id, board, at))
  })

  const settled = ref(false)
  let number = 0
  const worker = new Worker(new URL('../workers/next-pen.worker.ts', import.meta.url), { type: 'module' })
  const best = shallowRef<{ jobs: typeof jobs.value, next: NextPen | undefined }>()
  let asked: typeof jobs.value = []
  worker.onmessage = ({ data }: MessageEvent<{ number: number, next?: NextPen }>) => {
    if (data.number === number) best.value = { jobs: asked, next: data.next }
  }
  const late = ref(false)
  let patience: ReturnType<typeof setTimeout> | undefined
  watch(jobs, (now) => {
    late.value = false
    clearTimeout(patience)
    patience = setTimeout(() => {
      late.value = true
    }, settled.value ? PATIENCE.later : PATIENCE.first)
    number++
    asked = now
    worker.postMessage({ number, jobs: now })
  }, { immediate: true })
  onScopeDispose(() => {
    clearTimeout(patience)
    worker.terminate()
  })

  /** Until then what was said before stands. */
  const next = shallowRef<NextPen>()
  watchEffect(() => {
    if (best.value?.jobs === jobs.value) next.value = best.value.next
    else if (late.value) next.value = nextPen(jobs.value)
    else return
    settled.value = true
  })
  /** How long ago that was worked out, s. */
  const sinceThen = computed(() => (now.value.getTime() - moment.value) / 1000)
  return { next, settled, sinceThen }
})
