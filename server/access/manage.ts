import type { H3Event } from 'h3'
import { ownerDb } from '../db/connection'
import { rolesOf } from '../db/people'
import { NotForYouError } from '../faults'
import { whoIs } from './who'

/**
 * Whether whoever asks may say of somebody by what they come in: whoever looks after the installation, or who owns every workshop that
 * person belongs to. Else an owner of one could come in as them into another.
 * @throws NotForYouError
 */
export async function refuseUnmanaged(event: H3Event, person: string): Promise<void> {
  const who = await whoIs(event)
  if (!who) throw new NotForYouError('Come in first.')
  if (who.keeper) return
  const [row, roles] = await Promise.all([ownerDb()('people').where({ id: person }).first('keeper'), rolesOf(ownerDb(), person)])
  const isOwned = [...roles.keys()].every(workshop => who.roles.get(workshop) === 'owner')
  if (!row || row.keeper || !isOwned)
    throw new NotForYouError('They belong to another workshop too. Whoever looks after the installation can do this.')
}
