/**
 * The entry of a list that must be there, because the index came from that list. Where it is not, the fault is ours: it is told at once
 * instead of working on with nothing.
 */
export function nth<T>(list: ArrayLike<T>, index: number): T {
  const found = list[index]
  if (found === undefined) throw new RangeError(`No entry ${index} in a list of ${list.length}.`)
  return found
}

/** A value that must be there; `why` says how one can know it. */
export function must<T>(value: T | null | undefined, why: string): T {
  if (value === undefined || value === null) throw new Error(`Missing, though it should be there: ${why}`)
  return value
}
