/** How the whole database was saved: from the screen, by command, or by itself before its form was changed. */
export type BackupWay = 'screen' | 'command' | 'before a change'

/** When the whole database was saved. */
export interface Backups {
  /** The last time, ISO 8601, how large it was, bytes, and how; null: never. */
  last: { made: string, bytes: number, how: BackupWay } | null
  /** Whether it is time again: the last is old, and much was entered since. */
  isDue: boolean
}
