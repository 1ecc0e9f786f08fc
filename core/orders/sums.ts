import { nth } from '../sure'

/** What a place took: a fair, a shop, or all in all, in minor units. */
export interface PlaceSum {
  /** Pens that were sold. */
  sold: number
  /** Pens that were given away. */
  given: number
  /** What was taken for them. */
  taken: number
  /** What was paid back for those that came back. */
  paidBack: number
  /** What the place cost: a table, a share. */
  cost: number
  /** What of it all is left. */
  left: number
}

/** One pen that went or came back: what it brought, or what was paid back for it. */
export type Moved = { kind: 'leave', how: 'sold' | 'given', price: number | null } | { kind: 'return', paid: number | null }

/** The sum of a place from what was moved there and what the place cost, in minor units; what nobody said counts for nothing. */
export function placeSum(moved: readonly Moved[], cost: number): PlaceSum {
  const sum = { sold: 0, given: 0, taken: 0, paidBack: 0 }
  for (const one of moved) {
    if (one.kind === 'return') sum.paidBack += one.paid ?? 0
    else if (one.how === 'given') sum.given += 1
    else {
      sum.sold += 1
      sum.taken += one.price ?? 0
    }
  }
  return { ...sum, cost, left: sum.taken - sum.paidBack - cost }
}

/** What is asked for the pens of an order, and what of it is still to be paid, in minor units. */
export interface OrderSum {
  /** The prices that are known, added up. */
  asked: number
  /** Whether a price is missing: then it is that much at the least. */
  isWhole: boolean
  /** What is still to be paid; below 0 where more was paid beforehand than is asked for. */
  open: number
}

/** The sum of an order from the prices of its pens and what was paid beforehand. */
export function orderSum(prices: readonly (number | null)[], deposit: number | null): OrderSum {
  const asked = prices.reduce<number>((sum, price) => sum + (price ?? 0), 0)
  return { asked, isWhole: prices.every(price => price !== null), open: asked - (deposit ?? 0) }
}

/** What such pens brought before, in minor units. */
export interface Brought {
  /** How many there are. */
  pens: number
  /** The least of them. */
  least: number
  /** As many brought more as brought less; rounded to the minor unit. */
  middle: number
  /** The most. */
  most: number
}

/** What pens brought that were sold, from their prices; undefined without any. */
export function broughtOf(prices: readonly number[]): Brought | undefined {
  if (!prices.length) return undefined
  const inOrder = [...prices].sort((a, b) => a - b)
  const last = inOrder.length - 1
  const middle = Math.round((nth(inOrder, Math.floor(last / 2)) + nth(inOrder, Math.ceil(last / 2))) / 2)
  return { pens: inOrder.length, least: nth(inOrder, 0), middle, most: nth(inOrder, last) }
}
