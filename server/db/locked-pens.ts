import type { Knex } from 'knex'
import { APPEND } from './append-lock'
import { named } from './named'

/** A pen that nobody else changes until the transaction ends, with what its row needs of it. */
export interface LockedPen {
  /** Its id. */
  id: string
  /** Its witness mark. */
  mark: string
  /** What it is called. */
  name: string
  /** What it is for. */
  reason: string | null
  /** The day it is due, YYYY-MM-DD. */
  due: string | null
  /** The id of its fitting. */
  fitting: string
  /** The id of what it is of. */
  material: string
  /** The id of its method. */
  method: string
  /** Whose it is; null where nobody is asked. */
  maker: string | null
  /** When it was planned. */
  created_at: Date
}

const PENS = `
  select id, mark, name, reason, to_char(due, 'YYYY-MM-DD') as due, fitting, material, method, maker, created_at`

const lockSome = named<LockedPen>('lock pens', `${PENS} from pens where id = any(?::uuid[]) order by id for update`)

/** Locks some pens, by their ids; one that is not there is left out. */
export const lockPens = async (trx: Knex, ids: readonly string[]): Promise<LockedPen[]> => lockSome(trx, [...ids])

const lockBoth = named<LockedPen>('lock log and pens', `
  with log as materialized (select ${APPEND})
  ${PENS} from log, pens where id = any(?::uuid[]) order by id for update of pens`)

/** The same, and before them the log: nobody else appends to it. */
export const lockLogAndPens = async (trx: Knex, ids: readonly string[]): Promise<LockedPen[]> => lockBoth(trx, [...ids])
