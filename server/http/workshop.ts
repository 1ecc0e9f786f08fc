import { getQuery, type H3Event } from 'h3'
import type { Knex } from 'knex'
import type { PenChange } from '../../schemas'
import { uuid } from '../../schemas/common'
import { onlyOwn, roleIn, whoIs } from '../access/who'
import { db, ownerDb } from '../db/connection'
import { refuseFixed } from '../db/classes'
import { refuseOthers } from '../db/makers'
import { withinWorkshop, type Within } from '../db/within'
import { opening } from '../db/workshops'
import { DoorError, GoneError } from '../faults'

/**
 * The workshop that a request names in its address (`?workshop=`); where it names none the one that opens by itself.
 * @throws GoneError for what can be none, and for one that whoever asks does not belong to: they are not told that it is there
 */
export function workshopOf(event: H3Event): Promise<string> {
  event.context.workshop ??= named(event)
  return event.context.workshop as Promise<string>
}

async function named(event: H3Event): Promise<string> {
  const { workshop } = getQuery(event)
  const who = await whoIs(event)
  if (!who) throw new DoorError()
  if (workshop === undefined) return opening(ownerDb(), who)
  if (typeof workshop !== 'string' || !uuid().isValidSync(workshop) || !roleIn(who, workshop))
    throw new GoneError('There is no such workshop.')
  return workshop
}

/** Transactions in the request’s workshop, in which what is entered is noted as of whoever asks. */
export async function placeOf(event: H3Event): Promise<{ workshop: string, within: Within, person: string | null }> {
  const [workshop, who] = [await workshopOf(event), await whoIs(event)]
  const person = who?.person?.id ?? null
  return { workshop, within: withinWorkshop(db(), workshop, person), person }
}

/** Does something in a transaction of the request’s workshop. Read the body before: a slow sender must not hold a connection. */
export async function inWorkshop<T>(event: H3Event, work: (knex: Knex) => Promise<T>): Promise<T> {
  return (await placeOf(event)).within(work)
}

/**
 * The same for a change of a pen, or of its plan: an owner changes every one, others their own, and of one of a class what is free there.
 * @throws NotForYouError
 */
export async function onPen<T>(
  event: H3Event, pen: string, change: Partial<PenChange> | 'plan', work: (knex: Knex) => Promise<T>,
): Promise<T> {
  const own = await ownPens(event)
  return inWorkshop(event, async (knex) => {
    if (own) await refuseOthers(knex, [pen], own)
    if (own) await refuseFixed(knex, pen, change)
    return work(knex)
  })
}

/** Whose pens alone whoever asks may work on; undefined: all. */
export async function ownPens(event: H3Event): Promise<string | undefined> {
  const who = await whoIs(event)
  return who && onlyOwn(who, await workshopOf(event))
}
