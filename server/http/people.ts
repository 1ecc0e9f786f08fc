import type { H3Event } from 'h3'
import type { Access, Person } from '../../contract'
import { isLocked } from '../access/installation'
import { whoIs } from '../access/who'
import { ownerDb } from '../db/connection'
import { knocksInVain } from '../db/knocks'
import { listPeople } from '../db/people'
import { listDevices } from '../db/sessions'
import { FieldsError } from '../faults'
import { networkState } from '../network/state'
import { workshopOf } from './workshop'

/** The people of the request’s workshop; whoever looks after the installation sees all of it. */
export async function peopleHere(event: H3Event): Promise<Person[]> {
  const who = await whoIs(event)
  return listPeople(ownerDb(), await workshopOf(event), who?.keeper ?? false)
}

/** Who may come in to it, by what, and who tried in vain. */
export async function accessHere(event: H3Event): Promise<Access> {
  const who = await whoIs(event)
  const [devices, knocks, locked] = await Promise.all([
    listDevices(ownerDb(), await workshopOf(event), who?.session ?? null), knocksInVain(ownerDb()), isLocked(),
  ])
  return { devices, knocks, locked, network: networkState() ?? null }
}

/** @throws FieldsError when somebody among these does not belong to the request’s workshop */
export async function refuseStrangers(event: H3Event, people: readonly string[]): Promise<void> {
  const here = new Set((await listPeople(ownerDb(), await workshopOf(event), false)).filter(one => one.role).map(one => one.id))
  const strange = people.findIndex(one => !here.has(one))
  if (strange >= 0) throw new FieldsError({ [`people[${strange}]`]: 'Does not belong to this workshop.' })
}
