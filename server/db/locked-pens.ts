import type { Knex } from 'knex'
import { APPEND } from './append-lock'
import { named } from './named'
import type { PenColumns } from './pen-columns'

const COLUMNS = ['id', 'mark', 'name', 'reason', 'due', 'fitting', 'material', 'method', 'maker', 'created_at'] as const

/** A pen that nobody else changes until the transaction ends, with what its row needs of it. */
export type LockedPen = Pick<PenColumns, typeof COLUMNS[number]>

const PENS = `select ${COLUMNS.map(one => (one === 'due' ? 'to_char(due, \'YYYY-MM-DD\') as due' : one)).join()}`

const lockSome = named<LockedPen>('lock pens', `${PENS} from pens where id = any(?::uuid[]) order by id for update`)

/** Locks some pens, by their ids; one that is not there is left out. */
export const lockPens = async (trx: Knex, ids: readonly string[]): Promise<LockedPen[]> => lockSome(trx, [...ids])

const lockBoth = named<LockedPen>('lock log and pens', `
  with log as materialized (select ${APPEND})
  ${PENS} from log, pens where id = any(?::uuid[]) order by id for update of pens`)

/** The same, and before them the log: nobody else appends to it. */
export const lockLogAndPens = async (trx: Knex, ids: readonly string[]): Promise<LockedPen[]> => lockBoth(trx, [...ids])
