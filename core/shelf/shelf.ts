import type { ShelfAbrasive } from './abrasive'
import type { Product, ProductRole } from './product'

/** What is on the shelf, as a plan takes it. */
export interface Shelf {
  /** Papers, pads and films. */
  abrasives: readonly ShelfAbrasive[]
  /** Glues, finishes and polishes. */
  products: readonly Product[]
}

/** The shelf's product for a role, if there is one. */
export const productFor = <R extends ProductRole>({ shelf }: { shelf: Shelf }, role: R): (Product & { role: R }) | undefined =>
  shelf.products.find((product): product is Product & { role: R } => product.role === role)
