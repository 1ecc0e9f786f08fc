import type { IntakeKind, IntakeName } from './field'
import { blanks } from './kinds/blanks'
import { bottles } from './kinds/bottles'
import { fittings } from './kinds/fittings'
import { past } from './kinds/past'
import { pens } from './kinds/pens'

/** Every kind of thing that is taken in from a sheet. */
export const intakeKinds: readonly IntakeKind[] = [pens, blanks, fittings, bottles, past]
/** A kind by its name. */
export const intakeKind = (name: IntakeName): IntakeKind => ({ blanks, fittings, bottles, pens, past })[name]

export type { BlankRow } from './kinds/blanks'
export type { FittingRow } from './kinds/fittings'
export type { PastRow } from './kinds/past'
export { type Field, type IntakeKind, type IntakeKnown, type IntakeName, type Value } from './field'
export { guessKind, guessMapping } from './guess'
export { judgeSheet, unknownWords, type JudgedRow, type RowFault, type UnknownWord } from './judge'
export { intakeSchema, type Mapping, type NewIntake } from './mapping'
export { MOST_BYTES, MOST_ROWS, readSheet, SheetError, textOf, type Sheet } from './sheet'
