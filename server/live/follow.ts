import type { Knex } from 'knex'
import { eventsAfter, type StoredEvent } from '../db/events'
import type { Notice } from './listen'

/** One message to a screen that follows: what came in, in order; a pen to be fetched anew; the air to be fetched anew. */
export type Message = { kind: 'entries', entries: StoredEvent[] } | Exclude<Notice, { kind: 'events' }>

const AT_ONCE = 500

/**
 * Turns notices into messages for one follower who has all entries up to `after`: entries go out once each, in the order of their numbers, and what came in meanwhile is caught up with. Answers what takes a notice.
 */
export function follow(knex: Knex, after: number, send: (message: Message) => Promise<void>): (notice: Notice) => Promise<void> {
  let last = after
  let chain = Promise.resolve()
  async function catchUp() {
    for (;;) {
      const entries = await eventsAfter(knex, last, AT_ONCE)
      if (!entries.length) return
      last = entries.at(-1)!.seq
      await send({ kind: 'entries', entries })
    }
  }
  return notice => chain = chain.then(() => notice.kind === 'events' ? catchUp() : send(notice)).catch((error: Error) => console.error('Live updates:', error.message))
}
