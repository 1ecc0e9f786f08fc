import type { BenchEvent } from '../../core/bench'
import { isAway } from '../faults'
import { appendBatches, type Batch } from './append'
import type { Within } from './within'

/** A batch that waits for its turn, and whoever sent it. */
interface Waiting extends Batch {
  kept: (ids: string[]) => void
  refused: (error: unknown) => void
}

/** Where entries go. */
export interface Place {
  /** The workshop’s id. */
  workshop: string
  /** How a transaction in it is begun. */
  within: Within
}

/** Who waits, by workshop. */
const queues = new Map<string, Waiting[]>()

/**
 * Appends events together with all that come into their workshop at the same moment: whatever waits while a transaction runs goes into
 * the next one, so many writers pay for one. Answers the ids that were new. What one of them may not append harms no other.
 * @throws FieldsError when a pen is not known; then none of this batch is kept
 */
export function appendTogether(
  place: Place, events: readonly BenchEvent[], { sentAt, by, own }: Pick<Batch, 'sentAt' | 'by' | 'own'> = {},
): Promise<string[]> {
  return new Promise((kept, refused) => {
    const one: Waiting = { events, sentAt, receivedAt: Date.now(), by: by ?? null, own, kept, refused }
    const queue = queues.get(place.workshop)
    if (queue) queue.push(one)
    else {
      queues.set(place.workshop, [one])
      void work(place)
    }
  })
}

/** The most entries in one transaction, if it is more than one batch. */
const MOST = 2000

/** Takes the first that wait, as many as go together. */
function taken(queue: Waiting[]): Waiting[] {
  let sum = 0
  const end = queue.findIndex(({ events }, index) => (sum += events.length) > MOST && index > 0)
  return queue.splice(0, end < 0 ? queue.length : end)
}

async function work(place: Place): Promise<void> {
  for (;;) {
    const queue = queues.get(place.workshop) ?? []
    const now = taken(queue)
    if (!now.length) break
    await appended(place.within, now)
  }
  queues.delete(place.workshop)
}

/**
 * One transaction for all; where that fails each goes alone, so that only the one at fault is refused. A database that is away refuses
 * all, and is not asked once for each.
 */
async function appended(within: Within, batches: readonly Waiting[]): Promise<void> {
  try {
    const ids = await within(trx => appendBatches(trx, batches))
    batches.forEach((batch, index) => batch.kept(ids[index] ?? []))
  } catch (error) {
    if (batches.length === 1 || isAway(error)) for (const batch of batches) batch.refused(error)
    else for (const batch of batches) await appended(within, [batch])
  }
}
