import type { Knex } from 'knex'
import type { Change, ListedPen, Message } from '../../contract'
import { changesAfter } from '../db/changes'
import { eventsAfter } from '../db/log'
import { rowsOf } from '../db/rows'
import { readWorkshop } from '../db/workshop'
import type { Notice } from './listen'

/** The numbers up to which a screen has everything: entries, and changes of all else. */
export interface Has {
  /** Of the last entry. */
  entries: number
  /** Of the last change. */
  changes: number
}

const AT_ONCE = 500

const pensIn = (changes: readonly Change[]): string[] => changes.flatMap(({ kind, ref }) => (kind === 'pen' ? [ref] : []))

/**
 * Turns notices into messages for one follower who has all up to `has`: each entry and each change goes out once, in the order of their
 * numbers, and what came in meanwhile is caught up with. Answers what takes a notice.
 */
export function follow(knex: Knex, has: Has, send: (message: Message) => Promise<void>): (notice: Notice) => Promise<void> {
  let { entries: lastEntry, changes: lastChange } = has
  let chain = Promise.resolve()
  /** The rows of some pens, each once. */
  async function rows(pens: readonly string[]): Promise<ListedPen[]> {
    return pens.length ? rowsOf(knex, (await readWorkshop(knex)).units, [...new Set(pens)]) : []
  }
  async function entries() {
    for (;;) {
      const found = await eventsAfter(knex, lastEntry, AT_ONCE)
      const last = found.at(-1)
      if (!last) return
      lastEntry = last.seq
      await send({ kind: 'entries', entries: found, rows: await rows(found.map(entry => entry.pen)) })
    }
  }
  async function changes() {
    for (;;) {
      const found = await changesAfter(knex, lastChange, AT_ONCE)
      if (!found.changes.length) return
      lastChange = found.upTo
      await send({ kind: 'changes', ...found, rows: await rows(pensIn(found.changes)) })
    }
  }
  const catchUp: Record<Notice['kind'], () => Promise<void>> = { entries, changes }
  return notice => (chain = chain.then(catchUp[notice.kind]).catch((error: Error) => console.error('Live updates:', error.message)))
}
