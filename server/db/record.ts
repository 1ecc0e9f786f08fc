import type { Knex } from 'knex'
import { brokenWords } from '../../core/bench'
import type { Pen } from '../../contract'
import { ConflictError } from '../faults'
import { savedRecord, type SavedRecord } from '../export/record'
import { airOfLog } from './air-log'
import { elsewhereOf, eventsOf } from './log'
import { readPen } from './pens'
import { plansOf } from './plans'

/** A pen with its record as it is saved. @throws NotFoundError, ConflictError when it cannot be worked out */
export async function recordOf(knex: Knex, id: string): Promise<{ pen: Pen, record: SavedRecord }> {
  const pen = await readPen(knex, id)
  const [plan, events] = [(await plansOf(knex, [id])).get(id), await eventsOf(knex, id)]
  if (!plan) throw new ConflictError(brokenWords.plan, pen)
  const [air, elsewhere] = [await airOfLog(knex, events), await elsewhereOf(knex, id)]
  try {
    return { pen, record: savedRecord(pen, plan, events, air, elsewhere) }
  } catch (error) {
    console.error(`The record of pen ${id} cannot be worked out: ${(error as Error).message}`)
    throw new ConflictError(brokenWords.log, pen)
  }
}
