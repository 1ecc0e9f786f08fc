import { whole } from '../sure'

/** Pieces of work side by side, as columns of numbers: they are asked millions of times. */
export interface Pieces {
  /** Hands on each, s. */
  hands: Float64Array
  /** What runs by itself before each, s. */
  wait: Float64Array
  /** From the end of the one before, s; Infinity where there is no such time. */
  latest: Float64Array
  /** No sooner, s. */
  from: Float64Array
  /** By when, s; Infinity where nobody wants that. */
  by: Float64Array
  /** Set-ups as numbers; 0 is nothing. */
  setUp: Int32Array
}

/** The pieces of all pens, pen after pen. */
export interface Columns extends Pieces {
  /** Where the pieces of each pen begin; after the last pen how many there are. */
  first: Int32Array
}

/** The columns of some pens. */
export function columnsOf(pens: readonly Pieces[]): Columns {
  const first = new Int32Array(pens.length + 1)
  pens.forEach(({ hands }, pen) => {
    first[pen + 1] = whole(first, pen) + hands.length
  })
  const column = (of: (pieces: Pieces) => Float64Array) => Float64Array.from(pens.flatMap(pen => [...of(pen)]))
  return {
    first, hands: column(pen => pen.hands), wait: column(pen => pen.wait), latest: column(pen => pen.latest),
    from: column(pen => pen.from), by: column(pen => pen.by), setUp: Int32Array.from(pens.flatMap(pen => [...pen.setUp])),
  }
}
