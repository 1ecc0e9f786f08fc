export { methodFaults } from './faults'
export {
  filmPart,
  finishFamilies,
  growingRange,
  hasFilm,
  sheens,
  type After,
  type Layer,
  type Method,
  type Sheen,
} from './method'
export { familyOf, rankedMethods, suitability, type Suitability } from './suits'
