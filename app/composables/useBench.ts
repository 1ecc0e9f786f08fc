import type { Why } from '#core/bench'
import { formatSpan } from '#core/format'
import type { Band } from '~/utils/clock-line'
import type { ListedPen } from '#contract'

/** The pens in work at this moment: what is free, what waits and until when; and which one to take up next, and why. */
export function useBench() {
  const bench = useBenchPens()
  const { now } = useClock()
  const { next, settled, sinceThen } = useNextPen()
  const waits = (one: ListedPen) => one.summary.wait && new Date(one.summary.wait.until) > now.value
  const inWork = computed((): ListedPen[] => bench.inWork.map(({ pen, summary }) => ({ pen, summary })))
  const until = ({ summary: { wait } }: ListedPen) => wait?.until ?? ''
  const waiting = computed(() => inWork.value.filter(waits).sort((a, b) => until(a).localeCompare(until(b))))

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
    /** Whether it was worked out at all. */
    settled,
    why: computed(() => next.value && whyWords(next.value.why, sinceThen.value)),
  }
}

/** Why a pen comes next, in one line, some seconds after it was worked out. */
export function whyWords(why: Why, sinceThen = 0): string {
  const span = (seconds: number) => formatSpan(Math.max(1, seconds))
  switch (why.kind) {
    case 'only':
      return 'the only one with work left tonight'
    case 'last hand':
      return 'nothing else could be waiting meanwhile'
    case 'must':
      if (why.within <= sinceThen) return 'past its latest time already'
      return `must not be put off: at the latest in ${span(why.within - sinceThen)}`
    case 'soon':
      return `ready in ${span(why.in - sinceThen)}: anything begun now would keep it standing`
    case 'short work, long wait':
      return `${span(why.work)} of work, then it waits ${span(why.wait)} by itself: begin with it, and you wait ${span(why.saves)} less`
    case 'as good as any':
      return 'as good as any: the least work to its next wait'
  }
}
