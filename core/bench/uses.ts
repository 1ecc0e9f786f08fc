import { volumeOfCoat } from '../plan'
import type { Board } from './board'
import { isDone } from './replay'

/** What one coat took from a bottle. */
interface Use {
  /** Of which product, by its id. */
  product: string
  /** When, ISO 8601. */
  at: string
  /** How much, ml. */
  ml: number
}

/** What the coats of a pen that are on have taken from the bottles. */
export const usesOf = ({ state: { plan, steps }, traced: { size } }: Board): Use[] =>
  steps.filter(isDone).flatMap(({ step, at }): Use[] =>
    step.kind === 'coat' ? [{ product: step.product.id, at, ml: volumeOfCoat(plan, size, step) }] : [],
  )
