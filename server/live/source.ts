import type { Change, ListedPen, StoredEvent } from '../../contract'
import { changesAfter } from '../db/changes'
import { eventsAfter } from '../db/log'
import { rowsOf } from '../db/rows'
import type { Within } from '../db/within'
import { readWorkshop } from '../db/workshop'
import { remembered, sharedCalls, sharedTail, type Part } from './tail'

/** Where whoever follows asks for what came in. */
export interface Source {
  /** Entries after a number, in their order; no more than can be told at once. */
  entriesAfter: (after: number) => Promise<Part<StoredEvent>>
  /** Other changes after a number, each thing once, the number up to which that is told, and whether there may be more. */
  changesAfter: (after: number) => Promise<{ upTo: number, changes: Change[], more: boolean }>
  /** The rows of some pens as they were at a moment, told by any word for it, or later. */
  rows: (at: string, pens: readonly string[]) => Promise<ListedPen[]>
}

const AT_ONCE = 500

/** Asks the database each time, in one workshop. */
export const askingSource = (within: Within): Source => ({
  entriesAfter: async (after) => {
    const found = await within(trx => eventsAfter(trx, after, AT_ONCE))
    return { found, more: found.length >= AT_ONCE }
  },
  changesAfter: async (after) => {
    const told = await within(trx => changesAfter(trx, after, AT_ONCE))
    return { ...told, more: told.changes.length >= AT_ONCE }
  },
  rows: async (_at, pens) => (pens.length ? within(async trx => rowsOf(trx, (await readWorkshop(trx)).units, pens)) : []),
})

/** Answers to the same question are shared among so many of the latest. */
const SHARED = 50

/** Asks the database once for all who follow a workshop on this server, however many screens there are. */
export function sharedSource(within: Within): Source {
  const asking = askingSource(within)
  const entries = sharedTail(asking.entriesAfter, one => one.seq)
  const changed = sharedCalls((after: number) => asking.changesAfter(after))
  const rows = remembered<ListedPen[]>(SHARED)
  return {
    ...asking,
    entriesAfter: after => entries(after),
    changesAfter: after => changed(after),
    rows: (at, pens) => rows(`${at} ${pens.join(' ')}`, () => asking.rows(at, pens)),
  }
}
