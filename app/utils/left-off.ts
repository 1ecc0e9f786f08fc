/** How a list stood when its page was left. */
export interface LeftOff {
  /** So many rows had been read. */
  rows: number
  /** Which row was the first in the window. */
  first: number
  /** How far down the page was, px. */
  down: number
}

const isLeftOff = (value: unknown): value is LeftOff =>
  typeof value === 'object' && value !== null && ['rows', 'first', 'down'].every(field => Number.isFinite((value as never)[field]))

/** Keeps how a list stands with its page’s entry in the browser’s history, before another page is gone to. */
export const leaveOff = (left: LeftOff): void => history.replaceState({ ...history.state, left }, '')

/** Once it stands so again, what is kept of it is over: a page that is loaded anew begins at its top. */
export const forgetLeft = (): void => history.replaceState({ ...history.state, left: undefined }, '')

/** How the list of this page stood when it was left, where it was gone back to; undefined where one comes to it anew. */
export function leftOff(): LeftOff | undefined {
  const left: unknown = (history.state as { left?: unknown } | null)?.left
  return isLeftOff(left) ? left : undefined
}
