import type { WaitPurpose } from '../../shelf'

/** What each wait is for, as it stands beside a band. */
export const waitWords: Record<WaitPurpose, string> = {
  'square': 'tube glue sets',
  'sand': 'hardening',
  'next coat': 'next coat',
  'level': 'hardens to level',
  'wipe off': 'soaks in',
  'assemble': 'hardens to assemble',
  'hand over': 'cures to hand over',
  'rest': 'rests in the warm',
}
