import { given, worked, type Figure } from '../figures'

/** What is being sanded: wood of a side hardness (N), cast resin, or a cured film. */
export type Medium = { kind: 'wood', hardness: Figure } | { kind: 'resin' } | { kind: 'film' }

const model = (note: string) => ({ mark: 'model' as const, note })

const NAMES: Record<Medium['kind'], string> = { wood: 'wood', resin: 'resin', film: 'cured film' }
/** A cushioned pad leaves this part of the scratches of paper [model]: its grains give way. */
const PAD_SCRATCHES = given('part of it under a cushioned pad', 0.5, '×', model('starting value'))
/** A cushioned pad takes off this part of what paper does before it is rinsed [model]. */
const PAD_TAKES = given('part of it with a cushioned pad', 0.4, '×', model('starting value'))

/** Depth of the scratches that a grain leaves, as a part of its size; a cushioned `pad` leaves half as deep ones. */
export function scratchPart(medium: Medium, pad = false): Figure {
  const part = medium.kind === 'wood' ? 0.3 : 0.15
  const paper = given(`scratch depth per grain size on ${NAMES[medium.kind]}`, part, '×', model('starting value'))
  return pad ? ofPad(paper, PAD_SCRATCHES) : paper
}

const ofPad = (paper: Figure, part: Figure): Figure =>
  worked(`${paper.label}, cushioned pad`, paper.value * part.value, '×', 'that of paper × part with a pad', [paper, part])

/**
 * Depth that one fresh piece removes before it is dull, as a part of its grain size. On wood 0.75 at 5 kN side hardness, scaled by
 * sqrt(5000 / hardness) and held within 0.4 to 1.2; resin and film take the lower bound, since no figure of their own is known. A
 * cushioned `pad` takes two fifths of that before it is rinsed.
 */
export function capacityPart(medium: Medium, pad = false): Figure {
  const paper = paperCapacity(medium)
  return pad ? ofPad(paper, PAD_TAKES) : paper
}

function paperCapacity(medium: Medium): Figure {
  if (medium.kind !== 'wood') {
    return given(
      `capacity per grain size on ${NAMES[medium.kind]}`,
      0.4,
      '×',
      model('lower bound of the value for wood; no figure of its own yet'),
    )
  }
  const value = Math.min(1.2, Math.max(0.4, 0.75 * Math.sqrt(5000 / medium.hardness.value)))
  return worked('capacity per grain size on this wood', value, '×', '0.75 × √(5000 / hardness), within 0.4 to 1.2', [medium.hardness])
}
