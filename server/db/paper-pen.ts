import type { Knex } from 'knex'
import { boardOf, brokenWords, type Board } from '../../core/bench'
import { unitWords, type UnitWords } from '../../core/units'
import type { Pen } from '../../contract'
import type { Workshop } from '../../schemas'
import { ConflictError } from '../faults'
import { airOfLog } from './air-log'
import { readBlank } from './blanks'
import { eventsOf } from './log'
import { readPen } from './pens'
import { plansOf } from './plans'
import { readWorkshop } from './workshop'

/** A pen with all that its papers are made from. @throws NotFoundError, ConflictError when it cannot be worked out */
export async function paperPen(
  knex: Knex, id: string,
): Promise<{ pen: Pen, board: Board, units: UnitWords, story: string, workshop: Workshop }> {
  const pen = await readPen(knex, id)
  const plan = (await plansOf(knex, [id])).get(id)
  if (!plan) throw new ConflictError(brokenWords.plan, pen)
  const events = await eventsOf(knex, id)
  const workshop = await readWorkshop(knex)
  const blank = pen.blank === null ? undefined : await readBlank(knex, pen.blank)
  return {
    pen, board: boardOf(plan, events, await airOfLog(knex, events)), units: unitWords(workshop.units), story: blank?.origin ?? '', workshop,
  }
}
