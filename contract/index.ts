export type { TakenIn } from './archive'
export type { Backups, BackupWay } from './backups'
export type { DefectHistory, DefectPage, ListedDefect } from './defects'
export type { DayHours, EveningsKept, EveningSum, KeptEvening } from './evenings'
export { changedKinds, type Change, type ChangedKind, type Message } from './live'
export type {
  AlikePen, DefectPlaces, FigureCourse, FindingAnswer, FindingPens, FindingsPlace, KeptWaits, LearntCourse, LearntOf, MeasuredFilm,
  ReadyQuestion, StepTimes, Trial,
} from './findings'
export type { Intake } from './intake'
export type { BroughtBefore, Customer, ListedOrder, Order, OrderPage, Place } from './orders'
export type { DueDay, ListedPen, Pen, PenPage, StoredEvent, WholeBench, WholePen } from './pen'
export type { Access, Device, Door, Me, NetworkState, Pairing, Person, PersonBrief } from './people'
export type { Refusal } from './refusal'
export { rawRoutes, type AnswerOf, type BodyOf, type PictureRoute, type QueryOf, type RawRouteName, type RouteName } from './routes'
export { csvDialects, tableNames, type CsvDialect, type TableName } from './tables'
export type { StockMove, Supplies } from './supplies'
export type { WorkshopEntry, WorkshopList } from './workshops'
export type { MethodVersion, OwnProductKept, PhotoRef, ShelfBit, ShelfBlank, ShelfFitting, WorkshopLearnt } from './stock'
