import type { ListedPen } from '#contract'
import type { PenQuery } from '#schemas'
import { withRows } from '~/utils/pen-list'

/**
 * A list of pens as the server answers it, page by page. What comes in meanwhile changes its rows one by one; what is known here of a
 * pen is truer than the list, since it has what is not sent yet.
 */
export function usePenList(asked: () => PenQuery) {
  const outbox = useOutbox()
  const bench = useBenchPens()
  const rows = usePenRows()
  const read = shallowRef<readonly ListedPen[]>()
  const next = ref<string | null>(null)
  const busy = ref(false)
  let calls = 0

  /** Reads the first page anew, after what was entered here has been sent, so that the list knows of it. */
  async function load() {
    const mine = ++calls
    await outbox.send()
    const page = await api('GET /api/pens', { query: asked() })
    // The answer to an earlier question, overtaken by a later one, is not taken.
    if (mine === calls) [read.value, next.value] = [page.pens, page.next]
  }
  /** Reads one page more. */
  async function more() {
    if (busy.value || !next.value || !read.value) return
    busy.value = true
    const mine = calls
    try {
      const page = await api('GET /api/pens', { query: { ...asked(), after: next.value } })
      if (mine === calls) [read.value, next.value] = [[...read.value, ...page.pens], page.next]
    } finally {
      busy.value = false
    }
  }
  rows.onTold((told) => {
    if (read.value) read.value = withRows({ pens: read.value, more: next.value !== null }, told, asked())
  })
  rows.onGone((ids) => {
    if (read.value?.some(one => ids.includes(one.pen.id))) read.value = read.value.filter(one => !ids.includes(one.pen.id))
  })
  const pens = computed((): ListedPen[] | undefined => {
    const own = [...bench.kept.keys()].flatMap((id) => {
      const board = bench.boardOf(id)
      return board ? [{ pen: board.pen, summary: board.summary }] : []
    })
    return read.value && withRows({ pens: read.value, more: next.value !== null }, own, asked())
  })
  return { pens, hasMore: computed(() => next.value !== null), busy, load, more }
}
