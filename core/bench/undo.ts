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

/**
 * The undo that “put back” would take back next, of a log in its order: as many as were taken back one after another can be put back, the
 * last first, until something else is entered. Null when nothing can.
 */
export function toPutBack(ordered: readonly BenchEvent[]): string | null {
  const undos = new Set(ordered.filter(event => event.kind === 'undo').map(event => event.id))
  let taken: string[] = []
  for (const event of ordered) {
    if (event.kind !== 'undo') taken = []
    else if (event.payload.entries.some(id => undos.has(id))) taken = taken.filter(id => !event.payload.entries.includes(id))
    else taken = [...taken, event.id]
  }
  return taken.at(-1) ?? null
}

const targetsOf = (undo: EventOf<'undo'>): ReadonlySet<string> => new Set(undo.payload.entries)
