import type { H3Event } from 'h3'
import type { RawRouteName, RouteName } from '../../contract'
import type { Role } from '../../schemas'
import { workshopOf } from '../http/workshop'
import { ALLOWED, NEEDS } from './needs'
import { roleIn, whoIs } from './who'

/**
 * What is hidden, by the fields that tell such a thing wherever it stands, in an entry, a row or a record: of a pen that left what it
 * brought and who had it, of one that came back what was paid.
 */
const PAID: readonly { of: readonly string[], hides: Readonly<Record<string, null>> }[] = [
  { of: ['how', 'price', 'customer', 'order'], hides: { price: null, customer: null, order: null } },
  { of: ['why', 'paid'], hides: { paid: null } },
]

type Plain = Record<string, unknown>
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype

/**
 * The same answer without what pens brought, to whom they went, and what bottles cost. What is asked for a pen stays: that stands on its
 * tag at the fair.
 */
export function unpriced<T>(answer: T): T {
  if (Array.isArray(answer)) return answer.map(unpriced) as T
  if (!isPlain(answer)) return answer
  const part = (name: string, value: unknown) => (name === 'bottle' ? unpricedBottle(value) : unpriced(value))
  const told = Object.fromEntries(Object.entries(answer).map(([name, value]) => [name, part(name, value)]))
  const paid = PAID.find(({ of }) => of.every(name => Object.hasOwn(answer, name)))
  return { ...told, ...paid?.hides } as T
}

function unpricedBottle(bottle: unknown): unknown {
  if (!isPlain(bottle)) return bottle
  const { price: _, ...rest } = bottle
  return rest
}

/** Whether a role sees what things cost. */
export const seesMoney = (role: Role | undefined): boolean => role !== undefined && ALLOWED.money.includes(role)

/** Whether whoever asks may not see what things cost, in the workshop they ask in. */
export async function isUnpriced(event: H3Event): Promise<boolean> {
  const who = await whoIs(event)
  return !seesMoney(who && roleIn(who, await workshopOf(event)))
}

/** What a route of a workshop answers to whoever asks. */
export async function asSeen<T>(event: H3Event, name: RouteName | RawRouteName, answer: T): Promise<T> {
  const need = NEEDS[name]
  if (!['look', 'work', 'shelf'].includes(need)) return answer
  return (await isUnpriced(event)) ? unpriced(answer) : answer
}
