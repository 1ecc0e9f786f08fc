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
  const told = usePenRows()
  const pages = usePages(asked, async (query) => {
    const { pens, next } = await api('GET /api/pens', { query })
    return { rows: pens, next }
  })

  /** Reads it anew, after what was entered here has been sent, so that the list knows of it. */
  async function load() {
    await outbox.send()
    await pages.load()
  }
  const as = (rows: readonly ListedPen[], isWhole: boolean, now: readonly ListedPen[]) =>
    withRows({ pens: rows, more: !isWhole }, now, asked())
  told.onTold(now => pages.change((rows, isWhole) => as(rows, isWhole, now)))
  told.onGone((ids) => {
    if (pages.read.value?.rows.some(one => ids.includes(one.pen.id)))
      pages.change(rows => rows.filter(one => !ids.includes(one.pen.id)))
  })
  const pens = computed((): ListedPen[] | undefined => {
    const own = [...bench.kept.keys()].flatMap((id) => {
      const board = bench.boardOf(id)
      return board ? [{ pen: board.pen, summary: board.summary }] : []
    })
    const { read, hasMore } = pages
    return read.value && as(read.value.rows, !hasMore.value, own)
  })
  return { pens, hasMore: pages.hasMore, busy: pages.busy, load, more: pages.more }
}
