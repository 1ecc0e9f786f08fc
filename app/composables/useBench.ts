import type { Band } from '~/utils/clock-line'
import type { ListedPen } from '~~/server/api/pens/index.get'

/** The pens as the bench sees them at this moment: what is free, what waits and until when, what has not been begun, what is finished. */
export function useBench() {
  const store = usePens()
  const { now } = useClock()
  const all = computed(() => store.pens ?? [])
  const waits = (one: ListedPen) => one.summary.wait && new Date(one.summary.wait.until) > now.value
  const inWork = computed(() => all.value.filter(one => one.summary.stage === 'in work'))
  const byTime = (a: ListedPen, b: ListedPen) => a.summary.wait!.until.localeCompare(b.summary.wait!.until)
  const free = computed(() => inWork.value.filter(one => !waits(one)).sort((a, b) => a.summary.handsOnLeft - b.summary.handsOnLeft))
  const waiting = computed(() => inWork.value.filter(waits).sort(byTime))
  const bands = computed((): Band[] => waiting.value.map(({ pen, summary: { wait } }) =>
    ({ pen: pen.id, mark: pen.mark, words: wait!.words, from: new Date(wait!.from), until: new Date(wait!.until) })))
  return {
    all, free, waiting, bands, inWork,
    planned: computed(() => all.value.filter(one => one.summary.stage === 'planned')),
    finished: computed(() => all.value.filter(one => one.summary.stage === 'finished')),
  }
}
