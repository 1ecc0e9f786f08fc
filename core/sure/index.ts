/**
 * The entry of a list that must be there, because the index came from that list. Where it is not, the fault is ours: it is told at once
 * instead of working on with nothing.
 */
export function nth<T>(list: ArrayLike<T>, index: number): T {
  const found = list[index]
  if (found === undefined) throw new RangeError(`No entry ${index} in a list of ${list.length}.`)
  return found
}

/** The same of numbers alone. An engine is quickest where a function never meets but one kind of list, so there are three of them. */
export function num(list: readonly number[], index: number): number {
  return list[index] ?? missing(list, index)
}

/** The same of a column of real numbers. */
export function real(list: Float64Array, index: number): number {
  return list[index] ?? missing(list, index)
}

/** The same of a column of whole numbers. */
export function whole(list: Int32Array, index: number): number {
  return list[index] ?? missing(list, index)
}

function missing(list: ArrayLike<number>, index: number): never {
  throw new RangeError(`No number ${index} in a list of ${list.length}.`)
}

/** A value that must be there; `why` says how one can know it. */
export function must<T>(value: T | null | undefined, why: string): T {
  if (value === undefined || value === null) throw new Error(`Missing, though it should be there: ${why}`)
  return value
}
