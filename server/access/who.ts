import { deleteCookie, getCookie, setCookie, type H3Event } from 'h3'
import type { Me, PersonBrief } from '../../contract'
import type { Role } from '../../schemas'
import { ownerDb } from '../db/connection'
import { rolesOf } from '../db/people'
import { seeSession, sessionOf } from '../db/sessions'
import { getRequestHeader } from 'h3'
import { isMachine, isOverNetwork } from './machine'
import { opened, sealed } from './secret'
import { isLocked, sealOfInstallation } from './installation'

/** Somebody who asks. */
export interface Who {
  /** Who; null on the machine itself, where nothing is asked. */
  person: PersonBrief | null
  /** Whether they look after the installation. */
  keeper: boolean
  /** By what they are in. */
  how: Me['how']
  /** Their session; null on the machine itself. */
  session: string | null
  /** What they may do, by workshop; on the machine itself everything. */
  roles: ReadonlyMap<string, Role>
}

const COOKIE = 'oxlip'
const isSecure = (event: H3Event): boolean => isOverNetwork(event) || getRequestHeader(event, 'x-forwarded-proto') === 'https'

/** Hands a device its cookie, good for so many days. */
export async function handCookie(event: H3Event, token: string, days: number): Promise<void> {
  setCookie(event, COOKIE, sealed(token, await sealOfInstallation()), {
    httpOnly: true, sameSite: 'strict', secure: isSecure(event), path: '/', maxAge: days * 86_400,
  })
}
/** Takes the cookie back. */
export const takeCookie = (event: H3Event): void => deleteCookie(event, COOKIE, { path: '/' })

/** Who asks; undefined for a stranger. Worked out once a request. */
export function whoIs(event: H3Event): Promise<Who | undefined> {
  event.context.who ??= findOut(event)
  return event.context.who as Promise<Who | undefined>
}

async function findOut(event: H3Event): Promise<Who | undefined> {
  const cookie = getCookie(event, COOKIE)
  const token = cookie ? opened(cookie, await sealOfInstallation()) : undefined
  const session = token ? await sessionOf(ownerDb(), token) : undefined
  if (session && token) {
    if (session.stale) {
      const days = await seeSession(ownerDb(), session)
      if (days !== undefined) await handCookie(event, token, days)
    }
    const { id, person, keeper, how } = session
    return { person, keeper, how, session: id, roles: await rolesOf(ownerDb(), person.id) }
  }
  if (!isMachine(event) || await isLocked()) return undefined
  return { person: null, keeper: true, how: 'machine', session: null, roles: new Map() }
}

/** What somebody may do in a workshop; undefined where they do not belong. */
export const roleIn = ({ how, roles }: Who, workshop: string): Role | undefined => (how === 'machine' ? 'owner' : roles.get(workshop))

/** Of whose pens somebody may work on none but their own: their id; undefined for who may work on all. */
export function onlyOwn(who: Who, workshop: string): string | undefined {
  return roleIn(who, workshop) === 'owner' ? undefined : who.person?.id
}
