/** What came in: new rows, or rows that were changed, by kind. */
export interface TakenIn {
  /** Rows in the archive. */
  rows: number
  /** Of them those that are new here, or newer than what was here, by kind. */
  changed: Record<string, number>
  /** Pictures that are new here. */
  photos: number
}
