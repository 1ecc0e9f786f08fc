import { randomUUID } from 'node:crypto'
import { expect, request as requests, type APIRequestContext } from '@playwright/test'
import type { Access, Pairing, Person } from '../../contract'
import type { Role } from '../../schemas'
import type { Stand } from '../../scripts/lib/stand'

/** Somebody new in a workshop, made on the machine itself. */
export async function somebody(machine: APIRequestContext, workshop: string, role: Role, secret: string | null = null): Promise<Person> {
  const name = `${role} ${randomUUID().slice(0, 4)}`
  const answer = await machine.post(`/api/people?workshop=${workshop}`, { data: { name, mark: 'X', colour: '#3d6f8e', role, secret } })
  expect(answer.status()).toBe(201)
  return ((await answer.json()) as Person[]).find(one => one.name === name)!
}

/** A code for a device of somebody. */
export async function codeFor(machine: APIRequestContext, workshop: string, person: Person): Promise<Pairing> {
  const answer = await machine.post(`/api/people/${person.id}/pairing?workshop=${workshop}`)
  expect(answer.status()).toBe(201)
  return (await answer.json()) as Pairing
}

/** A device on the network that nobody let in; writes are sent as a page of that address sends them. */
export const stranger = (stand: Stand): Promise<APIRequestContext> =>
  requests.newContext({ baseURL: stand.network!.secure, ignoreHTTPSErrors: true })

/** A device of somebody, let in by a code. */
export async function deviceOf(stand: Stand, machine: APIRequestContext, workshop: string, person: Person): Promise<APIRequestContext> {
  const device = await stranger(stand)
  const { code } = await codeFor(machine, workshop, person)
  expect((await device.post('/api/door/code', { data: { code, device: `tablet of ${person.name}` } })).status()).toBe(200)
  return device
}

/** Who may come in to a workshop, as its owners see it. */
export const accessOf = async (machine: APIRequestContext, workshop: string): Promise<Access> =>
  (await (await machine.get(`/api/people/access?workshop=${workshop}`)).json()) as Access
