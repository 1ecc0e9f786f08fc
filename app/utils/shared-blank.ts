import type { ShelfBlank } from '#contract'
import type { Costed } from '#core/money'
import type { PlanTrace } from '#core/plan'

/** A blank of one's own as a pen is costed by it: the pens that one piece gives by its length. */
export function sharedBlank(blank: Pick<ShelfBlank, 'id' | 'length'> | undefined, { stick }: Pick<PlanTrace, 'stick'>): {
  blank?: NonNullable<Costed['blank']>
} {
  if (!blank) return {}
  // One whose length is not known gives one pen.
  return { blank: { id: blank.id, pens: Math.max(1, Math.floor((blank.length ?? 0) / stick.total.value)) } }
}
