/** A board, mm; the grain runs along its length. */
export interface Board {
  /** Along the grain, mm. */
  length: number
  /** Across the grain, mm. */
  width: number
  /** Thickness, mm. */
  thickness: number
}

/** What is cut from it: a stick of this length and square section, mm, with a saw of this kerf. */
export interface BoardPiece {
  /** Length of a stick, mm. */
  length: number
  /** Side of its square section, mm. */
  section: number
  /** What a cut takes, mm. */
  kerf: number
}

/** One way of laying the pieces on the board. */
export interface BoardWay {
  /** Along: the grain runs with the pen. Across: over it, which shows end grain at both sides and is weaker. */
  way: 'along' | 'across'
  /** Layers one above the other, strips side by side in a layer, and pieces one after the other in a strip. */
  layers: number
  /** Strips side by side in a layer. */
  strips: number
  /** Pieces one after the other in a strip. */
  perStrip: number
  /** Pens that come of them. */
  pens: number
  /** What is left at the end of the strips, beside them and above them, mm. */
  over: { end: number, side: number, top: number }
  /** Part of the board that ends in no blank, kerf included: 0 to 1. */
  waste: number
  /** What a hair less in the section would give: so many mm less of each strip, and the pens more. */
  hair?: { less: number, pens: number }
}

/** So much less in the section is a hair that a turner may do without, mm [model]. */
const HAIR = 0.6

/** How many pens a board gives, laid along and across the grain, the better way first; along the grain where both give as many. */
export function boardYield(board: Board, piece: BoardPiece): [BoardWay, BoardWay] {
  const along = wayOf('along', board, board.length, board.width, piece)
  const across = wayOf('across', board, board.width, board.length, piece)
  return across.pens > along.pens ? [across, along] : [along, across]
}

function wayOf(way: BoardWay['way'], board: Board, run: number, side: number, { length, section, kerf }: BoardPiece): BoardWay {
  const fits = (room: number, one: number) => Math.max(0, Math.floor((room + kerf) / (one + kerf) + 1e-9))
  const { thickness } = board
  const [layers, strips, perStrip] = [fits(thickness, section), fits(side, section), fits(run, length)]
  const over = (room: number, one: number, count: number) => Math.max(0, room - count * (one + kerf))
  const pens = layers * strips * perStrip
  const less = Math.min(lacking(side, section, kerf, strips), lacking(thickness, section, kerf, layers))
  const thinner = less > 0 && less <= HAIR ? fits(side, section - less) * fits(thickness, section - less) * perStrip - pens : 0
  return {
    ...(thinner > 0 ? { hair: { less, pens: thinner } } : {}),
    way,
    layers,
    strips,
    perStrip,
    pens,
    over: { end: over(run, length, perStrip), side: over(side, section, strips), top: over(thickness, section, layers) },
    waste: 1 - (pens * length * section * section) / (board.length * board.width * thickness),
  }
}

/** How much narrower each strip would have to be for one more of them beside the others, mm. */
const lacking = (room: number, section: number, kerf: number, strips: number): number => section - ((room + kerf) / (strips + 1) - kerf)
