import type { Knex } from 'knex'
import { materialPrice } from '../../core/money'

/** How many of each were used since they were counted, by their ids. */
export type Used = ReadonlyMap<string, number>

const asUsed = ({ rows }: { rows: { id: string, used: string }[] }): Used => new Map(rows.map(row => [row.id, Number(row.used)]))

/**
 * Sticks that pens were cut from since each kind was counted: also the one that a barrel was cut from again. No more are looked for than
 * were counted.
 */
export const usedSticks = async (knex: Knex, ids: readonly string[]): Promise<Used> =>
  asUsed(await knex.raw(`
    select blanks.id, (
      select count(*) from (
        select from pens
        join facts on facts.pen_id = pens.id and facts.kind = 'step' and facts.about = 'cut' and facts.at > blanks.counted_at
        where pens.blank = blanks.id
        limit blanks.count
      ) as cut
    ) as used
    from blanks where blanks.id = any(?)`, [[...ids]]))

/**
 * Pen blanks, bought one for a pen, that were cut since the first of them was booked in, by their material: also the one that a barrel was
 * cut from again. No more are looked for than were bought.
 */
export const usedPenBlanks = async (knex: Knex, materials: readonly string[]): Promise<Used> =>
  asUsed(await knex.raw(`
    select bought.id, (
      select count(*) from (
        select from pen_rows
        join pens on pens.id = pen_rows.pen_id and pens.blank is null
        join facts on facts.pen_id = pens.id and facts.kind = 'step' and facts.about = 'cut' and facts.at > bought.at
        where pen_rows.material = bought.id and pen_rows.recent > bought.at
        limit bought.pieces
      ) as cut
    ) as used
    from (
      select split_part(what, ':', 2) as id, min(at) as at, sum(pieces) as pieces from stock_log
      where how = 'bought' and what = any(?) group by 1
    ) as bought`, [materials.map(materialPrice)]))

/** Boards that sticks were cut from since each kind was counted, but for those whose cutting was taken back. */
export const usedBoards = async (knex: Knex, ids: readonly string[]): Promise<Used> =>
  asUsed(await knex.raw(`
    select board.id, count(cut.id) as used from blanks as board
    left join blanks as cut on cut.cut_from = board.id and not cut.uncut and cut.created_at > board.counted_at
    where board.id = any(?) group by board.id`, [[...ids]]))

/**
 * Sets that pens have taken since each fitting was counted: from when its parts are looked through, or its tube goes in. A pen that was
 * given up gives its set back while no tube is in. No more are looked for than were counted, however many pens there are.
 */
export const usedSets = async (knex: Knex, ids: readonly string[]): Promise<Used> =>
  asUsed(await knex.raw(`
    select fittings.id, (
      select count(*) from (
        select from pen_rows
        join lateral (
          select min(facts.at) as since, bool_or(facts.about = 'tube') as glued
          from facts where facts.pen_id = pen_rows.pen_id and facts.kind = 'step' and facts.about in ('parts', 'tube')
        ) as taken on taken.since > fittings.counted_at
        where pen_rows.fitting = fittings.id and pen_rows.recent > fittings.counted_at
          and (pen_rows.stage is distinct from 'given up' or taken.glued)
        limit fittings.sets
      ) as sets
    ) as used
    from fittings where fittings.id = any(?)`, [[...ids]]))

/** Sheets that grits have worn out since each kind was counted, in parts of one; pads, which are rinsed, wear none. */
export const usedSheets = async (knex: Knex): Promise<Used> =>
  asUsed(await knex.raw(`
    select item as id, coalesce(sum((facts.body->>'uses')::float8), 0) as used
    from shelf_items join facts on facts.kind = 'sheet' and facts.about = shelf_items.item and facts.at > shelf_items.counted_at
    where not shelf_items.gone and shelf_items.count is not null group by item`))

/** What is left of a count. */
export const leftOf = (counted: number, used: Used, id: string): number => Math.max(0, counted - (used.get(id) ?? 0))
