import type { Why } from '#core/bench'
import type { WhyFirst } from '#core/evening'
import { formatSpan } from '#core/format'
import type { Band } from '~/utils/clock-line'
import type { ListedPen } from '#contract'

/**
 * The pens in work at this moment: what is free, what waits and until when; and which one to take up next, and why. In an evening whose
 * hours were said that is what Evenings has first, else the one by which the fewest waits stand idle.
 */
export function useBench() {
  const bench = useBenchPens()
  const { now } = useClock()
  const { next: idle, settled: isIdleKnown, sinceThen } = useNextPen()
  const { next: tonight, mayCome } = useNextTonight()
  const settled = computed(() => isIdleKnown.value && !mayCome.value)
  const next = computed(() => tonight.value ?? idle.value)
  const nextOne = computed(() => {
    const board = next.value && bench.boardOf(next.value.pen)
    if (!board) return undefined
    const { pen: { id, mark }, summary } = board
    return { id, mark, doing: summary.next?.title ?? '', isBegun: summary.stage === 'in work' }
  })
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
    nextOne,
    /** Whether it was worked out at all. */
    settled,
    why: computed(() => (tonight.value
      ? firstWords(tonight.value.why, tonight.value.begins)
      : idle.value && whyWords(idle.value.why, sinceThen.value))),
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

/** So soon is now, s. */
const NOW = 30

/** Why a pen comes first in an evening, and when where that is not now, s. */
export function firstWords(why: WhyFirst, begins: number): string {
  const ready = begins > NOW ? `ready in ${formatSpan(begins)}; ` : ''
  return ready + firstReason(why)
}

function firstReason(why: WhyFirst): string {
  if (why.kind === 'only') return 'the only one with work left'
  if (why.kind === 'wished') return 'you want it first'
  if (why.kind === 'as good as any') return 'as good as any, as the evenings are planned'
  switch (why.goal) {
    case 'missed':
      return 'with another first, a coat would come after its latest time'
    case 'pinned':
      return 'with another first, a wish of yours would not be kept'
    case 'late':
      return 'with another first, a promised day would be missed'
    case 'finished':
      return `with another first, pens would be finished ${formatSpan(why.by)} later in all`
    case 'hands':
    case 'lateness':
      return `with another first, you would change and stand about ${formatSpan(Math.max(1, why.by))} more`
  }
}
