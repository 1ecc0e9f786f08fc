import type { Leaving, Returning } from '#core/bench'
import { asEvents } from '~/utils/entering'

/** A pen that goes, and what is said of it; what is not said is nothing. */
export type Goes = Partial<Leaving> & Pick<Leaving, 'how'> & {
  /** Which. */
  pen: string
}

/** Pens that go to somebody and come back: entered like all else, so that it holds without a network and can be taken back. */
export function useLeaving() {
  const outbox = useOutbox()
  const time = useRightTime()
  /** They go; answers the ids of the entries. */
  async function leave(pens: readonly Goes[]): Promise<string[]> {
    const events = asEvents(pens.map(({ pen, ...said }) => ({
      pen,
      entry: {
        kind: 'leave' as const,
        payload: { price: null, place: null, customer: null, order: null, with: [], words: '', ...said },
      },
    })), time.ahead)
    await outbox.put(...events)
    return events.map(event => event.id)
  }
  const comeBack = (pen: string, payload: Returning) => outbox.put(...asEvents([{ pen, entry: { kind: 'return', payload } }], time.ahead))
  /** What was entered is taken back. */
  const undo = (pen: string, id: string) =>
    outbox.put(...asEvents([{ pen, entry: { kind: 'undo', payload: { entries: [id] } } }], time.ahead))
  return { leave, comeBack, undo }
}
