/** An archive that cannot be taken in: why, and what to do. Nothing of it was kept. */
export class ArchiveError extends Error {
  override readonly name = 'ArchiveError'
}
