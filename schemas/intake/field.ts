import type { AnySchema } from 'yup'
import type { Named } from '../../core/intake'

/** What can be taken in. */
export const intakeNames = ['blanks', 'fittings', 'bottles', 'pens', 'past'] as const
/** One of them. */
export type IntakeName = (typeof intakeNames)[number]

/** What a cell can be of: text, a figure, a length (mm), money (minor units), a day, yes or no, one of some things, or several of them. */
export type FieldKind = 'text' | 'number' | 'length' | 'money' | 'day' | 'yes' | 'one of' | 'some of'

/** What is known of the workshop that cells can name. */
export interface IntakeKnown {
  /** Fittings on the shelf. */
  fittings: readonly Named[]
  /** Methods. */
  methods: readonly Named[]
  /** Blanks on the shelf, sticks alone. */
  blanks: readonly Named[]
  /** Fairs and shops. */
  places: readonly Named[]
  /** Glues, finishes and polishes. */
  products: readonly Named[]
  /** Its money (ISO 4217); null: hundredths of one that nobody named. */
  currency: string | null
  /** The day it is, `2026-12-24`: what is over lies before it. */
  today: string
}

/** Something that a row can say. */
export interface Field {
  /** Its name. */
  field: string
  /** What it is called on the screen. */
  says: string
  /** What stands over such columns, in small letters without accents. */
  heads: readonly string[]
  /** What its cells hold. */
  kind: FieldKind
  /** What its cells can name. */
  among?: (known: IntakeKnown) => readonly Named[]
  /** Whether no row goes without it. */
  needed?: true
}

/** What a cell came to. */
export type Value = string | number | boolean | readonly string[]
/** What a row says, by the names of its fields; what it does not say is absent. */
export type Values = Readonly<Record<string, Value | undefined>>

/** A kind of thing that is taken in: what its rows can say, and what becomes of one. */
export interface IntakeKind {
  /** Which. */
  name: IntakeName
  /** What it is called on the screen. */
  says: string
  /** So many rows are taken in at once, where that is fewer than of others. */
  most?: number
  /** What its rows can say. */
  fields: readonly Field[]
  /** A row as it is to be kept, and what judges that. */
  wanted: (values: Values, known: IntakeKnown) => { value: object, schema: AnySchema }
  /** Which field a fault of what is kept belongs to, by its path. */
  fieldOf?: (path: string) => string
}

/** A value that is text. */
export const text = (value: Value | undefined): string | null => (typeof value === 'string' && value !== '' ? value : null)
/** A value that is a figure. */
export const figure = (value: Value | undefined): number | null => (typeof value === 'number' ? value : null)
