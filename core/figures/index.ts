export { given, worked, type Figure, type Mark, type Source } from './figure'
export { ranged, weightedSpread, type Ranged, type Weighted } from './ranged'
