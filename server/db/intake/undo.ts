import { isDeepStrictEqual } from 'node:util'
import type { Knex } from 'knex'
import { blankPrice, setPrice } from '../../../core/money'
import type { IntakeName } from '../../../schemas/intake'
import { oneAtATime } from '../append-lock'
import { outdate } from '../facts'
import { TOLD } from '../told'
import type { Thing } from './keep'

/** Takes things out that came in with a sheet; answers how many stay, because something was done with them since. */
export const UNDOERS: Readonly<Record<IntakeName, (trx: Knex, things: readonly Thing[]) => Promise<number>>> = {
  blanks: (trx, things) => takeOut(trx, things, 'blanks', blankPrice, untouchedBlanks),
  fittings: (trx, things) => takeOut(trx, things, 'fittings', setPrice, untouchedFittings),
  async bottles(trx, things) {
    let kept = 0
    // The last one first: one product may stand in several rows.
    for (const { ref: item, body } of [...things].reverse()) {
      const { before, after } = body as { before: Record<string, unknown> | null, after: unknown }
      const now: unknown = await trx('shelf_items').where({ item }).first()
      if (!isDeepStrictEqual(asKept(now), asKept(after))) kept += 1
      else if (before) await trx('shelf_items').where({ item }).update({ ...before, label: JSON.stringify(before.label) })
      else await trx('shelf_items').where({ item }).delete()
    }
    return kept
  },
  pens: takeOutPens,
  past: takeOutPens,
}

/** A row as it is kept in a body. */
const asKept = (row: unknown): unknown => JSON.parse(JSON.stringify(row ?? null))
const idsOf = (things: readonly Thing[]): string[] => things.map(one => one.ref)

async function takeOut(
  trx: Knex,
  things: readonly Thing[],
  table: string,
  priceOf: (id: string) => string,
  untouched: (trx: Knex, ids: string[]) => Promise<string[]>,
): Promise<number> {
  const ids = await untouched(trx, idsOf(things))
  await trx('prices').whereIn('what', ids.map(priceOf)).delete()
  await trx(table).whereIn('id', ids).delete()
  return things.length - ids.length
}

const untouchedBlanks = (trx: Knex, ids: string[]): Promise<string[]> =>
  trx('blanks').whereIn('id', ids).where({ version: 1 }).forUpdate()
    .whereNotExists(trx('pens').whereRaw('pens.blank = blanks.id'))
    .whereNotExists(trx('readings').whereRaw('readings.blank_id = blanks.id'))
    .whereNotExists(trx('blanks as sticks').whereRaw('sticks.cut_from = blanks.id'))
    .pluck('id')

const untouchedFittings = (trx: Knex, ids: string[]): Promise<string[]> =>
  trx('fittings').whereIn('id', ids).where({ version: 1 }).forUpdate()
    .whereNotExists(trx('pens').whereRaw('pens.fitting = fittings.id'))
    .whereNotExists(trx('order_lines').whereRaw('order_lines.body->>\'fitting\' = fittings.id'))
    .pluck('id')

/** What is kept of a pen and of nothing else. */
const OF_PENS = ['facts', 'pen_told', 'pen_search', 'pen_rows', 'evening_pins', 'plans'] as const

async function takeOutPens(trx: Knex, things: readonly Thing[]): Promise<number> {
  await oneAtATime(trx)
  const entries = new Map(things.map(({ ref, body }) => [ref, (body as { entries: number }).entries]))
  const there: { id: string, entries: string }[] = await trx('pens').whereIn('id', idsOf(things)).where({ version: 1 })
    .orderBy('id').forUpdate()
    .whereNotExists(trx('order_lines').whereRaw('order_lines.pen_id = pens.id'))
    .whereNotExists(trx('trial_pens').whereRaw('trial_pens.pen_id = pens.id'))
    .select('id', trx.raw('(select count(*) from events where pen_id = pens.id) as entries'))
  const ids = there.filter(one => Number(one.entries) === entries.get(one.id)).map(one => one.id)
  if (ids.length) await deletePens(trx, ids)
  return things.length - ids.length
}

/** Deletes pens with their logs. The numbers of their entries are given to nobody again: screens have told them as what they have seen. */
async function deletePens(trx: Knex, ids: readonly string[]): Promise<void> {
  const touched: { kind: string, about: string }[] = await trx('facts').whereIn('pen_id', ids).distinct('kind', 'about')
  for (const table of OF_PENS) await trx(table).whereIn('pen_id', ids).delete()
  await trx('workshop').update({ events_floor: trx.raw('greatest(events_floor, (select coalesce(max(seq), 0) from events))') })
  // The log lets go of entries for this alone; what else is deleted is told to the screens.
  await trx.raw('select set_config(\'oxlip.dropping\', current_workshop()::text, true)')
  await trx('events').whereIn('pen_id', ids).delete()
  await trx.raw('select set_config(\'oxlip.dropping\', \'\', true)')
  await trx('pens').whereIn('id', ids).delete()
  await outdate(trx, [...touched, TOLD])
}
