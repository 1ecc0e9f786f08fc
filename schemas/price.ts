import { number, ValidationError, type InferType } from 'yup'
import { isPriceName } from '../core/money'
import { exact, judged, line } from './common'

const RANGE = 'Should lie between 0 and 1,000,000.00.'

/** A price is set, in minor units, or taken away with null. A margin is of the price, in %. */
export const priceSchema = judged(exact({
  what: line(120).required().test('what', 'Should say what the price is for.', value => value !== undefined && isPriceName(value)),
  minor: number().integer().min(0, RANGE).max(100_000_000, RANGE).nullable().defined(),
}), ({ what, minor }) => what !== 'margin' || (minor ?? 0) < 100 || new ValidationError('Should lie below 100 %.', minor, 'minor'))
/** The same as it comes in. */
export type PriceChange = InferType<typeof priceSchema>
