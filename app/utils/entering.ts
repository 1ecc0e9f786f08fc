import type { BenchEvent, Entry } from '#core/bench'
import type { BarrelId } from '#core/barrel'

/** What somebody enters, on which pen. */
export interface Entered {
  /** On which pen. */
  pen: string
  /** What. */
  entry: Entry
  /** On which of its barrels; of all of it where nothing is said. */
  barrels?: readonly BarrelId[]
  /** When it happened by the right time, ISO 8601, where that was not just now. */
  at?: string
}

/** Entries as rows of the log: made here, now, by this device, whose clock is so far ahead (ms) where that is known. */
export const asEvents = (entered: readonly Entered[], ahead: number | undefined): BenchEvent[] =>
  entered.map(({ pen, entry, barrels = [], at }) => ({
    ...entry,
    id: newId(),
    pen,
    barrels: [...barrels],
    at: at === undefined ? nextMoment() : new Date(Date.parse(at) + (ahead ?? 0)).toISOString(),
    device: deviceName(),
    ...(ahead === undefined ? {} : { ahead }),
  }))

let last = 0

/** The time on this device, never the same twice, so that entries of one device keep their order. */
function nextMoment(): string {
  last = Math.max(Date.now(), last + 1)
  return new Date(last).toISOString()
}

const DEVICE = 'oxlip-device'

function deviceName(): string {
  const known = localStorage.getItem(DEVICE)
  if (known) return known
  const name = `device ${newId().slice(0, 4)}`
  localStorage.setItem(DEVICE, name)
  return name
}
