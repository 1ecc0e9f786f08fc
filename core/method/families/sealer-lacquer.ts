import { bleeds, closeGrained, hasJoint, hasResin, isOily, isResin, openPored } from '../../shelf'
import { against, askCare, reasons, speaksFor, type Family } from './family'

export const sealerLacquer: Family = {
  family: 'sealer and lacquer',
  looks: 'Gloss that still feels like wood',
  goodFor: 'A harder wear than wax with little build',
  asks: 'Solvent that wants air and no flame, two or three lacquers buffed between, days to cure',
  sealsFirst: ['bleeding', 'oily'],
  suits: material =>
    reasons(
      [isResin(material), against('Resin polishes by itself, and the solvent can craze it')],
      [hasResin(material) && !isResin(material), askCare('The solvent can craze the resin: try it on an offcut first')],
      [bleeds(material) && hasJoint(material), askCare('The solvent carries colour over the joint unless thin CA seals it')],
      [bleeds(material) && !hasJoint(material), askCare('The solvent carries the colour: seal with thin CA first')],
      [isOily(material), askCare('Lacquer lifts on oil: wipe with alcohol and seal with thin CA first')],
      [openPored(material), speaksFor('The sealer fills the pores first')],
      [closeGrained(material), speaksFor('A natural feel on close grain')],
    ),
}
