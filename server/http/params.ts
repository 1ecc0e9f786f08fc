import { getQuery, getRouterParam, type H3Event } from 'h3'
import type { AnySchema, InferType } from 'yup'
import { uuid } from '../../schemas/common'
import { NotFoundError } from '../faults'

/** The id in a route. @throws NotFoundError for what cannot be an id */
export function idParam(event: H3Event, name = 'id'): string {
  const id = getRouterParam(event, name) ?? ''
  if (!id || !uuid().isValidSync(id)) throw new NotFoundError('There is nothing under this address.')
  return id
}

/** The id of a fitting in a route: a word or an id. @throws NotFoundError for what cannot be one */
export function nameParam(event: H3Event): string {
  const id = getRouterParam(event, 'id') ?? ''
  if (!/^[a-z0-9-]{1,60}$/.test(id)) throw new NotFoundError('There is nothing under this address.')
  return id
}

/** How what stands in an address is read: it is all text there. */
interface Reading {
  /** What is a figure. */
  figures?: readonly string[]
  /** What may be said several times. */
  lists?: readonly string[]
}

/**
 * What stands in the address after the question mark but the workshop, checked by a schema; figures are read as figures, and what may be
 * said several times as a list even where it is said once.
 * @throws ValidationError
 */
export async function queryOf<S extends AnySchema>(event: H3Event, schema: S, reading: Reading = {}): Promise<InferType<S>> {
  const { figures = [], lists = [] } = reading
  const asked = Object.entries(getQuery(event)).filter(([name, value]) => value !== '' && name !== 'workshop')
  const read = asked.map(([name, value]) => [name, figures.includes(name) ? Number(value) : lists.includes(name) ? [value].flat() : value])
  return await schema.validate(Object.fromEntries(read), { abortEarly: false })
}
