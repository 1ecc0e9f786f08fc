import type { Knex } from 'knex'
import type { Place } from '../../contract'
import { placeSum } from '../../core/orders'
import type { NewPlace, PlaceChange } from '../../schemas'
import { ConflictError, NotFoundError } from '../faults'

/** So many are shown, the latest. */
const SHOWN = 100

type Row = Omit<Place, 'sum'>
/** What was moved at a place, added up. */
interface MovedRow { about: string, sold: number, given: number, taken: number, paid_back: number }

/** Places where pens are sold, the latest first, and what each brought. */
export async function listPlaces(knex: Knex): Promise<Place[]> {
  const rows: Row[] = await knex('places')
    .orderByRaw('gone, day desc nulls first, made desc')
    .limit(SHOWN)
    .select('id', 'name', 'kind', knex.raw('to_char(day, \'YYYY-MM-DD\') as day'), 'cost', 'gone', 'version')
  const { rows: moved }: { rows: MovedRow[] } = await knex.raw(
    `select about,
       (count(*) filter (where kind = 'leave' and body->>'how' = 'sold'))::int as sold,
       (count(*) filter (where kind = 'leave' and body->>'how' = 'given'))::int as given,
       coalesce(sum((body->>'price')::bigint) filter (where kind = 'leave' and body->>'how' = 'sold'), 0)::float8 as taken,
       coalesce(sum((body->>'paid')::bigint) filter (where kind = 'return'), 0)::float8 as paid_back
     from facts where kind in ('leave', 'return') and about = any(?) group by about`,
    [rows.map(row => row.id)] as never)
  const sums = new Map(moved.map(({ about, paid_back: paidBack, ...sum }) => [about, { ...sum, paidBack }]))
  return rows.map((row) => {
    const found = sums.get(row.id)
    const empty = placeSum([], row.cost ?? 0)
    return { ...row, sum: found ? { ...empty, ...found, left: found.taken - found.paidBack - empty.cost } : empty }
  })
}

/** A new place; the same id again changes nothing. */
export async function addPlace(knex: Knex, wanted: NewPlace): Promise<Place[]> {
  await knex('places').insert(wanted).onConflict(['workshop_id', 'id']).ignore()
  return listPlaces(knex)
}

/** Changes a place. @throws ConflictError with all places as they are, NotFoundError */
export async function changePlace(knex: Knex, id: string, { version, ...wanted }: PlaceChange): Promise<Place[]> {
  const changed = await knex('places').where({ id, version }).update({ ...wanted, version: version + 1 })
  const places = await listPlaces(knex)
  if (changed) return places
  if (!await knex('places').where({ id }).first('id')) throw new NotFoundError('There is no such place.')
  throw new ConflictError('This place was changed on another device. Look again, then say what still holds.', places)
}
