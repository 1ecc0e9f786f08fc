import type { Knex } from 'knex'
import type { AlikePen } from '../../contract'
import { plannedTraits } from '../../core/bench'
import { APART, apartIn, compared, type Traits } from '../../core/findings'
import { readPen } from './pens'
import { readPlan } from './plans'
import { columnOf } from './told'

/** So many are told. */
const NEAREST = 6

type Row = Omit<AlikePen, 'ended' | 'apart' | 'lastGrit'> & { ended: Date } & Record<string, unknown>

/**
 * The pens that are over and nearest to how one is going to be made, the latest of those that are as near first.
 * @throws NotFoundError for a pen that is not there
 */
export async function alikePens(knex: Knex, id: string): Promise<AlikePen[]> {
  const pen = await readPen(knex, id)
  const traits = plannedTraits(await readPlan(knex, pen))
  const known = compared.filter(trait => traits[trait] !== undefined)
  const far = known.map(trait => `case when ${columnOf(trait)} is distinct from ? then ${APART[trait]} else 0 end`).join(' + ')
  const columns = [...known.map(columnOf), 'last_grit', 'coats'].map(one => `told.${one}`).join(', ')
  const { rows }: { rows: Row[] } = await knex.raw(
    `select pens.id, mark, name, told.ended, told.defects, told.mends, told.failed, told.scrapped, told.finished,
       case jsonb_typeof(told.figures->'minutes') when 'number' then (told.figures->>'minutes')::float8 end as minutes, ${columns}
     from (select *, ${far} as far from pen_told where pen_id <> ? order by far, ended desc, pen_id limit ?) as told
     join pens on pens.id = told.pen_id order by far, told.ended desc, told.pen_id`,
    [...known.map(trait => traits[trait] ?? null), id, NEAREST])
  return rows.map(row => asAlike(row, traits))
}

function asAlike(row: Row, traits: Traits): AlikePen {
  const text = (column: string) => (typeof row[column] === 'string' ? row[column] : null)
  const own = Object.fromEntries(compared.flatMap(trait => (text(columnOf(trait)) === null ? [] : [[trait, text(columnOf(trait))]])))
  const { id, mark, name, ended, defects, mends, failed, scrapped, finished, minutes } = row
  return {
    id, mark, name, ended: ended.toISOString(), apart: apartIn(traits, own as Traits), lastGrit: text('last_grit'), coats: text('coats'),
    defects, mends, failed, scrapped, finished, minutes,
  }
}
