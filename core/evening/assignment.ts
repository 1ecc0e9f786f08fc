import { nth } from '../sure'

/**
 * The least sum when each row is given a column of its own, all of a square table (Kuhn 1955, Munkres 1957; by shortest ways with
 * potentials). No row, no sum.
 */
export function leastAssignment(costs: readonly (readonly number[])[]): number {
  const size = costs.length
  const rows = new Float64Array(size + 1)
  const columns = new Float64Array(size + 1)
  // To which row each column belongs; column 0 holds the row that is being placed. Rows and columns count from 1.
  const rowOf = new Int32Array(size + 1)
  for (let row = 1; row <= size; row++) {
    rowOf[0] = row
    const before = new Int32Array(size + 1)
    const least = new Float64Array(size + 1).fill(Infinity)
    const used = new Uint8Array(size + 1)
    let at = 0
    do {
      used[at] = 1
      const from = nth(rowOf, at)
      let step = Infinity
      let next = 0
      for (let column = 1; column <= size; column++) {
        if (used[column]) continue
        const cost = nth(nth(costs, from - 1), column - 1) - nth(rows, from) - nth(columns, column)
        if (cost < nth(least, column)) {
          least[column] = cost
          before[column] = at
        }
        if (nth(least, column) < step) [step, next] = [nth(least, column), column]
      }
      for (let column = 0; column <= size; column++) {
        if (used[column]) {
          const owner = nth(rowOf, column)
          rows[owner] = nth(rows, owner) + step
          columns[column] = nth(columns, column) - step
        } else least[column] = nth(least, column) - step
      }
      at = next
    } while (rowOf[at])
    while (at) {
      const from = nth(before, at)
      rowOf[at] = nth(rowOf, from)
      at = from
    }
  }
  let sum = 0
  for (let column = 1; column <= size; column++) sum += nth(nth(costs, nth(rowOf, column) - 1), column - 1)
  return sum
}
