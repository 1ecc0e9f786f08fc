import { given, worked, type Figure } from '../figures'
import type { PenCost } from './cost'
import type { Prices } from './prices'

/** What may be asked for a pen, by two ways of reckoning; absent where what they need is not known. */
export interface Asking {
  /** By the part of the price that is to be kept. */
  byMargin?: Figure
  /** By what an hour of hands is to bring. */
  byWage?: Figure
}

/**
 * What may be asked for a pen: so that a part of the price is left over its cost, or so that an hour of hands brings what it should.
 * Rounded up to the minor unit.
 */
export function askingPrices({ total, parts }: PenCost, handsOn: number, { margin, wage }: Prices): Asking {
  const { hands } = parts
  const goods = total.value - (hands?.value ?? 0)
  return {
    ...(margin === undefined || margin >= 100
      ? {}
      : {
          byMargin: worked('by margin', Math.ceil(total.value / (1 - margin / 100) - 1e-9), 'money', 'cost / (1 − margin)', [
            total, given('margin', margin, '%'),
          ]),
        }),
    ...(wage === undefined
      ? {}
      : {
          byWage: worked('by wage', Math.ceil(goods + (handsOn / 3600) * wage - 1e-9), 'money', 'cost without hands + time × wage', [
            worked('cost without hands', goods, 'money', 'cost − hands', hands ? [total, hands] : [total]),
            given('hands on it', handsOn, 's'), given('wage of an hour', wage, 'money'),
          ]),
        }),
  }
}
