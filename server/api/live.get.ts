import { createEventStream, getQuery, type H3Event } from 'h3'
import { db } from '../db/connection'
import { lastSeq } from '../db/events'
import { follow } from '../live/follow'
import { listen } from '../live/listen'
import { route } from '../http/route'

/** A sign of life this often, ms, so that a screen notices a dead connection. */
const PULSE = 5000

/** Server-sent events: first a greeting with the time here, then every entry after the number `after`, as it comes in; and what else should be fetched anew. */
export default route(async (event: H3Event) => {
  const knex = db()
  const after = Number(getQuery(event).after ?? Number.NaN)
  const from = Number.isSafeInteger(after) && after >= 0 ? after : await lastSeq(knex)
  const stream = createEventStream(event)
  const greet = () => stream.push(JSON.stringify({ kind: 'pulse', now: new Date().toISOString() }))
  const take = follow(knex, from, message => stream.push(JSON.stringify(message)))
  const stop = listen(notice => void take(notice))
  const pulse = setInterval(() => void greet(), PULSE)
  stream.onClosed(() => {
    clearInterval(pulse)
    stop()
  })
  const sent = stream.send()
  await greet()
  await take({ kind: 'events' })
  return sent
})
