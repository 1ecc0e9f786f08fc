import type { Writers } from './writer'

/** From the mandrel to the hand. */
export const assembly: Writers<'ends' | 'assemble' | 'check'> = {
  ends: () => ({
    title: 'Clear the ends',
    done: 'Ends and bore clear',
    how: 'Part film and bushing on the metal, ease the sharp edge, clear the bore',
    why: 'A crumb of glue in the bore splits the barrel in the press',
  }),
  assemble: () => ({
    title: 'Assemble',
    done: 'Pressed',
    how: 'Tip first; the mechanism to just short of its ring, try the refill, then a little more',
    why: 'Too far cannot be undone',
  }),
  check: (step, { plan: { inputs: { material } } }) => ({
    title: 'Check and hand over',
    done: 'Handed over',
    how: 'Flush at every joint, refill out and back, no scratch, clip tight',
    why: step.gate ? `${material.name}: the finish has cured to the full` : `${material.name}: bare, nothing has to cure`,
  }),
}
