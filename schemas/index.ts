export { bitSchema, blankSchema, readingSchema, type BitChange, type BlankInput, type ReadingInput } from './blank'
export {
  classChangeSchema, marksSchema, MOST_PUPILS, morePupilsSchema, newClassSchema, type ClassChange, type Marks, type NewClass,
} from './classroom'
export { errorsOf, fieldErrors, type FieldErrors } from './errors'
export {
  asideSchema, courseQuerySchema, findingPensQuerySchema, findingQuerySchema, findingTableQuerySchema, newTrialSchema,
  placesQuerySchema, trialEndSchema, trialPenSchema, waitsQuerySchema, type AsideChange, type CourseQuery, type FindingPensQuery,
  type FindingQuery, type NewTrial, type PlacesQuery, type WaitsQuery,
} from './finding'
export {
  eveningSumQuerySchema, hoursSchema, keptPlanSchema, pinKinds, pinSchema, weekdays, type EveningSumQuery, type HoursChange, type KeptPlan,
  type Laid, type Pin,
} from './evening'
export { asBenchEvent, eventBatchSchema } from './event'
export { shelfFittingSchema, type ShelfFittingInput } from './fitting'
export { awaySchema, methodChangeSchema, methodCopySchema, methodSchema, type MethodInput } from './method'
export {
  defectQuerySchema,
  markQuerySchema,
  MOST_AT_ONCE,
  newPenSchema,
  newPensSchema,
  penChangeSchema,
  penQuerySchema,
  replanSchema,
  type DefectQuery,
  type MarkQuery,
  type NewPen,
  type PenChange,
  type PenQuery,
} from './pen'
export {
  broughtQuerySchema, customerQuerySchema, customerSchema, newCustomerSchema, newOrderSchema, newPlaceSchema, orderKinds,
  orderQuerySchema, orderSchema, placeKinds, placeSchema, type BroughtQuery, type CustomerChange, type CustomerQuery, type NewCustomer,
  type NewOrder, type NewPlace, type OrderChange, type OrderLine, type OrderQuery, type PlaceChange,
} from './order'
export { labelsQuerySchema, paperQuerySchema, timedQuerySchema } from './paper'
export {
  codeSchema, figuresSchema, lockSchema, longEnough, newPersonSchema, passwordSchema, personChangeSchema, roles, secondSchema,
  secretChangeSchema, type CodeInput, type FiguresInput, type NewPerson, type PasswordInput, type PersonChange, type Role,
  type SecondInput, type SecretChange,
} from './people'
export { boughtSchema, supplySchema, type Bought, type SupplyChange } from './supply'
export { asPlan } from './plan'
export {
  airReadingSchema,
  bottleSchema,
  ownAbrasiveSchema,
  ownProductChangeSchema,
  ownProductSchema,
  shelfChangeSchema,
  thrownSchema,
  workshopNameSchema,
  workshopSchema,
  soundCautions,
  type BottleChange,
  type OwnAbrasive,
  type OwnProduct,
  type ShelfChange,
  type Workshop,
  type WorkshopChange,
} from './workshop'
export { tableQuerySchema } from './table'
export { priceSchema, type PriceChange } from './price'
