/** What somebody typed could not be understood; the message says what, and what would be. */
export class UnitError extends Error {
  override readonly name = 'UnitError'
}
