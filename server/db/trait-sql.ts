import type { Knex } from 'knex'
import type { Trait } from '../../core/findings'
import { columnOf } from './told'

/** A part of a statement with what goes into it. */
export interface Part {
  /** Its text. */
  sql: string
  /** What stands for its question marks. */
  with: readonly Knex.RawBinding[]
}
/** The same from its text. */
export const part = (sql: string, ...bindings: readonly Knex.RawBinding[]): Part => ({ sql, with: bindings })

/** A trait of a pen; hours by the clock of whoever asks. */
export const traitSql = (trait: Trait, zone = 'UTC'): Part =>
  trait === 'hour' ? part('to_char(coated at time zone ?, \'HH24\')', zone) : part(columnOf(trait))
