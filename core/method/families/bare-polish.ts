import { hasResin, isResin } from '../../shelf'
import { against, askCare, reasons, speaksFor, type Family } from './family'

export const barePolish: Family = {
  family: 'bare polish',
  looks: 'Glass: the resin itself, no film',
  goodFor: 'Cast resin and acrylic',
  asks: 'A wet ladder to the finest, every scratch of the grit before gone, one or two polishes',
  sealsFirst: [],
  suits: material =>
    reasons(
      [isResin(material), speaksFor('Resin shines by itself: no film to lift, yellow or level')],
      [hasResin(material) && !isResin(material), askCare('The wood between stays bare, and takes in the polish’s white')],
      [!hasResin(material), against('Bare wood takes in the polish: white stays in the pores, and hands soil it')],
    ),
}
