import { bleeds, closeGrained, hasJoint, isOily, isResin, isSoft, openPored } from '../../shelf'
import { askCare, reasons, speaksFor, type Family } from './family'

export const caFilm: Family = {
  family: 'CA film',
  looks: 'High gloss, hard, deep',
  goodFor: 'Hands that carry a pen every day; pores, joints and colours that must be sealed',
  asks: 'Thin quick coats, air for the fumes, levelling without going through, and a day to cure',
  sealsFirst: ['bleeding', 'oily'],
  suits: material =>
    reasons(
      [isResin(material), askCare('Resin takes a gloss by itself: a film over it gains little and can lift')],
      [bleeds(material), speaksFor('Thin CA seals the colour in before anything wet can carry it')],
      [isOily(material), speaksFor('Sealed with thin CA at once it holds where oils and lacquers lift')],
      [openPored(material), speaksFor('Two thin coats fill the pores, the rest stands level over them')],
      [isSoft(material), speaksFor('It hardens the wood through and evens its colour')],
      [hasJoint(material), speaksFor('One film over wood, glue line and resin alike')],
      [closeGrained(material), speaksFor('Close grain takes a deep gloss in few coats')],
    ),
}
