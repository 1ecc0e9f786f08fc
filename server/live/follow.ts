import type { Change, Message } from '../../contract'
import type { Notice } from './listen'
import type { Source } from './source'

/** The numbers up to which a screen has everything: entries, and changes of all else. */
export interface Has {
  /** Of the last entry. */
  entries: number
  /** Of the last change. */
  changes: number
}

/** The pens among some changes. */
const pensIn = (changes: readonly Change[]): string[] => changes.flatMap(({ kind, ref }) => (kind === 'pen' ? [ref] : []))

/**
 * Turns notices into messages for one follower who has all up to `has`: each entry and each change goes out once, in the order of their
 * numbers, and what came in meanwhile is caught up with. Answers what takes a notice.
 */
export function follow(source: Source, has: Has, send: (message: Message) => Promise<void>): (notice: Notice) => Promise<void> {
  let { entries: lastEntry, changes: lastChange } = has
  let chain = Promise.resolve()
  async function entries() {
    for (let goesOn = true; goesOn;) {
      const { found, more } = await source.entriesAfter(lastEntry)
      goesOn = more
      const last = found.at(-1)
      if (!last) return
      lastEntry = last.seq
      const pens = [...new Set(found.map(entry => entry.pen))]
      await send({ kind: 'entries', entries: found, rows: await source.rows(`entry ${lastEntry}`, pens) })
    }
  }
  async function changes() {
    for (let goesOn = true; goesOn;) {
      const { more, ...found } = await source.changesAfter(lastChange)
      goesOn = more
      if (!found.changes.length) return
      lastChange = found.upTo
      await send({ kind: 'changes', ...found, rows: await source.rows(`change ${lastChange}`, pensIn(found.changes)) })
    }
  }
  const catchUp: Record<Notice['kind'], () => Promise<void>> = { entries, changes }
  return notice => (chain = chain.then(catchUp[notice.kind]).catch((error: Error) => console.error('Live updates:', error.message)))
}
