import { createEventStream, getQuery, type H3Event } from 'h3'
import type { Message } from '../../contract'
import { lastChange } from '../db/changes'
import { db } from '../db/connection'
import { lastSeq } from '../db/log'
import { rawRoute } from '../http/route'
import { follow } from '../live/follow'
import { listen } from '../live/listen'
import { sharedSource, type Source } from '../live/source'

/** A sign of life this often, ms, so that a screen notices a dead connection. */
const PULSE = 5000

/** What came in is asked for once, for all screens of this server. */
let source: Source | undefined

/** A number of the query; undefined when it is none. */
function numberIn(event: H3Event, name: string): number | undefined {
  const given = Number(getQuery(event)[name] ?? Number.NaN)
  return Number.isSafeInteger(given) && given >= 0 ? given : undefined
}

/**
 * Server-sent events: first a greeting with the time here, then every entry after the number `after` and every change of anything else
 * after the number `changed`, as they come in. Without a number: from now on.
 */
export default rawRoute(async (event: H3Event) => {
  const knex = db()
  const has = {
    entries: numberIn(event, 'after') ?? (await lastSeq(knex)),
    changes: numberIn(event, 'changed') ?? (await lastChange(knex)),
  }
  const stream = createEventStream(event)
  const send = (message: Message) => stream.push(JSON.stringify(message))
  const greet = () => send({ kind: 'pulse', now: new Date().toISOString() })
  const take = follow((source ??= sharedSource(knex)), has, send)
  const stop = listen(notice => void take(notice))
  const pulse = setInterval(() => void greet(), PULSE)
  stream.onClosed(() => {
    clearInterval(pulse)
    stop()
  })
  const sent = stream.send()
  await greet()
  await take({ kind: 'entries' })
  await take({ kind: 'changes' })
  return sent
})
