import { bleeds, closeGrained, hasJoint, hasResin, isResin, isSoft, openPored } from '../../shelf'
import { against, askCare, reasons, speaksFor, type Family } from './family'

export const frictionPolish: Family = {
  family: 'friction polish',
  looks: 'Warm gloss that wears with the hand',
  goodFor: 'Close grain in an evening: quick, warm, mended by more of the same',
  asks: 'Wood sanded through the finest grits, a fast lathe, firm paper on the underside, a finger for the warmth',
  sealsFirst: ['bleeding'],
  suits: material =>
    reasons(
      [isResin(material), against('Resin has nothing for shellac to hold to, and its heat softens it')],
      [hasResin(material) && !isResin(material), against('Its heat and alcohol can craze the resin')],
      [bleeds(material) && hasJoint(material), against('Rubbing drags the dark colour across the joint')],
      [bleeds(material) && !hasJoint(material), askCare('Its alcohol dissolves the colour: seal with thin CA first')],
      [openPored(material), askCare('It does not fill: the pores stay open and catch dust')],
      [isSoft(material), askCare('Soft wood drinks it unevenly')],
      [closeGrained(material), speaksFor('Close grain shines under two to four rubs')],
    ),
}
