export { given, worked, type Figure, type Mark, type Source } from './figure'
export { ranged, type Ranged } from './ranged'
