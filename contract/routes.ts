import type { BenchEvent } from '../core/bench'
import type { AirReading, Climate } from '../core/climate'
import type { Method } from '../core/method'
import type { Shelf } from '../core/shelf'
import type {
  AsideChange,
  BitChange,
  BlankInput,
  BottleChange,
  Bought,
  BroughtQuery,
  ClassChange,
  CodeInput,
  CourseQuery,
  CustomerChange,
  CustomerQuery,
  DefectQuery,
  EveningSumQuery,
  FiguresInput,
  FindingPensQuery,
  FindingQuery,
  HoursChange,
  KeptPlan,
  MarkQuery,
  Marks,
  MethodInput,
  NewClass,
  NewCustomer,
  NewOrder,
  NewPen,
  NewPerson,
  NewPlace,
  NewTrial,
  OrderChange,
  OrderQuery,
  OwnAbrasive,
  OwnProduct,
  PasswordInput,
  PenChange,
  PenQuery,
  PersonChange,
  Pin,
  PlaceChange,
  PlacesQuery,
  PriceChange,
  ReadingInput,
  SecondInput,
  SecretChange,
  ShelfChange,
  ShelfFittingInput,
  SupplyChange,
  WaitsQuery,
  Workshop,
  WorkshopChange,
} from '../schemas'
import type { Prices } from '../core/money'
import type { IntakeKnown, NewIntake } from '../schemas/intake'
import type { Backups } from './backups'
import type { ClassEntry, ClassPage } from './classroom'
import type { DefectHistory, DefectPage } from './defects'
import type { DayHours, EveningsKept, EveningSum } from './evenings'
import type {
  AlikePen, DefectPlaces, FigureCourse, FindingAnswer, FindingPens, FindingsPlace, KeptWaits, LearntCourse, LearntOf, MeasuredFilm,
  StepTimes, Trial,
} from './findings'
import type { Intake } from './intake'
import type { BroughtBefore, Customer, ListedOrder, OrderPage, Place } from './orders'
import type { Access, Door, Pairing, Person, SecondStep } from './people'
import type { DueDay, Pen, PenPage, WholeBench, WholePen } from './pen'
import type { ShownPen } from './shown'
import type { Supplies } from './supplies'
import type { WorkshopEntry, WorkshopList } from './workshops'
import type { MethodVersion, OwnProductKept, PhotoRef, ShelfBit, ShelfBlank, ShelfFitting, WorkshopLearnt } from './stock'

/** Which entries of a batch were new, and which were known already; by their ids. */
export interface Appended {
  /** Kept now. */
  added: string[]
  /** Kept before: sending twice changes nothing. */
  known: string[]
}

type Nothing = Record<string, never>

/**
 * Every route that takes and answers JSON: what it is sent, and what it answers. The server's handlers and the app's calls are both
 * checked against it. Pictures and exports stand apart.
 */
