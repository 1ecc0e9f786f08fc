import { bleeds, closeGrained, hasResin, isOily, isResin } from '../../shelf'
import { askCare, reasons, speaksFor, type Family } from './family'

export const hardWax: Family = {
  family: 'hard wax',
  looks: 'Soft gloss that wants renewing',
  goodFor: 'Minutes from the lathe to the press; no solvent at all',
  asks: 'Wood sanded fine, warmth from the lathe, a wipe',
  sealsFirst: [],
  suits: material =>
    reasons(
      [hasResin(material), askCare('On resin it only lies on the surface: a polish does better')],
      [bleeds(material), speaksFor('No solvent: the colour stays where it is')],
      [isOily(material), speaksFor('Wax needs no bond, so oil does not lift it')],
      [closeGrained(material) && !isResin(material), speaksFor('Close grain shines with little')],
    ),
}
