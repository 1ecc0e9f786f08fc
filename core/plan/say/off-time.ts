import type { WaitPurpose } from '../../shelf'

/** What going on before a wait is over risks, and what helps then [trade]. */
const EARLY: Record<WaitPurpose, string> = {
  'next coat': 'What is still wet under it can haze or stay soft: give this one longer, and look for haze before you level.',
  'level': 'A soft film drags and clogs the paper: if it does, stop and let it harden.',
  'wipe off': 'Little has soaked in: the next coat will take more.',
  'square': 'The tube may turn in soft glue: hold the trimmer light, and look that it stays put.',
  'sand': 'Soft CA clogs the paper and tears out: let it harden if it does.',
  'assemble': 'A green film dents under the press: pad it well.',
  'hand over': 'A film that is not cured prints in its box: leave it open to the air.',
  'rest': 'It may be soft still: go gently.',
}

const LOOK = 'Look at it before you go on.'

/** What to do once the latest time is past [trade]. */
const LATE: Record<WaitPurpose, string> = {
  'next coat': 'It has set too hard for the next coat to bite: cut it back lightly with a fine pad, wipe, then go on.',
  'level': LOOK,
  'wipe off': 'It is turning sticky: wet it with a little fresh oil, and wipe it off at once.',
  'square': LOOK,
  'sand': LOOK,
  'assemble': LOOK,
  'hand over': LOOK,
  'rest': LOOK,
}

/** What to do after going on too early. */
export const earlyAdvice = (purpose: WaitPurpose): string => EARLY[purpose]
/** What to do after the latest time. */
export const lateAdvice = (purpose: WaitPurpose): string => LATE[purpose]
