import { nth } from '../../sure'
import type { Task } from './problem'

/** mm/100 to the step of the knapsack's table; sizes round down and sticks up, so that the bound stays one. */
const STEP = 100
const MOST_ROUNDS = 90

/** Pieces of one length and of the same sticks. */
interface Group {
  size: number
  steps: number
  demand: number
  fits: boolean[]
}

/**
 * The bound of Gilmore and Gomory (1961): the least length if sticks could be begun in fractions, by column generation. Each round
 * prices the pieces, packs the dearest stick by a knapsack, and takes that stick in; a round that is cut short still gives a bound
 * (Farley, 1990). Sticks are taken as if there were any number of each. In mm/100.
 */
export function fractionalBound(task: Task, pieces: readonly number[]): number {
  const groups = groupsOf(task, pieces)
  const kinds = task.lengths
    .map((length, kind) => ({ kind, length, steps: Math.ceil(nth(task.caps, kind) / STEP) }))
    .filter(({ kind, steps }) => nth(task.counts, kind) > 0 && steps > 0)
  if (!groups.length || groups.some(group => !kinds.some(({ kind, steps }) => group.fits[kind] && steps >= group.steps))) return 0

  // To begin with, every length has the cheapest stick of its own.
  const costs = groups.map(group =>
    Math.min(
      ...kinds
        .filter(({ kind, steps }) => group.fits[kind] && steps >= group.steps)
        .map(({ length, steps }) => length / Math.floor(steps / group.steps)),
    ),
  )
  const inverse = groups.map((_, row) => groups.map((__, column) => (row === column ? 1 : 0)))
  const amounts = groups.map(group => group.demand)
  let best = 0
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const prices = groups.map((_, column) => costs.reduce((sum, cost, row) => sum + cost * nth(nth(inverse, row), column), 0))
    const offers = kinds.map(({ kind, length, steps }) => ({ length, ...dearest(groups, prices, kind, steps) }))
    const worth = prices.reduce((sum, price, index) => sum + price * nth(groups, index).demand, 0)
    const dear = offers.reduce((a, b) => (b.value / b.length > a.value / a.length ? b : a))
    best = Math.max(best, worth * Math.min(1, dear.length / dear.value))
    if (dear.value <= dear.length * (1 + 1e-9)) break
    enter(dear.pattern, dear.length, costs, inverse, amounts)
  }
  return best
}

function groupsOf(task: Task, pieces: readonly number[]): Group[] {
  const groups = new Map<number, Group>()
  for (const piece of pieces) {
    const found = groups.get(nth(task.alike, piece))
    if (found) found.demand++
    else
      groups.set(nth(task.alike, piece), {
        size: nth(task.sizes, piece),
        steps: Math.floor(nth(task.sizes, piece) / STEP),
        demand: 1,
        fits: nth(task.fits, piece),
      })
  }
  return [...groups.values()]
}

/** The pieces worth most that go on one stick, and what they are worth. */
function dearest(groups: readonly Group[], prices: readonly number[], kind: number, steps: number): { value: number, pattern: number[] } {
  const worth = new Float64Array(steps + 1)
  const taken = new Int16Array(steps + 1).fill(-1)
  const useful = groups.flatMap((group, index) => (group.fits[kind] && nth(prices, index) > 1e-9 ? [index] : []))
  for (let room = 1; room <= steps; room++) {
    worth[room] = nth(worth, room - 1)
    for (const index of useful) {
      const from = room - nth(groups, index).steps
      if (from >= 0 && nth(worth, from) + nth(prices, index) > nth(worth, room) + 1e-9) {
        worth[room] = nth(worth, from) + nth(prices, index)
        taken[room] = index
      }
    }
  }
  const pattern = groups.map(() => 0)
  for (let room = steps; room > 0;) {
    const index = nth(taken, room)
    if (index < 0) room--
    else {
      pattern[index] = nth(pattern, index) + 1
      room -= nth(groups, index).steps
    }
  }
  return { value: nth(worth, steps), pattern }
}

/** One step of the simplex: a new column comes into the basis for the row that runs out first. */
function enter(pattern: readonly number[], cost: number, costs: number[], inverse: number[][], amounts: number[]): void {
  const change = inverse.map(row => row.reduce((sum, value, column) => sum + value * nth(pattern, column), 0))
  let out = -1
  for (let row = 0; row < change.length; row++) {
    if (nth(change, row) > 1e-9 && (out < 0 || nth(amounts, row) / nth(change, row) < nth(amounts, out) / nth(change, out))) out = row
  }
  if (out < 0) return
  const pivot = nth(change, out)
  inverse[out] = nth(inverse, out).map(value => value / pivot)
  amounts[out] = nth(amounts, out) / pivot
  for (let row = 0; row < change.length; row++) {
    if (row === out || change[row] === 0) continue
    const factor = nth(change, row)
    inverse[row] = nth(inverse, row).map((value, column) => value - factor * nth(nth(inverse, out), column))
    amounts[row] = nth(amounts, row) - factor * nth(amounts, out)
  }
  costs[out] = cost
}
