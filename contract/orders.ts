import type { Brought, PlaceSum } from '../core/orders'
import type { NewCustomer, NewOrder, NewPlace } from '../schemas'
import type { ListedPen } from './pen'

/** So many customers are shown at once. */
export const customersShown = 50

/** Somebody whom pens are made for. */
export interface Customer extends NewCustomer {
  /** Counts up with every change. */
  version: number
}

/** An order as it is kept. */
export interface Order extends NewOrder {
  /** What it is called: orders are numbered as they come in. */
  number: number
  /** When it came in, ISO 8601. */
  made: string
  /** Whether all its pens went to somebody. */
  handed: boolean
  /** Counts up with every change. */
  version: number
}

/** An order with whom it is of, and the pens that stand for it. */
export interface ListedOrder {
  /** Its row. */
  order: Order
  /** The name of whom it is of; null where nobody said, or where they were forgotten. */
  name: string | null
  /** Its pens, as lists show them. */
  pens: ListedPen[]
  /** When each is ready by the evenings as they were planned last, ISO 8601, by its id. */
  planned: Record<string, string>
}

/** A page of orders. */
export interface OrderPage {
  /** In their order. */
  orders: ListedOrder[]
  /** The number from which on the next page goes; null at the end. */
  next: number | null
}

/** A place where pens are sold, and what it brought. */
export interface Place extends NewPlace {
  /** Counts up with every change. */
  version: number
  /** What it took and what it cost. */
  sum: PlaceSum
}

/** What pens like one brought before: of its fitting, material and method; of its fitting and material; of its fitting. */
export interface BroughtBefore {
  /** The nearest of these of which some were sold; null where none was. */
  by: 'all' | 'fitting and material' | 'fitting' | null
  /** What they brought; null where none was sold. */
  brought: Brought | null
}
