/** A backup could not be made, read or put back; the message says why, in plain words. */
export class BackupError extends Error {
  override readonly name = 'BackupError'
}
