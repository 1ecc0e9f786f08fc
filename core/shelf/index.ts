export { coarserThan, grainOf, isPad, levels, sandsWet, type ShelfAbrasive } from './abrasive'
export { planBlank, thinnestSide, type Blank } from './blank'
export { gapsIn } from './gaps'
export {
  bleeds,
  closeGrained,
  hasJoint,
  hasResin,
  isFigured,
  isHybrid,
  isOily,
  isResin,
  isSoft,
  materialClasses,
  openPored,
  tears,
  type Material,
  type MaterialClass,
} from './material'
export {
  coatRoles,
  isCa,
  isCoatProduct,
  keepsUntil,
  productRoles,
  waitPurposes,
  type BaseWait,
  type Bottle,
  type CaRole,
  type CoatProduct,
  type CoatRole,
  type Product,
  type ProductRole,
  type WaitPurpose,
} from './product'
export { productFor, type Shelf } from './shelf'
export { inTurn } from './turn'
export { coarsestGrain, density, isUneven, mediumOf, sandingClass, soakOnTop, type SandingClass } from './traits'
