import { jobOf, nextPen, type Why } from '#core/bench'
import { formatSpan } from '#core/format'
import type { Band } from '~/utils/clock-line'
import type { ListedPen } from '#contract'

/** What comes next is worked out anew when an entry comes in or a wait ends, and at least so often, ms. */
const REFRESHED = 15_000

/** The pens in work at this moment: what is free, what waits and until when; and which one to take up next, and why. */
export function useBench() {
  const bench = useBenchPens()
  const { now } = useClock()
  const waits = (one: ListedPen) => one.summary.wait && new Date(one.summary.wait.until) > now.value
  const inWork = computed((): ListedPen[] => bench.inWork.map(({ pen, summary }) => ({ pen, summary })))
  const until = ({ summary: { wait } }: ListedPen) => wait?.until ?? ''
  const waiting = computed(() => inWork.value.filter(waits).sort((a, b) => until(a).localeCompare(until(b))))

  /** The moment for which it is worked out what comes next: the last entry, the last wait that ended, or some seconds ago. */
  const moment = computed(() => {
    const past = bench.inWork.flatMap(({ state }) => [state.log.at(-1)?.event.at, ...state.waits.map(wait => wait.until)])
      .flatMap(at => (at === undefined ? [] : [Date.parse(at)]))
      .filter(at => at <= now.value.getTime())
    return past.reduce((latest, at) => Math.max(latest, at), Math.floor(now.value.getTime() / REFRESHED) * REFRESHED)
  })
  const next = computed(() => {
    const at = new Date(moment.value).toISOString()
    return nextPen(bench.inWork.map(board => jobOf(board.pen.id, board, at)))
  })
  const free = computed(() => {
    const order = next.value?.order ?? []
    const rank = (one: ListedPen) => (order.includes(one.pen.id) ? order.indexOf(one.pen.id) : order.length)
    return inWork.value.filter(one => !waits(one)).sort((a, b) => rank(a) - rank(b) || a.summary.handsOnLeft - b.summary.handsOnLeft)
  })
  const bands = computed((): Band[] =>
    waiting.value.flatMap(({ pen, summary: { wait } }) =>
      wait ? [{ pen: pen.id, mark: pen.mark, words: wait.words, from: new Date(wait.from), until: new Date(wait.until) }] : [],
    ),
  )
  return {
    free,
    waiting,
    bands,
    inWork,
    next,
    why: computed(() => next.value && whyWords(next.value.why)),
  }
}

/** Why a pen comes next, in one line. */
export function whyWords(why: Why): string {
  const span = (seconds: number) => formatSpan(Math.max(1, seconds))
  switch (why.kind) {
    case 'only':
      return 'the only one with work left tonight'
    case 'last hand':
      return 'nothing else could be waiting meanwhile'
    case 'must':
      return why.within > 0 ? `must not be put off: at the latest in ${span(why.within)}` : 'past its latest time already'
    case 'soon':
      return `ready in ${span(why.in)}: anything begun now would keep it standing`
    case 'short work, long wait':
      return `${span(why.work)} of work, then ${span(why.wait)} run by themselves: taken first, it saves ${span(why.saves)} of `
        + `standing about`
    case 'as good as any':
      return 'as good as any: the least work to its next wait'
  }
}
