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
 * The bound of Gilmore and Gomory (1961): the least length if sticks could be begun in fractions, by column generation. Each round prices the pieces, packs the dearest stick by a
 * knapsack, and takes that stick in; a round that is cut short still gives a bound (Farley, 1990). Sticks are taken as if there were any number of each. In mm/100.
 */
export function fractionalBound(task: Task, pieces: readonly number[]): number {
  const groups = groupsOf(task, pieces)
  const kinds = task.lengths.map((length, kind) => ({ kind, length, steps: Math.ceil(task.caps[kind]! / STEP) })).filter(({ kind, steps }) => task.counts[kind]! > 0 && steps > 0)
  if (!groups.length || groups.some(group => !kinds.some(({ kind, steps }) => group.fits[kind] && steps >= group.steps))) return 0

  // To begin with, every length has the cheapest stick of its own.
  const costs = groups.map(group => Math.min(...kinds.filter(({ kind, steps }) => group.fits[kind] && steps >= group.steps).map(({ length, steps }) => length / Math.floor(steps / group.steps))))
  const inverse = groups.map((_, row) => groups.map((__, column) => row === column ? 1 : 0))
  const amounts = groups.map(group => group.demand)
  let best = 0
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const prices = groups.map((_, column) => costs.reduce((sum, cost, row) => sum + cost * inverse[row]![column]!, 0))
    const offers = kinds.map(({ kind, length, steps }) => ({ length, ...dearest(groups, prices, kind, steps) }))
    const worth = prices.reduce((sum, price, index) => sum + price * groups[index]!.demand, 0)
    const dear = offers.reduce((a, b) => b.value / b.length > a.value / a.length ? b : a)
    best = Math.max(best, worth * Math.min(1, dear.length / dear.value))
    if (dear.value <= dear.length * (1 + 1e-9)) break
    enter(dear.pattern, dear.length, costs, inverse, amounts)
  }
  return best
}

function groupsOf(task: Task, pieces: readonly number[]): Group[] {
  const groups = new Map<number, Group>()
  for (const piece of pieces) {
    const found = groups.get(task.alike[piece]!)
    if (found) found.demand++
    else groups.set(task.alike[piece]!, { size: task.sizes[piece]!, steps: Math.floor(task.sizes[piece]! / STEP), demand: 1, fits: task.fits[piece]! })
  }
  return [...groups.values()]
}

/** The pieces worth most that go on one stick, and what they are worth. */
function dearest(groups: readonly Group[], prices: readonly number[], kind: number, steps: number): { value: number, pattern: number[] } {
  const worth = new Float64Array(steps + 1)
  const taken = new Int16Array(steps + 1).fill(-1)
  const useful = groups.flatMap((group, index) => group.fits[kind] && prices[index]! > 1e-9 ? [index] : [])
  for (let room = 1; room <= steps; room++) {
    worth[room] = worth[room - 1]!
    for (const index of useful) {
      const from = room - groups[index]!.steps
      if (from >= 0 && worth[from]! + prices[index]! > worth[room]! + 1e-9) {
        worth[room] = worth[from]! + prices[index]!
        taken[room] = index
      }
    }
  }
  const pattern = groups.map(() => 0)
  for (let room = steps; room > 0;) {
    const index = taken[room]!
    if (index < 0) room--
    else {
      pattern[index]!++
      room -= groups[index]!.steps
    }
  }
  return { value: worth[steps]!, pattern }
}

/** One step of the simplex: a new column comes into the basis for the row that runs out first. */
function enter(pattern: readonly number[], cost: number, costs: number[], inverse: number[][], amounts: number[]): void {
  const change = inverse.map(row => row.reduce((sum, value, column) => sum + value * pattern[column]!, 0))
  let out = -1
  for (let row = 0; row < change.length; row++) {
    if (change[row]! > 1e-9 && (out < 0 || amounts[row]! / change[row]! < amounts[out]! / change[out]!)) out = row
  }
  if (out < 0) return
  const pivot = change[out]!
  inverse[out] = inverse[out]!.map(value => value / pivot)
  amounts[out] = amounts[out]! / pivot
  for (let row = 0; row < change.length; row++) {
    if (row === out || change[row] === 0) continue
    const factor = change[row]!
    inverse[row] = inverse[row]!.map((value, column) => value - factor * inverse[out]![column]!)
    amounts[row] = amounts[row]! - factor * amounts[out]!
  }
  costs[out] = cost
}
