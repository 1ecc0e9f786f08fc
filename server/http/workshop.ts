import { getQuery, type H3Event } from 'h3'
import type { Knex } from 'knex'
import { uuid } from '../../schemas/common'
import { db, ownerDb } from '../db/connection'
import { withinWorkshop } from '../db/within'
import { opening } from '../db/workshops'
import { GoneError } from '../faults'

/**
 * The workshop that a request names in its address (`?workshop=`); where it names none the one that opens by itself.
 * @throws GoneError for what can be none
 */
export async function workshopOf(event: H3Event): Promise<string> {
  const { workshop } = getQuery(event)
  if (workshop === undefined) return opening(ownerDb())
  if (typeof workshop !== 'string' || !uuid().isValidSync(workshop)) throw new GoneError('There is no such workshop.')
  return workshop
}

/** Does something in a transaction of the request’s workshop. Read the body before: a slow sender must not hold a connection. */
export async function inWorkshop<T>(event: H3Event, work: (knex: Knex) => Promise<T>): Promise<T> {
  return withinWorkshop(db(), await workshopOf(event))(work)
}
