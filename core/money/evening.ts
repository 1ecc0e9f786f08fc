import { given, worked, type Figure } from '../figures'
import type { Bottle } from '../shelf'
import { abrasivePrice, type Prices } from './prices'

/** What was done in an evening, on all pens. */
export interface EveningDone {
  /** Time with hands on it, s. */
  seconds: number
  /** What coats took from the bottles, ml, by product. */
  bottles: readonly { id: string, ml: number }[]
  /** What grits took of the life of sheets, in pieces, by abrasive. */
  sheets: readonly { id: string, pieces: number }[]
}

/** What an evening cost, in minor units: each part rounded, null where a price of it is not known or nothing of it was done. */
export interface EveningCost {
  /** What coats took. */
  finish: Figure | null
  /** What grits took. */
  abrasives: Figure | null
  /** Hands at their rate. */
  hands: Figure | null
  /** The sum of the parts that are known. */
  total: Figure
}

/** What an evening cost, by the prices as they are now; `bottleOf` is the bottle of a product. */
export function eveningCost(done: EveningDone, prices: Prices, bottleOf: (id: string) => Bottle | undefined): EveningCost {
  const parts = {
    finish: sumOf('what coats took', 'sum over the bottles', done.bottles.map(({ id, ml }) => {
      const { price, size } = bottleOf(id) ?? {}
      return price === undefined || !size ? null : share(ml, 'ml', price / size, 'price of a ml')
    })),
    abrasives: sumOf('what grits took', 'sum over the abrasives', done.sheets.map(({ id, pieces }) => {
      const price = prices[abrasivePrice(id)]
      return price === undefined ? null : share(pieces, '×', price, 'price of a piece')
    })),
    hands: handsOf(done.seconds, prices.hour),
  }
  const known = Object.values(parts).flatMap(one => one ?? [])
  return { ...parts, total: worked('cost', known.reduce((sum, one) => sum + one.value, 0), 'money', 'sum of what is known', known) }
}

const handsOf = (seconds: number, hour: number | undefined): Figure | null =>
  (hour === undefined || !seconds ? null : sumOf('hands', 'time × an hour', [share(seconds / 3600, '', hour, 'an hour')]))

const share = (amount: number, unit: Figure['unit'], price: number, label: string): Figure =>
  worked('of it', amount * price, 'money', 'amount × price', [given('amount', amount, unit), given(label, price, 'money')])

/** The sum of some parts, rounded once; null where one of them is not known, or there is none. */
function sumOf(label: string, note: string, parts: readonly (Figure | null)[]): Figure | null {
  const known = parts.flatMap(one => one ?? [])
  if (!parts.length || known.length < parts.length) return null
  return worked(label, Math.round(known.reduce((sum, one) => sum + one.value, 0)), 'money', note, known)
}
