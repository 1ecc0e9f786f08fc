import type { H3Event } from 'h3'
import type { Door, Me } from '../../contract'
import { ownerDb } from '../db/connection'
import { answered, knock, waitOf } from '../db/knocks'
import { endSession, openSession, type How } from '../db/sessions'
import { FieldsError, TooOftenError } from '../faults'
import { addressOf } from './machine'
import { handCookie, whoIs, type Who } from './who'

const asMe = ({ person, keeper, how, roles }: Who): Me => ({ person, keeper, how, roles: Object.fromEntries(roles) })

/** How the door stands for whoever asks: nothing is told to a stranger but how long the next try has to wait. */
export async function doorOf(event: H3Event): Promise<Door> {
  const who = await whoIs(event)
  return who ? { me: asMe(who), wait: 0 } : { me: null, wait: await waitOf(ownerDb(), { address: addressOf(event), about: 'code' }) }
}

/** How somebody tries to come in. */
interface Tried {
  /** For whom, or by a code. */
  about: string
  /** What the device is called. */
  device: string
  /** How they would be in. */
  how: How
  /** What is said where it is wrong, by field. */
  wrong: Record<string, string>
}

/**
 * Looks at a try to come in: `find` answers who it lets in. A try in vain counts, and after some of them the next has to wait.
 * @throws TooOftenError, FieldsError with what `wrong` says
 */
export async function comeIn(event: H3Event, tried: Tried, find: () => Promise<string | undefined>): Promise<Door> {
  const from = { address: addressOf(event), about: tried.about }
  const heard = await knock(ownerDb(), from)
  if ('wait' in heard) throw new TooOftenError(heard.wait, `Too many tries. Wait ${waitWords(heard.wait)}, then try again.`)
  const person = await find()
  if (!person) throw new FieldsError(tried.wrong)
  await answered(ownerDb(), heard.id, from)
  // Who comes in anew on a device is not in twice on it.
  const before = (await whoIs(event))?.session
  if (before) await endSession(ownerDb(), before)
  const { token, days } = await openSession(ownerDb(), person, tried.device, tried.how)
  await handCookie(event, token, days)
  return { me: null, wait: 0 }
}

const waitWords = (seconds: number): string => (seconds < 90 ? `${seconds} s` : `${Math.ceil(seconds / 60)} min`)
