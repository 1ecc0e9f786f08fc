import type { H3Event } from 'h3'
import type { FindingsPlace } from '../../contract'
import { conditionOf } from '../../core/findings'
import type { FindingQuery } from '../../schemas'
import { NotForYouError } from '../faults'
import { isUnpriced } from './unpriced'

/**
 * Who made what is asked by makers and owners: pupils do not look up how often something went wrong for whom.
 * @throws NotForYouError
 */
export async function refuseByName(event: H3Event, { by, among = [] }: Pick<FindingQuery, 'by' | 'among'>): Promise<void> {
  const asks = by === 'who' || among.some(text => conditionOf(text)?.trait === 'who')
  if (asks && await isUnpriced(event)) throw new NotForYouError('Who made what is asked by makers and owners.')
}

/** What findings begin with, without who made pens for those who may not ask it. */
export async function unnamed(event: H3Event, place: FindingsPlace): Promise<FindingsPlace> {
  if (!place.values.who || !await isUnpriced(event)) return place
  const { who: _, ...values } = place.values
  return { ...place, values }
}
