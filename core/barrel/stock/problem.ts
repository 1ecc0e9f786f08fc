import { nth } from '../../sure'
/** One stick that is wanted, for one pen; mm. */
export interface WantedStick {
  /** Which pen or piece it is for. */
  id: string
  /** Its length, mm. */
  length: number
  /** Least square section it needs. */
  section?: number
  /** The kinds of stick it may come from, by their ids; any when not said. */
  from?: readonly string[]
}

/** Sticks of one kind that are there; mm. */
export interface StockStick {
  /** Which stick of the shelf. */
  id: string
  /** Its length, mm. */
  length: number
  /** How many there are of it. */
  count: number
  /** Side of its square section, mm; unsaid: any piece may come of it. */
  section?: number
}

export interface StockProblem {
  /** Pieces to be cut. */
  wanted: readonly WantedStick[]
  /** Sticks to cut them from. */
  stock: readonly StockStick[]
  /** What a cut takes, mm. */
  kerf: number
  /** Lost at each end of a stick, mm: end checks, a rough cut. */
  trim?: number
}

/** One stick of the stock with what is cut from it. */
export interface StickLayout {
  /** From which stick. */
  stock: string
  /** Its length, mm. */
  length: number
  /** Each piece and where it begins, mm from the stick's end. */
  pieces: { id: string, from: number, length: number }[]
  /** What stays in one piece, mm. */
  over: number
}

export interface CutLayout {
  /** One for each stick that is cut. */
  layouts: StickLayout[]
  /** Pieces that no stick is left for. */
  unplaced: string[]
  /** Length of all sticks that are begun, and of it what ends in no piece, mm. */
  used: number
  /** What is lost in kerfs and short ends, mm. */
  waste: number
  /** No layout of the same pieces can begin less length than this, mm. */
  bound: number
  /** Whether it is known that none is better. */
  proven: boolean
}

/** The problem in whole hundredths of a millimetre, each piece and each stick longer by a kerf, so that kerfs need no care any more. */
export interface Task {
  /** Length of each piece with its kerf, hundredths of a mm. */
  sizes: number[]
  /** For every piece the kinds of stick it may come from. */
  fits: boolean[][]
  /** What each kind of stick holds, hundredths of a mm. */
  caps: number[]
  /** Lengths of the kinds of stick, hundredths of a mm. */
  lengths: number[]
  /** How many there are of each kind. */
  counts: number[]
  /** Pieces from the longest to the shortest, alike ones together. */
  order: number[]
  /** The same number for pieces that can stand for one another. */
  alike: number[]
}

/** Which pieces come from which stick; by their places in the problem. */
export interface Bin {
  /** Which kind of stick. */
  kind: number
  /** Which pieces are cut from it. */
  pieces: number[]
  /** What is left of it, hundredths of a mm. */
  free: number
}

export interface Packing {
  /** Sticks with their pieces. */
  bins: Bin[]
  /** Pieces that no stick had room for. */
  unplaced: number[]
  /** Length of all sticks that were begun, hundredths of a mm. */
  used: number
}

const UNIT = 100
const whole = (mm: number): number => Math.round(mm * UNIT)

export function taskOf({ wanted, stock, kerf, trim = 0 }: StockProblem): Task {
  const sizes = wanted.map(piece => whole(piece.length) + whole(kerf))
  const fits = wanted.map(piece =>
    stock.map(stick => (piece.section ?? 0) <= (stick.section ?? Infinity) && (!piece.from || piece.from.includes(stick.id))),
  )
  const keys = wanted.map((_, index) => `${sizes[index]} ${nth(fits, index).map(Number).join('')}`)
  const order = wanted
    .map((_, index) => index)
    .sort((a, b) => nth(sizes, b) - nth(sizes, a) || nth(keys, a).localeCompare(nth(keys, b)) || a - b)
  const names = [...new Set(keys)]
  return {
    sizes,
    fits,
    order,
    caps: stock.map(stick => whole(stick.length) - 2 * whole(trim) + whole(kerf)),
    lengths: stock.map(stick => whole(stick.length)),
    counts: stock.map(stick => stick.count),
    alike: keys.map(key => names.indexOf(key)),
  }
}

/** Fewer pieces without a stick first, then less length begun. */
export const better = (a: Packing, b: Packing): boolean =>
  a.unplaced.length < b.unplaced.length || (a.unplaced.length === b.unplaced.length && a.used < b.used)

/** A packing as it is cut: the longest pieces first on each stick. */
export function layoutOf(
  { wanted, stock, kerf, trim = 0 }: StockProblem,
  { bins, unplaced }: Packing,
  bound: number,
  proven: boolean,
): CutLayout {
  const layouts = bins.map(({ kind, pieces }): StickLayout => {
    let from = trim
    const laid = [...pieces]
      .sort((a, b) => nth(wanted, b).length - nth(wanted, a).length || a - b)
      .map((index) => {
        const { id, length } = nth(wanted, index)
        const piece = { id, length, from }
        from += length + kerf
        return piece
      })
    const stick = nth(stock, kind)
    return { stock: stick.id, length: stick.length, pieces: laid, over: Math.max(0, stick.length - trim - from) }
  })
  const used = layouts.reduce((sum, one) => sum + one.length, 0)
  const cut = layouts.reduce((sum, one) => sum + one.pieces.reduce((mm, piece) => mm + piece.length, 0), 0)
  return {
    layouts: layouts.sort((a, b) => a.over - b.over),
    unplaced: unplaced.map(index => nth(wanted, index).id),
    used,
    waste: used - cut,
    bound: bound / UNIT,
    proven,
  }
}
