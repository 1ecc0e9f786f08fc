import type { BenchEvent, EventOf } from './event'

/**
 * Which entries are taken back; all others are in force. An entry is taken back while an undo of it is in force, and an undo can itself
 * be taken back, to any depth. Undos that take one another back in a ring, which no bench makes, and undos that hang on such a ring,
 * take nothing back. Depends on the set of events only, not on their order.
 */
export function takenBack(events: readonly BenchEvent[]): Set<string> {
  const undos = events.filter((event): event is EventOf<'undo'> => event.kind === 'undo')
  const back = new Set<string>()
  const byId = new Map(undos.map(undo => [undo.id, undo]))
  /** How many undos of each entry are not judged yet. */
  const waiting = new Map<string, number>()
  for (const undo of undos) for (const target of targetsOf(undo)) waiting.set(target, (waiting.get(target) ?? 0) + 1)

  // Only undos have to be judged: whether any other entry is in force follows from them.
  const judged = undos.filter(undo => !waiting.has(undo.id))
  for (const undo of judged) {
    for (const target of targetsOf(undo)) {
      if (!back.has(undo.id)) back.add(target)
      const left = (waiting.get(target) ?? 0) - 1
      waiting.set(target, left)
      const other = byId.get(target)
      // An undo is judged when its last undo is; those in a ring never are, and so stay in force.
      if (left === 0 && other) judged.push(other)
    }
  }
  return back
}

const targetsOf = (undo: EventOf<'undo'>): ReadonlySet<string> => new Set(undo.payload.entries)
