import { getRouterParam, type H3Event } from 'h3'
import { uuid } from '../../schemas/common'
import { NotFoundError } from './errors'

/** The id in a route. @throws NotFoundError for what cannot be an id */
export function idParam(event: H3Event): string {
  const id = getRouterParam(event, 'id') ?? ''
  if (!id || !uuid().isValidSync(id)) throw new NotFoundError('There is nothing under this address.')
  return id
}
