import { atAnotherTime, onAnotherPen, swapped, type BenchEvent, type Logged, type PutRight } from '#core/bench'
import type { StepId } from '#core/plan'

/** Why an entry cannot be put right so, and what can be done instead. */
const CANNOT: Record<Extract<PutRight, { cannot: BenchEvent }>['why'], string> = {
  'named': 'Other entries follow from this one: take those back first.',
  'no such step': 'On that pen something else was next by then: set its plan and its entries right first.',
  'other barrel': 'That pen has no such barrel.',
}

/** Putting a pen's log right, all by entries: another time, another pen, two pens swapped, something forgotten. */
export function usePutRight() {
  const store = usePen()
  const bench = useBenchPens()
  const outbox = useOutbox()
  const time = useRightTime()

  const loggedOf = (id: string): Logged | undefined => {
    const plan = bench.kept.get(id)?.plan
    return plan && { pen: id, plan, events: bench.eventsOf(id) }
  }
  const here = (): Logged | undefined => (store.pen ? loggedOf(store.pen.id) : undefined)

  /** Enters it; answers what is wrong, empty when nothing is. */
  function enter(put: PutRight | undefined): string {
    if (!put) return 'That pen is not here: open it once, then come back.'
    if ('cannot' in put) return CANNOT[put.why]
    const undos = put.takeBack.flatMap(({ pen, entries }) => {
      const starts = Array.from({ length: Math.ceil(entries.length / AT_ONCE) }, (_, part) => part * AT_ONCE)
      const parts = starts.map(from => entries.slice(from, from + AT_ONCE))
      return parts.map(some => ({ pen, entry: { kind: 'undo' as const, payload: { entries: some } } }))
    })
    void outbox.put(...asEvents([...undos, ...put.anew], time.ahead))
    return ''
  }
  const at = (event: BenchEvent, when: string): string => {
    const now = here()
    if (when > new Date(time.now()).toISOString()) return 'That time is still to come.'
    return enter(now && atAnotherTime(now, event, when))
  }
  const on = (event: BenchEvent, pen: string): string => {
    const [from, to] = [here(), loggedOf(pen)]
    return enter(from && to && onAnotherPen(from, to, [event]))
  }
  const swap = (since: string, pen: string): string => {
    const [one, other] = [here(), loggedOf(pen)]
    return enter(one && other && swapped(one, other, since))
  }
  /** A step that was done, and nobody entered it. */
  const forgotten = (step: StepId, when: string): string => {
    if (when > new Date(time.now()).toISOString()) return 'That time is still to come.'
    const pen = store.pen?.id
    if (pen === undefined) return enter(undefined)
    return enter({ takeBack: [], anew: [{ pen, entry: { kind: 'done', payload: { step } }, barrels: [], at: when }] })
  }
  return { at, on, swap, forgotten }
}

/** So many entries are taken back by one. */
const AT_ONCE = 50
