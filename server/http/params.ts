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

/**
 * What stands in the address after the question mark but the workshop, checked by a schema; figures are read as figures.
 * @throws ValidationError
 */
export async function queryOf<S extends AnySchema>(event: H3Event, schema: S, figures: readonly string[] = []): Promise<InferType<S>> {
  const asked = Object.entries(getQuery(event)).filter(([name, value]) => value !== '' && name !== 'workshop')
  const read = asked.map(([name, value]) => [name, figures.includes(name) ? Number(value) : value])
  return await schema.validate(Object.fromEntries(read), { abortEarly: false })
}
