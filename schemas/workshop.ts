import { boolean, number, type InferType } from 'yup'
import { abrasives, products } from '../reference'
import { exact, word } from './common'

const habit = (least: number, most: number, unit = ' mm') => number().nullable().min(least, `Should lie between ${least} and ${most}${unit}.`).max(most, `Should lie between ${least} and ${most}${unit}.`)

/** The workshop: its air now, the units its turner reads, and their own ways of cutting where they are not the usual ones (null: as usual). */
export const workshopSchema = exact({
  version: number().integer().min(1).required(),
  celsius: number().min(-10, 'Should lie between -10 and 50 °C.').max(50, 'Should lie between -10 and 50 °C.').required(),
  humidity: number().min(1, 'Should lie between 1 and 100 %.').max(100, 'Should lie between 1 and 100 %.').required(),
  units: word('metric', 'inch', 'inch64').required(),
  /** Spare at each end, saw kerf and least wall over a tube, mm; drill wander as a part of the depth. */
  perEnd: habit(0, 20),
  kerf: habit(0, 5),
  wander: habit(0, 0.1, ''),
  leastWall: habit(0, 5),
})
export type Workshop = InferType<typeof workshopSchema>

/** Something put on the shelf or taken off it. */
export const shelfChangeSchema = exact({
  item: word(...[...abrasives, ...products].map(row => row.id)).required(),
  there: boolean().required(),
})
export type ShelfChange = InferType<typeof shelfChangeSchema>
