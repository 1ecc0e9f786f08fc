import { boolean, number, type InferType } from 'yup'
import { abrasives, products } from '../reference'
import { exact, word } from './common'

/** The workshop: its air now, and the units its turner reads. */
export const workshopSchema = exact({
  version: number().integer().min(1).required(),
  celsius: number().min(-10, 'Should lie between -10 and 50 °C.').max(50, 'Should lie between -10 and 50 °C.').required(),
  humidity: number().min(1, 'Should lie between 1 and 100 %.').max(100, 'Should lie between 1 and 100 %.').required(),
  units: word('metric', 'inch', 'inch64').required(),
})
export type Workshop = InferType<typeof workshopSchema>

/** Something put on the shelf or taken off it. */
export const shelfChangeSchema = exact({
  item: word(...[...abrasives, ...products].map(row => row.id)).required(),
  there: boolean().required(),
})
export type ShelfChange = InferType<typeof shelfChangeSchema>
