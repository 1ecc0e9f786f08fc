/** A cell that does not hold what its column should: in words for whoever filled it in. */
export class CellError extends Error {
  override name = 'CellError'
}
