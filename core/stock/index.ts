export { whatToBuy, type BuyAt, type ToBuy, type Wanted } from './buy'
export { priceOfNext, type Lot } from './lots'
export { sheetsLeft } from './sheets'
