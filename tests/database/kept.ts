import type { Cluster } from '../../scripts/lib/postgres'

interface Kept {
  cluster: Cluster
  folder: string
}

const place = globalThis as { oxlipKept?: Kept }

/** What the set-up of the run hands to its tear-down; Jest loads the two files apart, so it goes by the global object. */
export const keep = (kept: Kept): void => {
  place.oxlipKept = kept
}
export const kept = (): Kept | undefined => place.oxlipKept
