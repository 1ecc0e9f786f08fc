import { bleeds, closeGrained, hasResin, isOily, isResin, openPored } from '../../shelf'
import { against, askCare, reasons, speaksFor, type Family } from './family'

export const wipeOn: Family = {
  family: 'wipe-on',
  looks: 'Satin to gloss, deep grain',
  goodFor: 'Open grain that should look oiled but wear better',
  asks: 'Five coats with hours between, fine pads between them, the whole pad ladder at the end; rags laid flat',
  sealsFirst: ['bleeding', 'oily'],
  suits: material =>
    reasons(
      [isResin(material), against('It cannot soak into resin, and peels')],
      [hasResin(material) && !isResin(material), against('It holds on the wood and peels off the resin')],
      [isOily(material), askCare('Oily wood keeps it from curing: seal with thin CA first, and wait longer')],
      [bleeds(material), askCare('Its solvent carries the colour: seal with thin CA first')],
      [openPored(material), speaksFor('It builds slowly in open pores and shows the grain')],
      [closeGrained(material), speaksFor('It deepens the figure')],
    ),
}
