import { createEventHook } from '@vueuse/core'
import type { ListedDefect } from '#contract'
import type { DefectQuery } from '#schemas'
import { withDefects } from '~/utils/defect-list'

/** What is told of pens is gathered for so long, ms, and asked for together, of so many pens at once. */
const GATHERED = 500
const AT_ONCE = 20
/** A pen with more defects than this has some that wait until the list is read anew. */
const MOST = 200

/**
 * The list of defects over all pens, page by page. Where something was entered for a pen, its own defects are read anew and put in their
 * places: the list is not fetched again because of one.
 */
export function useDefectList(asked: () => DefectQuery) {
  const rows = usePenRows()
  const changed = createEventHook<[]>()
  const pages = usePages(asked, async (query) => {
    const { defects, next } = await api('GET /api/defects', { query })
    return { rows: defects, next }
  })

  const told = new Set<string>()
  let timer: ReturnType<typeof setTimeout> | undefined
  async function follow() {
    timer = undefined
    const pens = [...told].slice(0, AT_ONCE)
    for (const pen of pens) told.delete(pen)
    if (told.size) timer = setTimeout(() => void follow(), GATHERED)
    const question = asked()
    try {
      const { defects } = await api('GET /api/defects', { query: { ...question, pens, limit: MOST } })
      if (question === asked()) put(pens, defects)
    } catch {
      // Without the server nothing is told either; the list is read anew when it is back.
    }
  }
  function put(pens: readonly string[], now: readonly ListedDefect[]) {
    const of = (all: readonly ListedDefect[] = []) => JSON.stringify(all.filter(one => pens.includes(one.pen.id)))
    const before = of(pages.read.value?.rows)
    pages.change((all, isWhole) => withDefects(all, isWhole, pens, now))
    if (of(pages.read.value?.rows) !== before) void changed.trigger()
  }
  rows.onTold((now) => {
    for (const { pen } of now) told.add(pen.id)
    timer ??= setTimeout(() => void follow(), GATHERED)
  })
  rows.onGone(ids => put(ids, []))
  onScopeDispose(() => clearTimeout(timer))
  return { defects: computed(() => pages.read.value?.rows), load: pages.load, more: pages.more, onChanged: changed.on }
}
