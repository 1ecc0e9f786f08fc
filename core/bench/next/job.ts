/** What is still to do on one pen tonight: pieces of work in their order, each with the wait before it. Times in s. */
export interface Job {
  /** Its id. */
  pen: string
  /** Hands-on pieces; `wait` runs by itself before it, counted from the piece before (of the first: from now). */
  pieces: readonly Piece[]
}

/** A piece of work that is given up nowhere within. */
export interface Piece {
  /** What runs by itself before it, s from the end of the piece before. */
  wait: number
  /** Work with hands on it, s. */
  handsOn: number
  /** By when it must have begun, from the end of the piece before (of the first: from now). */
  latest?: number
}
