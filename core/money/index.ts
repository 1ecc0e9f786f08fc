export { askingPrices } from './asking'
export { eveningCost, type EveningDone } from './evening'
export { costParts, penCost, type Costed, type CostPart } from './cost'
export {
  abrasivePrice, blankPrice, bottlePrice, isPriceName, materialPrice, setPrice, type Prices,
} from './prices'
