import { computed, ref, shallowRef } from 'vue'
import { leftOff } from '~/utils/left-off'

/** A part of a list: its rows, and where the next one begins; null at the end. */
export interface Page<Row> {
  /** Its rows, in their order. */
  rows: readonly Row[]
  /** What is handed back as `after`. */
  next: string | null
}

/** What is asked of a list beside what it is narrowed to. */
export interface Paging {
  /** From where on. */
  after?: string
  /** So many rows at the most. */
  limit?: number
}

/** So many rows come at once where nothing is said, and at the most. */
const ROWS = { usual: 50, most: 200 }
/** Further than this a list is not read again. */
const FAR = 1000

/**
 * A list that the server answers page by page. Read anew it reaches as far as before, and gone back to as far as when it was left
 * (`leftOff`), so that nobody loses their place; asked something else it begins at its beginning. An answer that was overtaken by a later
 * question is not taken.
 */
export function usePages<Asked extends object, Row>(asked: () => Asked, ask: (query: Asked & Paging) => Promise<Page<Row>>) {
  const read = shallowRef<Page<Row>>()
  const busy = ref(false)
  const left = leftOff()?.rows ?? 0
  let calls = 0
  let question: string | undefined
  let reading: Promise<void> = Promise.resolve()

  /** How far it was read for the same question. */
  const reach = (same: boolean): number => Math.min(FAR, question === undefined ? left : same ? read.value?.rows.length ?? 0 : 0)

  /** Reads it anew from its beginning. */
  const load = () => (reading = readAnew())
  async function readAnew() {
    const mine = ++calls
    const now: Asked & Paging = { ...asked() }
    const words = JSON.stringify(now)
    const rows = reach(words === question)
    if (rows > (now.limit ?? ROWS.usual)) now.limit = Math.min(rows, ROWS.most)
    let page = await ask(now)
    while (mine === calls && page.next && page.rows.length < rows) {
      const more = await ask({ ...now, after: page.next })
      page = { rows: [...page.rows, ...more.rows], next: more.next }
    }
    if (mine === calls) [read.value, question] = [page, words]
  }
  /** Reads one page more: after what is being read anew, and again after it where the list was read anew meanwhile. */
  async function more(): Promise<void> {
    if (busy.value || !read.value?.next) return
    busy.value = true
    const words = JSON.stringify(asked())
    try {
      while (!await onePage(words));
    } finally {
      busy.value = false
    }
  }
  /** Reads one page more where the same is still asked; false: the list was read anew meanwhile. */
  async function onePage(words: string): Promise<boolean> {
    const last = reading
    await last.catch(() => undefined)
    if (last !== reading) return false
    const [from, mine] = [read.value?.next, calls]
    if (!from || words !== JSON.stringify(asked())) return true
    const page = await ask({ ...asked(), after: from })
    if (mine !== calls) return false
    // Rows may have been changed meanwhile by what was told of them.
    if (read.value) read.value = { rows: [...read.value.rows, ...page.rows], next: page.next }
    return true
  }
  /** Puts other rows in the place of those that were read. */
  function change(to: (rows: readonly Row[], isWhole: boolean) => readonly Row[]) {
    if (read.value) read.value = { ...read.value, rows: to(read.value.rows, read.value.next === null) }
  }
  return { read, hasMore: computed(() => Boolean(read.value?.next)), busy, load, more, change }
}
