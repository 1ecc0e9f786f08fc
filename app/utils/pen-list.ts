import type { ListedPen } from '#contract'
import type { PenQuery } from '#schemas'

/** A list of pens as far as it was read: its rows in their order, and whether more come after them. */
export interface ReadList {
  /** Its rows, in their order. */
  pens: readonly ListedPen[]
  /** Whether more come after them. */
  more: boolean
}

const recentOf = ({ pen, summary }: ListedPen): string => summary.lastEntryAt ?? pen.createdAt

const byText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)

/** The orders of the server’s lists. */
const ORDERS: Record<NonNullable<PenQuery['sort']>, (a: ListedPen, b: ListedPen) => number> = {
  recent: (a, b) => byText(recentOf(b), recentOf(a)) || byText(b.pen.id, a.pen.id),
  marks: (a, b) =>
    byText(a.pen.mark.charAt(0), b.pen.mark.charAt(0))
    || Number(a.pen.mark.slice(1)) - Number(b.pen.mark.slice(1))
    || byText(a.pen.id, b.pen.id),
  due: (a, b) => byText(a.pen.due ?? '', b.pen.due ?? '') || byText(a.pen.id, b.pen.id),
}

/** Whether a pen belongs into the list that was asked for. What a text finds only the server knows. */
function belongs({ pen, summary }: ListedPen, asked: PenQuery): boolean {
  if (asked.stage && summary.stage !== asked.stage) return false
  if (asked.at && (summary.stage !== 'finished' || (summary.gone !== undefined) !== (asked.at === 'gone'))) return false
  if (asked.defects && !summary.openDefects) return false
  if (asked.sort === 'due' && !pen.due) return false
  return (['material', 'fitting', 'method', 'due', 'maker'] as const).every(field => !asked[field] || pen[field] === asked[field])
}

/**
 * The list with the rows of pens as they are now: what is another now stands in its place, what belongs no longer is gone, and what has
 * come to belong is put in where its place is among those that were read.
 */
export function withRows({ pens, more }: ReadList, rows: readonly ListedPen[], asked: PenQuery): ListedPen[] {
  const order = ORDERS[asked.sort ?? 'recent']
  const known = new Set(pens.map(one => one.pen.id))
  const told = new Map(rows.map(row => [row.pen.id, row]))
  const last = pens.at(-1)
  const isRead = (row: ListedPen) => !more || (last !== undefined && order(row, last) <= 0)
  const kept = pens.map(one => told.get(one.pen.id) ?? one).filter(one => belongs(one, asked))
  const come = [...told.values()].filter(row => !known.has(row.pen.id) && !asked.text && belongs(row, asked) && isRead(row))
  return [...kept, ...come].sort(order)
}
