import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { Device, PersonBrief } from '../../contract'
import { newCode, newToken, plainCode, sealOf } from '../access/secret'
import { tellDoors } from './people'

/** How a session began. */
export type How = Device['how']

/** So long one lasts, days: a device that was let in stays in while it is used; who signed in signs in again after a month. */
const DAYS: Readonly<Record<How, number>> = { 'paired': 400, 'signed in': 30 }
/** A code is good for so long, minutes. */
const CODE_MINUTES = 5
/** When it was seen is noted this often, minutes. */
const SEEN = 10

/** Somebody who is in, by a session. */
export interface Session {
  /** Its id. */
  id: string
  /** How it began. */
  how: How
  /** Who. */
  person: PersonBrief
  /** Whether they look after the installation. */
  keeper: boolean
  /** Whether it was not noted as seen for a while. */
  stale: boolean
}

/** Lets somebody in by a device; answers the token that its cookie bears, and until when it lasts. */
export async function openSession(owner: Knex, person: string, name: string, how: How): Promise<{ token: string, days: number }> {
  const token = newToken()
  const ends = owner.raw('now() + make_interval(days => ?)', [DAYS[how]])
  await owner('sessions').insert({ id: randomUUID(), person_id: person, seal: sealOf(token), name, how, ends_at: ends })
  return { token, days: DAYS[how] }
}

interface Row {
  id: string
  how: How
  stale: boolean
  person_id: string
  name: string
  mark: string
  colour: string
  keeper: boolean
}

/** Who is in by a token; undefined where it is not good, or not any more. */
export async function sessionOf(owner: Knex, token: string): Promise<Session | undefined> {
  const row: Row | undefined = await owner('sessions').join('people', 'people.id', 'person_id')
    .where({ seal: sealOf(token), gone: false }).where('ends_at', '>', owner.fn.now())
    .first('sessions.id', 'how', 'person_id', 'people.name', 'mark', 'colour', 'keeper',
      owner.raw('seen_at < now() - make_interval(mins => ?) as stale', [SEEN]))
  if (!row) return undefined
  const { person_id: id, name, mark, colour, ...rest } = row
  return { ...rest, person: { id, name, mark, colour } }
}

/** Notes that it was seen; one of a device that was let in goes on from here. Answers for how many days its cookie is good now. */
export async function seeSession(owner: Knex, { id, how }: Pick<Session, 'id' | 'how'>): Promise<number | undefined> {
  const renewed = how === 'paired' ? { ends_at: owner.raw('now() + make_interval(days => ?)', [DAYS[how]]) } : {}
  await owner('sessions').where({ id }).update({ seen_at: owner.fn.now(), ...renewed })
  return how === 'paired' ? DAYS[how] : undefined
}

/** Whether a session is there still. */
export const isOpen = async (owner: Knex, id: string): Promise<boolean> =>
  Boolean(await owner('sessions').where({ id }).where('ends_at', '>', owner.fn.now()).first('id'))

/** Takes a device away: it is out at once, on every server. Answers whether it was there. */
export async function endSession(owner: Knex, id: string): Promise<boolean> {
  const ended = await owner('sessions').where({ id }).delete()
  await tellDoors(owner)
  return ended > 0
}

/** Whose a session is; undefined where there is none. */
export async function personOf(owner: Knex, id: string): Promise<string | undefined> {
  return ((await owner('sessions').where({ id }).first('person_id')) as { person_id: string } | undefined)?.person_id
}

/** Devices of people of a workshop, those seen last first; those that are over are gone. */
export async function listDevices(owner: Knex, workshop: string, own: string | null): Promise<Device[]> {
  interface Listed { id: string, person_id: string, name: string, how: How, made_at: Date, seen_at: Date }
  const rows: Listed[] = await owner('sessions')
    .whereIn('person_id', owner('members').where({ workshop_id: workshop }).whereNotNull('role').select('person_id'))
    .where('ends_at', '>', owner.fn.now()).orderBy('seen_at', 'desc').orderBy('id')
    .select('id', 'person_id', 'name', 'how', 'made_at', 'seen_at')
  return rows.map(({ id, person_id: person, name, how, made_at: made, seen_at: seen }) => ({
    id, person, name, how, made: made.toISOString(), seen: seen.toISOString(), isThis: id === own,
  }))
}

/** Makes a code that lets one device of somebody in, once, within five minutes. An earlier one of theirs is good no more. */
export async function newPairing(owner: Knex, person: string): Promise<{ code: string, ends: string }> {
  const code = newCode()
  const ends = new Date(Date.now() + CODE_MINUTES * 60_000)
  await owner.transaction(async (trx) => {
    await trx('pairings').where({ person_id: person }).orWhere('ends_at', '<', trx.fn.now()).delete()
    await trx('pairings').insert({ seal: sealOf(plainCode(code)), person_id: person, ends_at: ends })
  })
  return { code, ends: ends.toISOString() }
}

/** Uses a code up; answers whose it was, or undefined for one that is not good. */
export async function usePairing(owner: Knex, code: string): Promise<string | undefined> {
  const used: { person_id: string }[] = await owner('pairings').where({ seal: sealOf(plainCode(code)) })
    .where('ends_at', '>', owner.fn.now()).delete().returning('person_id')
  return used[0]?.person_id
}
