import { createEventStream, getQuery, type H3Event } from 'h3'
import type { Message } from '../../contract'
import type { Role } from '../../schemas'
import { lastChange } from '../db/changes'
import { db, ownerDb } from '../db/connection'
import { lastSeq } from '../db/log'
import { rawRoute } from '../http/route'
import { workshopOf } from '../http/workshop'
import { withinWorkshop } from '../db/within'
import { follow } from '../live/follow'
import { listen, listenAtDoor } from '../live/listen'
import { isLocked } from '../access/installation'
import { isUnpriced, seesMoney, unpriced } from '../access/unpriced'
import { whoIs, type Who } from '../access/who'
import { rolesOf } from '../db/people'
import { isOpen } from '../db/sessions'
import { sharedSource, type Source } from '../live/source'

/** A sign of life this often, ms, so that a screen notices a dead connection. */
const PULSE = 5000

/** What came into a workshop is asked for once, for all screens of this server. */
const sources = new Map<string, Source>()

function sourceOf(workshop: string): Source {
  const source = sources.get(workshop) ?? sharedSource(withinWorkshop(db(), workshop))
  sources.set(workshop, source)
  return source
}

/** What somebody who was let in may do in a workshop by now; undefined where they may not be in it any more. */
async function roleNow(who: Who | undefined, workshop: string): Promise<Role | undefined> {
  if (!who) return undefined
  if (who.how === 'machine' || !who.session || !who.person) return await isLocked() ? undefined : 'owner'
  return await isOpen(ownerDb(), who.session) ? (await rolesOf(ownerDb(), who.person.id)).get(workshop) : undefined
}

/** A number of the query; undefined when it is none. */
function numberIn(event: H3Event, name: string): number | undefined {
  const given = Number(getQuery(event)[name] ?? Number.NaN)
  return Number.isSafeInteger(given) && given >= 0 ? given : undefined
}

/**
 * Server-sent events: first a greeting with the time here, then every entry after the number `after` and every change of anything else
 * after the number `changed`, as they come in. Without a number: from now on.
 */
export default rawRoute('GET /api/live', async (event: H3Event) => {
  const workshop = await workshopOf(event)
  const has = await withinWorkshop(db(), workshop)(async trx => ({
    entries: numberIn(event, 'after') ?? (await lastSeq(trx)),
    changes: numberIn(event, 'changed') ?? (await lastChange(trx)),
  }))
  const stream = createEventStream(event)
  let hides = await isUnpriced(event)
  const send = (message: Message) => stream.push(JSON.stringify(hides ? unpriced(message) : message))
  const greet = () => send({ kind: 'pulse', now: new Date().toISOString() })
  const take = follow(sourceOf(workshop), has, send)
  const stopHearing = listen(workshop, notice => void take(notice))
  // Whoever is taken away is out at once, and hears nothing more.
  const who = await whoIs(event)
  const stopAsking = listenAtDoor(() => void roleNow(who, workshop).then((role) => {
    hides = !seesMoney(role)
    return role ? undefined : stream.close()
  }, () => undefined))
  const stop = () => {
    stopHearing()
    stopAsking()
  }
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
