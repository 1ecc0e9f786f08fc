import type { StepKind } from './step'

/** What is so of a kind of step, whatever plan it stands in. */
export interface StepNature {
  /** Whether the spindle turns: `as said` where the step itself tells; `away` for work that is not on the lathe. */
  lathe: 'turns' | 'stands' | 'as said' | 'away'
  /** What it does to the surface: something comes off it or is rubbed into it, a coat goes on, or it stays as it is. */
  surface: 'rubbed' | 'coated' | 'left'
  /** Time with hands on it, s, for each barrel or once for the pen; of a grit it follows from the grit, of a coat from its product. */
  handsOn: { each: number, per: 'barrel' | 'pen' } | 'by its grit' | 'by its product'
}

const nature = (lathe: StepNature['lathe'], surface: StepNature['surface'], each: number, per: 'barrel' | 'pen'): StepNature =>
  ({ lathe, surface, handsOn: { each, per } })
const grit = (lathe: StepNature['lathe']): StepNature => ({ lathe, surface: 'rubbed', handsOn: 'by its grit' })

/**
 * The nature of every kind of step. Times are starting values of our own, chosen so that a simple two-barrel pen takes about half an
 * hour [trade]; the log corrects them.
 */
export const stepNature: Record<StepKind, StepNature> = {
  'parts': nature('away', 'left', 30, 'pen'),
  'cut': nature('away', 'left', 60, 'barrel'),
  'drill': nature('turns', 'left', 90, 'barrel'),
  'dry': nature('away', 'left', 30, 'pen'),
  'tube': nature('away', 'left', 60, 'barrel'),
  'square': nature('away', 'left', 60, 'barrel'),
  'turn': nature('turns', 'rubbed', 240, 'barrel'),
  'fill': nature('stands', 'rubbed', 60, 'barrel'),
  'flush': nature('stands', 'rubbed', 60, 'barrel'),
  'harden': nature('away', 'left', 20, 'barrel'),
  'sand': grit('turns'),
  'try': nature('away', 'left', 60, 'pen'),
  'clean': nature('stands', 'left', 30, 'pen'),
  'coat': { lathe: 'as said', surface: 'coated', handsOn: 'by its product' },
  'buff': nature('turns', 'rubbed', 30, 'pen'),
  'wipe off': nature('stands', 'rubbed', 30, 'pen'),
  'take off': nature('stands', 'rubbed', 60, 'pen'),
  'burnish': nature('turns', 'rubbed', 20, 'barrel'),
  'cut back': grit('stands'),
  'level': grit('stands'),
  'smooth': grit('turns'),
  'polish': nature('turns', 'left', 60, 'pen'),
  'sand back': grit('as said'),
  'ends': nature('stands', 'left', 60, 'barrel'),
  'assemble': nature('away', 'left', 180, 'pen'),
  'check': nature('away', 'left', 60, 'pen'),
  'set aside': nature('away', 'left', 15, 'pen'),
  'look again': nature('away', 'left', 15, 'pen'),
  'fix': nature('away', 'rubbed', 120, 'barrel'),
}
