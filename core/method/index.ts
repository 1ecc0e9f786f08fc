export { methodFaults } from './faults'
export {
  filmPart,
  finishFamilies,
  finishLooks,
  growingRange,
  hasFilm,
  lookOf,
  sheens,
  type After,
  type FinishFamily,
  type FinishLook,
  type Layer,
  type Method,
  type Sheen,
} from './method'
export { familyOf, rankedMethods, suitability, type Suitability } from './suits'
