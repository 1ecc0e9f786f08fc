import { defineStore } from 'pinia'
import { boardOf as worked, summarise, type BenchEvent, type Board as Standing, type PenSummary } from '#core/bench'
import type { Pen, WholePen } from '#contract'

/** A pen as the bench sees it: what follows from its plan and its log. */
export interface Board extends Standing {
  /** Its row. */
  pen: Pen
  /** As lists show it. */
  summary: PenSummary
}

type Kept = Pick<WholePen, 'pen' | 'plan' | 'elsewhere'>
type Told = Omit<WholePen, 'elsewhere'> & Partial<Pick<WholePen, 'elsewhere'>>

/**
 * The pens this screen has met, with plans; their logs lie in the log. All that is shown of them is worked out here, so it stays true
 * without a network.
 */
export const useBenchPens = defineStore('bench-pens', () => {
  const log = useLog()
  const outbox = useOutbox()
  const { units, air } = storeToRefs(useWorkshop())
  const kept = shallowReactive(new Map<string, Kept>())
  const scope = effectScope(true)
  const boards = new Map<string, ComputedRef<Board | undefined>>()

  /** What is not sent yet of a pen: the same list as long as nothing of this pen is, so an entry has one pen worked out, not all. */
  const unsent = new Map<string, ComputedRef<readonly BenchEvent[]>>()
  const unsentOf = (id: string): readonly BenchEvent[] => {
    const own
      = unsent.get(id)
        ?? scope.run(() =>
          computed<readonly BenchEvent[]>((before) => {
            const now = outbox.shown.filter(event => event.pen === id)
            return before?.length === now.length && now.every((event, index) => event === before[index]) ? before : now
          }),
        )
    if (own) unsent.set(id, own)
    return own?.value ?? []
  }
  /** The log of a pen with what is not sent yet. */
  const eventsOf = (id: string): BenchEvent[] => [...log.of(id), ...unsentOf(id)]

  function workedOut(id: string): Board | undefined {
    const whole = kept.get(id)
    if (!whole) return undefined
    const board = worked(whole.plan, eventsOf(id), air.value)
    return { pen: whole.pen, ...board, summary: summarise(board, units.value) }
  }
  /** A pen worked out; undefined while it was not met. Replayed and traced once for each entry, however many ask. */
  function boardOf(id: string): Board | undefined {
    const board = boards.get(id) ?? scope.run(() => computed(() => workedOut(id)))
    if (board) boards.set(id, board)
    return board?.value
  }

  function put({ pen, plan, events, elsewhere }: Told) {
    kept.set(pen.id, { pen, plan, elsewhere: elsewhere ?? kept.get(pen.id)?.elsewhere ?? [] })
    log.take(events)
  }
  /** Fetches the pens in work; answers the numbers up to which they are whole. */
  async function load(): Promise<{ seq: number, changed: number }> {
    const { seq, changed, pens } = await api('GET /api/bench')
    for (const one of pens) put(one)
    return { seq, changed }
  }
  const fetchPen = async (id: string) => put(await api('GET /api/pens/:id', { params: { id } }))

  /** The pens in work, by their marks: the order of the number keys. */
  const inWork = computed(() =>
    [...kept.keys()]
      .flatMap(id => boardOf(id) ?? [])
      .filter(one => one.summary.stage === 'in work')
      .sort((a, b) => a.pen.mark.localeCompare(b.pen.mark, 'en', { numeric: true })),
  )
  return { kept, eventsOf, boardOf, put, load, fetchPen, inWork }
})
