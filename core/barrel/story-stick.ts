import type { Stick } from './cut'
import { barrelNames, type Fitting } from './fitting'

/** One line across a story stick. */
export interface StoryMark {
  /** Where, mm from its tip end. */
  at: number
  /** What is there. */
  is: 'end' | 'tube' | 'cut' | 'witness'
  /** In words. */
  says: string
}

/**
 * The marks of a story stick for a fitting: a strip at full size that is laid on a stick of wood and tells where to cut, where each tube
 * lies between its spare ends, and where the witness line is drawn; from its tip end on.
 */
export function storyStick(fitting: Fitting, stick: Stick): StoryMark[] {
  const tubes = stick.pieces.flatMap(({ barrel, from, length }): StoryMark[] => {
    const tube = fitting.barrels.find(one => one.id === barrel)?.tubeLength ?? length.value
    const spare = (length.value - tube) / 2
    const name = barrelNames[barrel]
    return [
      { at: from + spare, is: 'tube', says: `tube of the ${name} begins` },
      { at: from + spare + tube, is: 'tube', says: `tube of the ${name} ends` },
    ]
  })
  const cuts = stick.cuts.map(({ at, what }): StoryMark => ({ at, is: 'cut', says: what === 'off' ? 'cut the pen off' : 'middle cut' }))
  return [
    { at: 0, is: 'end' as const, says: 'tip end' },
    ...tubes,
    ...cuts,
    { at: stick.witness, is: 'witness' as const, says: 'witness line' },
  ].sort((a, b) => a.at - b.at)
}
