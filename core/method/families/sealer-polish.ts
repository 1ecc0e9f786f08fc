import { bleeds, closeGrained, hasJoint, hasResin, isResin, openPored } from '../../shelf'
import { against, askCare, reasons, speaksFor, type Family } from './family'

export const sealerPolish: Family = {
  family: 'sealer and polish',
  looks: 'Gloss with a waxy hand',
  goodFor: 'Pores that want filling without a thick film',
  asks: 'Two rounds of sealer rubbed along and cut back, one friction polish, one wax',
  sealsFirst: ['bleeding'],
  suits: material =>
    reasons(
      [isResin(material), against('Resin takes no sealer: there is nothing to seal')],
      [hasResin(material) && !isResin(material), against('The sealer’s solvent can craze the resin')],
      [bleeds(material) && hasJoint(material), against('Rubbing drags the dark colour across the joint')],
      [bleeds(material) && !hasJoint(material), askCare('The sealer’s solvent carries the colour: seal with thin CA first')],
      [openPored(material), speaksFor('The sealer fills the pores, the wax keeps the feel of wood')],
      [closeGrained(material), speaksFor('Little film, and the grain stays near')],
    ),
}
