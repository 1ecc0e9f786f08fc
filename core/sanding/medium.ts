import { given, worked, type Figure } from '../figures'

/** What is being sanded: wood of a side hardness (N), cast resin, or a cured film. */
export type Medium = { kind: 'wood', hardness: Figure } | { kind: 'resin' } | { kind: 'film' }

const model = (note: string) => ({ mark: 'model' as const, note })

/** Depth of the scratches that a grain leaves, as a part of its size. */
export function scratchPart(medium: Medium): Figure {
  return medium.kind === 'wood'
    ? given('scratch depth per grain size on wood', 0.3, '×', model('starting value'))
    : given(`scratch depth per grain size on ${medium.kind === 'film' ? 'cured film' : 'resin'}`, 0.15, '×', model('starting value'))
}

/**
 * Depth that one fresh piece removes before it is dull, as a part of its grain size. On wood 0.75 at 5 kN side hardness, scaled by
 * sqrt(5000 / hardness) and held within 0.4 to 1.2; resin and film take the lower bound, since no figure of their own is known.
 */
export function capacityPart(medium: Medium): Figure {
  if (medium.kind !== 'wood') {
    return given(
      `capacity per grain size on ${medium.kind === 'film' ? 'cured film' : 'resin'}`,
      0.4,
      '×',
      model('lower bound of the value for wood; no figure of its own yet'),
    )
  }
  const value = Math.min(1.2, Math.max(0.4, 0.75 * Math.sqrt(5000 / medium.hardness.value)))
  return worked('capacity per grain size on this wood', value, '×', '0.75 × √(5000 / hardness), within 0.4 to 1.2', [medium.hardness])
}
