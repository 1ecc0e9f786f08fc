import { bleeds, closeGrained, hasResin, isOily, isResin, isSoft, openPored } from '../../shelf'
import { against, askCare, reasons, speaksFor, type Family } from './family'

export const conditionerWax: Family = {
  family: 'conditioner and wax',
  looks: 'Soft gloss',
  goodFor: 'A pen that may be waxed again by whoever carries it',
  asks: 'Wood sanded fine, a fast lathe for the wax, a buff',
  sealsFirst: [],
  suits: material =>
    reasons(
      [isResin(material), against('Resin takes no conditioner')],
      [hasResin(material) && !isResin(material), askCare('Wood and resin will shine differently')],
      [bleeds(material), askCare('The conditioner carries the colour: blow clean and try an offcut')],
      [isSoft(material), askCare('Soft wood drinks it unevenly')],
      [isOily(material), speaksFor('Wax needs no bond, so oil does not lift it')],
      [openPored(material), speaksFor('It leaves the pores as they grew')],
      [closeGrained(material), speaksFor('Close grain takes a soft gloss with little work')],
    ),
}