export interface Routes {
  'GET /api/air': { answer: AirReading[] }
  'POST /api/air': { body: Climate, answer: AirReading[] }
  'GET /api/bench': { answer: WholeBench }
  'GET /api/bits': { answer: ShelfBit[] }
  'PUT /api/bits': { body: BitChange, answer: ShelfBit[] }
  'GET /api/blanks': { answer: ShelfBlank[] }
  'POST /api/blanks': { body: BlankInput, answer: ShelfBlank }
  'PUT /api/blanks/:id': { body: BlankInput, answer: ShelfBlank }
  'DELETE /api/blanks/:id': { answer: Nothing }
  'POST /api/blanks/:id/uncut': { answer: Nothing }
  'POST /api/blanks/:id/readings': { body: ReadingInput, answer: ShelfBlank }
  'DELETE /api/blanks/:id/readings/:reading': { answer: ShelfBlank }
  'GET /api/classes': { answer: ClassEntry[] }
  'POST /api/classes': { body: NewClass, answer: ClassEntry }
  'GET /api/classes/:id': { answer: ClassPage }
  'PUT /api/classes/:id': { body: ClassChange, answer: ClassEntry }
  'POST /api/classes/:id/pupils': { body: { people: string[] }, answer: ClassPage }
  'PUT /api/classes/:id/marks': { body: Marks, answer: ClassPage }
  'GET /api/backups': { answer: Backups }
  'GET /api/door': { answer: Door }
  'POST /api/door/code': { body: CodeInput, answer: Door }
  'POST /api/door/password': { body: PasswordInput, answer: Door }
  'POST /api/door/out': { answer: Door }
  'PUT /api/door/lock': { body: { locked: boolean }, answer: Nothing }
  'GET /api/people': { answer: Person[] }
  'GET /api/people/access': { answer: Access }
  'POST /api/people': { body: NewPerson, answer: Person[] }
  'PUT /api/people/:id': { body: PersonChange, answer: Person[] }
  'PUT /api/people/:id/secret': { body: SecretChange, answer: Person[] }
  'POST /api/people/:id/second': { body: SecondInput, answer: SecondStep }
  'PUT /api/people/:id/second': { body: FiguresInput, answer: Person[] }
  'DELETE /api/people/:id/second': { answer: Person[] }
  'POST /api/people/:id/pairing': { answer: Pairing }
  'DELETE /api/devices/:id': { answer: Access }
  'GET /api/defects': { query: DefectQuery, answer: DefectPage }
  'GET /api/defects/history': { answer: DefectHistory }
  'GET /api/evenings': { answer: EveningsKept }
  'GET /api/evenings/hours': { answer: DayHours[] }
  'PUT /api/evenings/hours': { body: HoursChange, answer: DayHours[] }
  'GET /api/evenings/sum': { query: EveningSumQuery, answer: EveningSum }
  'PUT /api/evenings/pins': { body: Pin, answer: Pin[] }
  'DELETE /api/evenings/pins/:id': { answer: Pin[] }
  'PUT /api/evenings/plan': { body: KeptPlan, answer: Nothing }
  'POST /api/evenings/calendar': { answer: { calendar: string } }
  'DELETE /api/evenings/calendar': { answer: Nothing }
  'POST /api/events': { body: { events: readonly BenchEvent[], sentAt?: string }, answer: Appended }
  'GET /api/findings': { answer: FindingsPlace }
  'GET /api/findings/answer': { query: FindingQuery, answer: FindingAnswer }
  'GET /api/findings/pens': { query: FindingPensQuery, answer: FindingPens }
  'GET /api/findings/course': { query: CourseQuery, answer: FigureCourse }
  'GET /api/findings/places': { query: PlacesQuery, answer: DefectPlaces[] }
  'GET /api/findings/times': { answer: StepTimes[] }
  'GET /api/findings/film': { answer: MeasuredFilm }
  'GET /api/findings/waits': { query: WaitsQuery, answer: KeptWaits }
  'GET /api/findings/learnt': { answer: LearntOf }
  'GET /api/findings/learnt/course': { answer: LearntCourse }
  'PUT /api/findings/learnt': { body: AsideChange, answer: LearntOf }
  'GET /api/findings/trials': { answer: Trial[] }
  'POST /api/findings/trials': { body: NewTrial, answer: Trial[] }
  'PUT /api/findings/trials/:id/pens': { body: { pen: string }, answer: Trial[] }
  'PATCH /api/findings/trials/:id': { body: { ended: true }, answer: Trial[] }
  'GET /api/fittings': { answer: ShelfFitting[] }
  'POST /api/fittings': { body: ShelfFittingInput, answer: ShelfFitting }
  'PUT /api/fittings/:id': { body: ShelfFittingInput, answer: ShelfFitting }
  'DELETE /api/fittings/:id': { answer: Nothing }
  'GET /api/health': { answer: { ok: boolean } }
  'GET /api/intakes': { answer: { intakes: Intake[], known: IntakeKnown } }
  'POST /api/intakes': { body: NewIntake, answer: Intake[] }
  'DELETE /api/intakes/:id': { answer: Intake[] }
  'GET /api/learnt': { answer: WorkshopLearnt }
  'GET /api/methods': { answer: Method[] }
  'POST /api/methods': { body: { of: string, name: string }, answer: Method }
  'GET /api/methods/:id': { answer: MethodVersion[] }
  'PUT /api/methods/:id': { body: MethodInput & { version: number }, answer: Method }
  'PATCH /api/methods/:id': { body: { gone: boolean }, answer: Nothing }
  'GET /api/pens': { query: PenQuery, answer: PenPage }
  'GET /api/pens/due': { answer: { due: DueDay | null } }
  'GET /api/pens/mark': { query: MarkQuery, answer: { free: string, all: string[] } }
  'POST /api/pens': { body: NewPen, answer: Pen }
  'POST /api/pens/several': { body: { pens: readonly NewPen[] }, answer: Pen[] }
  'GET /api/pens/:id': { answer: WholePen }
  'PATCH /api/pens/:id': { body: PenChange, answer: Pen }
  'GET /api/pens/:id/alike': { answer: AlikePen[] }
  'POST /api/pens/:id/link': { answer: { secret: string } }
  'DELETE /api/pens/:id/link': { answer: Nothing }
  'GET /api/shown/:secret': { answer: ShownPen }
  'POST /api/pens/:id/plan': { body: { version: number }, answer: Pen }
  'POST /api/photos': { picture: true, answer: PhotoRef }
  'PUT /api/photos/:id': { picture: true, answer: PhotoRef }
  'GET /api/shelf': { answer: Shelf }
  'PUT /api/shelf': { body: ShelfChange, answer: Shelf }
  'PUT /api/shelf/bottle': { body: BottleChange, answer: Shelf }
  'POST /api/shelf/bottle/thrown': { body: { item: string }, answer: Shelf }
  'GET /api/shelf/products': { answer: OwnProductKept[] }
  'POST /api/shelf/products': { body: OwnProduct, answer: Shelf }
  'PUT /api/shelf/products/:id': { body: OwnProduct & { version: number }, answer: Shelf }
  'POST /api/shelf/own': { body: OwnAbrasive, answer: Shelf }
  'POST /api/shelf/usual': { answer: Shelf }
  'GET /api/supplies': { answer: Supplies }
  'PUT /api/supplies': { body: SupplyChange, answer: Supplies }
  'POST /api/supplies/bought': { body: Bought, answer: Supplies }
  'GET /api/workshop': { answer: Workshop }
  'GET /api/customers': { query: CustomerQuery, answer: Customer[] }
  'POST /api/customers': { body: NewCustomer, answer: Customer }
  'PUT /api/customers/:id': { body: CustomerChange, answer: Customer }
  'DELETE /api/customers/:id': { answer: Nothing }
  'GET /api/orders': { query: OrderQuery, answer: OrderPage }
  'GET /api/orders/:id': { answer: ListedOrder }
  'POST /api/orders': { body: NewOrder, answer: ListedOrder }
  'PUT /api/orders/:id': { body: OrderChange, answer: ListedOrder }
  'GET /api/places': { answer: Place[] }
  'POST /api/places': { body: NewPlace, answer: Place[] }
  'PUT /api/places/:id': { body: PlaceChange, answer: Place[] }
  'GET /api/brought': { query: BroughtQuery, answer: BroughtBefore }
  'GET /api/prices': { answer: Prices }
  'PUT /api/prices': { body: PriceChange, answer: Prices }
  'PUT /api/workshop': { body: WorkshopChange, answer: Workshop }
  'GET /api/workshops': { answer: WorkshopList }
  'POST /api/workshops': { body: { name: string }, answer: WorkshopEntry }
  'PATCH /api/workshops/:id': { body: { name: string }, answer: WorkshopEntry }
  'POST /api/workshops/demo': { answer: WorkshopEntry }
  'PUT /api/workshops/demo': { answer: WorkshopEntry }
  'DELETE /api/workshops/demo': { answer: Nothing }
}

