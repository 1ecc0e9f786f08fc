import { bleeds, closeGrained, hasJoint, hasResin, isOily, isResin, isSoft, openPored } from '../../shelf'
import { against, askCare, reasons, speaksFor, type Family } from './family'

export const oil: Family = {
  family: 'oil',
  looks: 'Natural, next to nothing on the wood',
  goodFor: 'Wood that should feel like wood',
  asks: 'Wood sanded fine, oil wiped off before it turns sticky, days to dry, rags laid flat or under water',
  sealsFirst: [],
  suits: material =>
    reasons(
      [isResin(material), against('There is nothing in resin for oil to soak into')],
      [hasResin(material) && !isResin(material), against('The wood darkens and the resin stays as it is')],
      [isOily(material), against('The wood’s own oils keep it from drying')],
      [bleeds(material), askCare('Oil carries the colour a little')],
      [bleeds(material) && hasJoint(material), against('Wiping it off drags the colour across the joint')],
      [isSoft(material), askCare('Soft wood drinks it in blotches')],
      [openPored(material), speaksFor('It soaks into the pores and leaves them open')],
      [closeGrained(material), speaksFor('It deepens the colour and nothing more')],
    ),
}
