import type { BenchEvent, EventOf } from './event'

/**
 * Which entries are in force. An entry is taken back while an undo of it is in force, and an undo can itself be taken back, to any depth. Undos that take one
 * another back in a ring, which no bench makes, and undos that hang on such a ring, take nothing back. Depends on the set of events only, not on their order.
 */
export function inForce(events: readonly BenchEvent[]): Set<string> {
  const byId = new Map(events.map(event => [event.id, event]))
  const undos = events.filter((event): event is EventOf<'undo'> => event.kind === 'undo')
  /** How many undos of each entry are not judged yet. */
  const waiting = new Map<string, number>()
  for (const undo of undos) for (const target of targetsOf(undo)) waiting.set(target, (waiting.get(target) ?? 0) + 1)

  const takenBack = new Set<string>()
  const judged = events.filter(event => !waiting.has(event.id))
  for (const event of judged) {
    if (event.kind !== 'undo') continue
    for (const target of targetsOf(event)) {
      if (!takenBack.has(event.id)) takenBack.add(target)
      const left = waiting.get(target)! - 1
      waiting.set(target, left)
      const entry = byId.get(target)
      // An entry is judged when its last undo is; those in a ring never are, and so stay in force.
      if (left === 0 && entry) judged.push(entry)
    }
  }
  return new Set(events.filter(event => !takenBack.has(event.id)).map(event => event.id))
}

const targetsOf = (undo: EventOf<'undo'>): ReadonlySet<string> => new Set(undo.payload.entries)