/** Routes that answer something else than JSON, or take it: pictures, files, papers, streams. */
export const rawRoutes = [
  'GET /api/archive', 'POST /api/archive', 'GET /api/backup', 'GET /api/calendar/:secret', 'GET /api/evenings/calendar.ics',
  'GET /api/findings/answer.csv', 'GET /api/live', 'GET /api/orders/:id/receipt.pdf', 'POST /api/papers/evenings.pdf',
  'GET /api/papers/labels.pdf', 'GET /api/papers/prices.pdf', 'GET /api/pens/:id/drawing.svg', 'GET /api/pens/:id/papers/:paper',
  'GET /api/pens/:id/record.csv', 'GET /api/pens/:id/record.json', 'GET /api/photos/:id', 'GET /api/tables/:table',
] as const
/** One of them. */
export type RawRouteName = (typeof rawRoutes)[number]

/** A route by its method and path. */
export type RouteName = keyof Routes
/** What a route answers. */
export type AnswerOf<R extends RouteName> = Routes[R]['answer']
/** What a route is sent as JSON; nothing where it takes none. */
export type BodyOf<R extends RouteName> = Routes[R] extends { body: infer Body } ? Body : undefined
/** What a route is asked with in its address; nothing where it takes none. */
export type QueryOf<R extends RouteName> = Routes[R] extends { query: infer Query } ? Query : undefined
/** Routes that are sent the bytes of a picture instead. */
export type PictureRoute = { [R in RouteName]: Routes[R] extends { picture: true } ? R : never }[RouteName]
