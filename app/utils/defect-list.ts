import type { ListedDefect } from '#contract'

/** The order of the server’s list: the latest first. Those of one pen come as the server has them. */
const order = (a: ListedDefect, b: ListedDefect): number =>
  Date.parse(b.at) - Date.parse(a.at) || (a.pen.id < b.pen.id ? 1 : a.pen.id > b.pen.id ? -1 : 0)

/**
 * A list of defects with those of some pens as they are now, each in its place among those that were read; of a list that goes on after
 * the last one that was read (`isWhole` false) what lies behind that is left for its page.
 */
export function withDefects(
  read: readonly ListedDefect[], isWhole: boolean, pens: readonly string[], now: readonly ListedDefect[],
): ListedDefect[] {
  const last = read.at(-1)
  const others = read.filter(one => !pens.includes(one.pen.id))
  const come = now.filter(one => isWhole || (last !== undefined && order(one, last) <= 0))
  return [...others, ...come].sort(order)
}
