import type { Knex } from 'knex'
import type { Pen } from '../../contract'
import { savedRecord, type SavedRecord } from '../export/record'
import { readAir } from './air-log'
import { elsewhereOf, eventsOf } from './log'
import { readPen } from './pens'
import { readPlan } from './plans'

/** A pen with its record as it is saved. @throws NotFoundError */
export async function recordOf(knex: Knex, id: string): Promise<{ pen: Pen, record: SavedRecord }> {
  const pen = await readPen(knex, id)
  const [plan, events] = [await readPlan(knex, pen), await eventsOf(knex, id)]
  return { pen, record: savedRecord(pen, plan, events, await readAir(knex), await elsewhereOf(knex, id)) }
}
