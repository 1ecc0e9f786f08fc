import type { BenchEvent } from './event'

/**
 * Which entries are in force. An entry is taken back while an undo of it is in force, and an undo can itself be taken back, to any depth. Undos that
 * take one another back in a ring, which no bench makes, take nothing back. Depends on the set of events only, not on their order.
 */
export function inForce(events: readonly BenchEvent[]): Set<string> {
  const undosOf = new Map<string, BenchEvent[]>()
  for (const event of events) {
    if (event.kind !== 'undo') continue
    for (const target of event.payload.entries) undosOf.set(target, [...undosOf.get(target) ?? [], event])
  }
  const ringed = rings(events, undosOf)
  const known = new Map<string, boolean>()
  const holds = (event: BenchEvent): boolean => {
    const before = known.get(event.id)
    if (before !== undefined) return before
    const answer = !(undosOf.get(event.id) ?? []).some(undo => !ringed.has(undo.id) && holds(undo))
    known.set(event.id, answer)
    return answer
  }
  return new Set(events.filter(holds).map(event => event.id))
}

/** Ids of the undos that can reach themselves by following what takes them back. */
function rings(events: readonly BenchEvent[], undosOf: ReadonlyMap<string, BenchEvent[]>): Set<string> {
  const reaches = (start: string): boolean => {
    const seen = new Set<string>()
    const open = (undosOf.get(start) ?? []).map(undo => undo.id)
    while (open.length) {
      const id = open.pop()!
      if (id === start) return true
      if (seen.has(id)) continue
      seen.add(id)
      open.push(...(undosOf.get(id) ?? []).map(undo => undo.id))
    }
    return false
  }
  return new Set(events.filter(event => event.kind === 'undo' && reaches(event.id)).map(event => event.id))
}
