import { number, type InferType } from 'yup'
import { isPriceName } from '../core/money'
import { exact, line, minor, uuid } from './common'

const thing = () => line(120).required()
  .test('what', 'Should say which thing.', value => value !== undefined && (/^bottle:[\w-]{1,80}$/.test(value) || (isPriceName(value) && value.includes(':'))))

/** Where something is bought, and how many pieces are in a pack. */
export const supplySchema = exact({
  what: thing(),
  source: line(80).defined(),
  pack: number().integer().min(1, 'Should lie between 1 and 1000.').max(1000, 'Should lie between 1 and 1000.').required(),
})
/** The same as it comes in. */
export type SupplyChange = InferType<typeof supplySchema>

/** Things that were bought and lie on the shelf now; under an id made where it was said, so that saying it twice is once. */
export const boughtSchema = exact({
  id: uuid().required(),
  what: thing(),
  pieces: number().integer().min(1, 'Should lie between 1 and 10 000.').max(10_000, 'Should lie between 1 and 10 000.').required(),
  each: minor().nullable().defined(),
})
/** The same as it comes in. */
export type Bought = InferType<typeof boughtSchema>
