import type { Knex } from 'knex'
import type { Pen } from '../../contract'

/** A pen’s row as its columns are named. */
export type PenColumns = Omit<Pen, 'planVersion' | 'createdAt' | 'classId'>
  & { plan_version: number, created_at: Date, class_id: string | null }

const COLUMNS = [
  'id', 'mark', 'name', 'reason', 'fitting', 'material', 'method', 'tool', 'film', 'blank', 'sizing', 'maker', 'asked', 'class_id',
  'plan_version', 'version', 'created_at',
] as const

/** The columns of a pen, its day as text. */
export const penColumns = (knex: Knex): (string | Knex.Raw)[] => [
  ...COLUMNS.map(column => `pens.${column}`),
  knex.raw('to_char(pens.due, \'YYYY-MM-DD\') as due'),
]

/** A pen out of its columns. */
export const asPen = ({ plan_version: planVersion, created_at: createdAt, class_id: classId, ...rest }: PenColumns): Pen => ({
  ...rest,
  classId,
  planVersion,
  createdAt: createdAt.toISOString(),
})
