import type { ListedPen } from '#contract'

/** So many of each kind are offered at once. */
const OFFERED = 200

/**
 * Pens that can stand for an order, by their marks: planned ones, those in work, and finished ones that are here; all of them, or those
 * that say something. `more`: there are others.
 */
export async function pensToStand(text?: string): Promise<{ pens: readonly ListedPen[], more: boolean }> {
  const pages = await Promise.all(([{ stage: 'planned' }, { stage: 'in work' }, { at: 'here' }] as const).map(asked =>
    api('GET /api/pens', { query: { ...asked, sort: 'marks', limit: OFFERED, ...(text ? { text } : {}) } })))
  return { pens: pages.flatMap(page => page.pens), more: pages.some(page => page.next !== null) }
}
