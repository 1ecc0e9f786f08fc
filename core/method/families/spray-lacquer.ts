import { bleeds, closeGrained, hasResin, isOily, isResin, openPored } from '../../shelf'
import { against, askCare, reasons, speaksFor, type Family } from './family'

export const sprayLacquer: Family = {
  family: 'spray lacquer',
  looks: 'Gloss without a mark of the cloth',
  goodFor: 'Several pens at once; colours that no cloth may touch',
  asks: 'A place to spray with air and no flame, light coats, waits by the label',
  sealsFirst: ['bleeding', 'oily'],
  suits: material =>
    reasons(
      [isResin(material), against('Resin polishes by itself, and the solvent can craze it')],
      [hasResin(material) && !isResin(material), askCare('The solvent can craze the resin: try it on an offcut first')],
      [isOily(material), askCare('Lacquer lifts on oil: wipe with alcohol and seal with thin CA first')],
      [bleeds(material), speaksFor('Nothing is wiped, so nothing is dragged; still seal it thin first')],
      [openPored(material), askCare('It bridges pores rather than filling them: seal first')],
      [closeGrained(material), speaksFor('An even gloss on close grain')],
    ),
}
