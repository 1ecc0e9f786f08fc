import { defineStore } from 'pinia'
import { leftOut, replay, summarise, type BenchEvent, type BenchState, type PenSummary } from '#core/bench'
import { trace, type Plan, type PlanTrace } from '#core/plan'
import type { WholeBench } from '~~/server/api/bench/index.get'
import type { WholePen } from '~~/server/api/pens/[id]/index.get'
import type { Pen } from '~~/server/db/pens'

/** A pen as the bench sees it: what follows from its plan and its log. */
export interface Board {
  pen: Pen
  state: BenchState
  traced: PlanTrace
  summary: PenSummary
}

type Kept = Pick<WholePen, 'pen' | 'plan'> & { elsewhere?: readonly string[] }

/** The pens this screen has met, with plans; their logs lie in the log. All that is shown of them is worked out here, so it stays true without a network. */
export const useBenchPens = defineStore('bench-pens', () => {
  const log = useLog()
  const outbox = useOutbox()
  const { units, air } = storeToRefs(useWorkshop())
  const kept = shallowReactive(new Map<string, Kept>())
  const scope = effectScope(true)
  const boards = new Map<string, ComputedRef<Board | undefined>>()

  /** The log of a pen with what is not sent yet. */
  const eventsOf = (id: string): BenchEvent[] => [...log.of(id), ...outbox.pending.filter(event => event.pen === id)]

  function boardOf(id: string): Board | undefined {
    const known = boards.get(id) ?? scope.run(() => computed((): Board | undefined => {
      const whole = kept.get(id)
      if (!whole) return undefined
      const events = eventsOf(id)
      const state = replay(whole.plan, events, air.value)
      return { pen: whole.pen, state, traced: trace(state.plan, leftOut(state.steps)), summary: summarise(whole.plan, events, units.value, air.value) }
    }))!
    boards.set(id, known)
    return known.value
  }

  function put({ pen, plan, events, elsewhere }: { pen: Pen, plan: Plan, events: readonly BenchEvent[], elsewhere?: readonly string[] }) {
    kept.set(pen.id, { pen, plan, elsewhere: elsewhere ?? kept.get(pen.id)?.elsewhere ?? [] })
    log.take(events)
  }
  /** Fetches the pens in work; answers the number up to which their logs are whole. */
  async function load(): Promise<number> {
    const { seq, pens } = await $fetch<WholeBench>('/api/bench')
    for (const one of pens) put(one)
    return seq
  }
  const fetchPen = async (id: string) => put(await $fetch<WholePen>(`/api/pens/${id}`))

  /** The pens in work, by their marks: the order of the number keys. */
  const inWork = computed(() => [...kept.keys()].flatMap(id => boardOf(id) ?? []).filter(one => one.summary.stage === 'in work')
    .sort((a, b) => a.pen.mark.localeCompare(b.pen.mark, 'en', { numeric: true })))
  return { kept, eventsOf, boardOf, put, load, fetchPen, inWork }
})
