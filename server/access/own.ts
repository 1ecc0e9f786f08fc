import type { H3Event } from 'h3'
import type { PersonBrief } from '../../contract'
import { ownerDb } from '../db/connection'
import { answered, knock } from '../db/knocks'
import { secretOf } from '../db/people'
import { FieldsError, NotForYouError, TooOftenError } from '../faults'
import { idParam } from '../http/params'
import { addressOf } from './machine'
import { isSecret } from './secret'
import { whoIs } from './who'

/** Whoever asks, where that is who is asked about. @throws NotForYouError */
export async function refuseOther(event: H3Event): Promise<PersonBrief> {
  const who = await whoIs(event)
  if (!who?.person || who.person.id !== idParam(event)) throw new NotForYouError('Each does this for themselves, signed in.')
  return who.person
}

/**
 * The same, who says the password they have; a wrong one counts as a knock in vain. @throws NotForYouError, FieldsError, TooOftenError
 */
export async function ownPerson(event: H3Event, current: string): Promise<PersonBrief> {
  const person = await refuseOther(event)
  await refuseWrong(event, person, await secretOf(ownerDb(), person.id), current)
  return person
}

/** Whether somebody’s password is the one they say they have. @throws FieldsError, TooOftenError */
export async function refuseWrong(event: H3Event, { name }: PersonBrief, kept: string | null, current: string): Promise<void> {
  const from = { address: addressOf(event), about: name.toLowerCase() }
  const heard = await knock(ownerDb(), from)
  if ('wait' in heard) throw new TooOftenError(heard.wait)
  if (!await isSecret(current, kept)) throw new FieldsError({ current: 'This is not the one you have.' })
  await answered(ownerDb(), heard.id, from)
}
