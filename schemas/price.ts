import { ValidationError, type InferType } from 'yup'
import { isPriceName } from '../core/money'
import { exact, judged, line, minor } from './common'

/** A price is set, in minor units, or taken away with null. A margin is of the price, in %. */
export const priceSchema = judged(exact({
  what: line(120).required().test('what', 'Should say what the price is for.', value => value !== undefined && isPriceName(value)),
  minor: minor().nullable().defined(),
}), ({ what, minor: said }) => what !== 'margin' || (said ?? 0) < 100 || new ValidationError('Should lie below 100 %.', said, 'minor'))
/** The same as it comes in. */
export type PriceChange = InferType<typeof priceSchema>
