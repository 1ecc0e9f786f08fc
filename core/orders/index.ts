export { standingOf, type OrderedPen, type OrderStanding, type Trouble } from './standing'
export { broughtOf, orderSum, placeSum, type Brought, type Moved, type PlaceSum } from './sums'
