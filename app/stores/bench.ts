import { defineStore } from 'pinia'
import { boardOf as worked, brokenWords, summarise, type BenchEvent, type Board as Standing, type PenSummary } from '#core/bench'
import type { AirReading } from '#core/climate'
import type { Plan } from '#core/plan'
import type { Pen, WholePen } from '#contract'

/** A pen as the bench sees it: what follows from its plan and its log. */
export interface Board extends Standing {
  /** Its row. */
  pen: Pen
  /** As lists show it. */
  summary: PenSummary
}

type Kept = Pick<WholePen, 'pen' | 'elsewhere' | 'air'> & { plan: Plan }

/** A pen that cannot be worked out: why, in plain words. Its entries lie in the log as all others do. */
export interface BrokenPen {
  /** Its row. */
  pen: Pen
  /** Why, and what to do. */
  why: string
}

type Told = Omit<WholePen, 'elsewhere' | 'air'> & Partial<Pick<WholePen, 'elsewhere' | 'air'>>

/**
 * The pens this screen has met, with plans; their logs lie in the log. All that is shown of them is worked out here, so it stays true
 * without a network.
 */
export const useBenchPens = defineStore('bench-pens', () => {
  const log = useLog()
  const outbox = useOutbox()
  const me = useMe()
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

  /** The air that a pen was worked in: that of its own time, then as it is read by the workshop now. */
  function airOf(id: string): readonly AirReading[] {
    const now = air.value[0]?.at
    const before = (kept.get(id)?.air ?? []).filter(reading => now === undefined || reading.at < now)
    return before.length ? [...before, ...air.value] : air.value
  }

  function workedOut(id: string): Board | undefined {
    const whole = kept.get(id)
    if (!whole) return undefined
    try {
      const board = worked(whole.plan, eventsOf(id), airOf(id))
      return { pen: whole.pen, ...board, summary: summarise(board, units.value) }
    } catch {
      // One pen that cannot be worked out harms no other: it is told as such where it stands.
      return undefined
    }
  }
  /** A pen worked out; undefined while it was not met. Replayed and traced once for each entry, however many ask. */
  function boardOf(id: string): Board | undefined {
    const board = boards.get(id) ?? scope.run(() => computed(() => workedOut(id)))
    if (board) boards.set(id, board)
    return board?.value
  }

  /** Pens whose plan came as one that cannot be read. */
  const planless = shallowReactive(new Map<string, Pen>())
  /** A pen that cannot be worked out; undefined for all others. */
  function brokenOf(id: string): BrokenPen | undefined {
    const pen = planless.get(id)
    if (pen) return { pen, why: brokenWords.plan }
    const whole = kept.get(id)
    return whole && !boardOf(id) ? { pen: whole.pen, why: brokenWords.log } : undefined
  }
  const broken = computed(() => [...planless.keys(), ...kept.keys()].flatMap(id => brokenOf(id) ?? []))

  function put({ pen, plan, events, elsewhere, air: then }: Told) {
    log.take(events)
    if (!plan) {
      kept.delete(pen.id)
      planless.set(pen.id, pen)
      return
    }
    planless.delete(pen.id)
    const before = kept.get(pen.id)
    kept.set(pen.id, { pen, plan, elsewhere: elsewhere ?? before?.elsewhere ?? [], air: then ?? before?.air ?? [] })
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
      .filter(one => one.summary.stage === 'in work' && me.onBench(one.pen.maker))
      .sort((a, b) => a.pen.mark.localeCompare(b.pen.mark, 'en', { numeric: true })),
  )
  return { kept, eventsOf, airOf, boardOf, brokenOf, broken, put, load, fetchPen, inWork }
})
