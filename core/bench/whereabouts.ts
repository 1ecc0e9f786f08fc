import type { Leaving, Returning } from './event'
import type { Held } from './held'

/** A pen that went to somebody: how, and when, ISO 8601. */
export type Gone = Leaving & { at: string }
/** A pen that came back, and where it had been; null where nobody had entered that it went. */
export type Return = Returning & { at: string, from: Gone | null }

/** Where a pen went, and whether it came back: of what was entered the last counts. */
export function whereabouts({ said }: Held): { gone: Gone | null, leavings: Gone[], returns: Return[] } {
  const leavings: Gone[] = []
  const returns: Return[] = []
  let gone: Gone | null = null
  for (const { kind, payload, at } of said) {
    if (kind === 'leave') {
      gone = { ...payload, at }
      leavings.push(gone)
    }
    if (kind === 'return') {
      returns.push({ ...payload, at, from: gone })
      gone = null
    }
  }
  return { gone, leavings, returns }
}
