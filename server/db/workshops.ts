import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { WorkshopEntry, WorkshopList } from '../../contract'
import { fittings, methods } from '../../reference'
import { NotFoundError } from '../faults'
import { enter } from './within'

const NONE = 'There is no workshop.'
const NONE_THEIRS = 'You belong to no workshop here. Ask whoever let you in.'
const ENTRY = ['id', 'name', 'kind'] as const

/** The workshops that somebody may enter, the turner’s own first, and which of them opens where nobody has chosen one. */
export async function listWorkshops(owner: Knex, who: Enters = EVERYBODY): Promise<WorkshopList> {
  const workshops: WorkshopEntry[] = await owner('workshops').modify(theirs(who))
    .orderByRaw('kind = \'demo\', created_at').select(...ENTRY)
  return { workshops, opens: await opening(owner, who) }
}

/** Somebody who enters workshops: on the machine itself all of them, else those they have a role in. */
export interface Enters {
  /** By what they are in. */
  how: string
  /** What they may do, by workshop. */
  roles: ReadonlyMap<string, unknown>
}
const EVERYBODY: Enters = { how: 'machine', roles: new Map() }
const theirs = ({ how, roles }: Enters) => (query: Knex.QueryBuilder) => {
  if (how !== 'machine') void query.whereIn('workshops.id', [...roles.keys()])
}

/** The workshop that opens by itself: a turner’s own once it has a pen, the demo before that. @throws NotFoundError when there is none */
export async function opening(owner: Knex, who: Enters = EVERYBODY): Promise<string> {
  // In the order of its key, so that the first is found by it, or that there is none: not by going through all that others have.
  const first = '(select id from pens where workshop_id = workshops.id order by id limit 1)'
  const found: { id: string } | undefined = await owner('workshops').modify(theirs(who))
    .orderByRaw(`(kind = 'own' and ${first} is not null) desc, kind = 'demo' desc, created_at`)
    .first('id')
  if (!found) throw new NotFoundError(who.how === 'machine' ? NONE : NONE_THEIRS)
  return found.id
}

/**
 * Sets up an empty workshop, with the usual fittings and methods, and enters it behind the wall for the rest of the transaction.
 * Answers it.
 */
export async function setUp(trx: Knex, name: string, kind: WorkshopEntry['kind']): Promise<WorkshopEntry> {
  const entry = { id: randomUUID(), name, kind }
  await trx('workshops').insert(entry)
  await trx.raw('set local role oxlip_walled')
  await enter(trx, entry.id)
  await trx('workshop').insert({ celsius: 20, humidity: 55, units: 'metric' })
  await trx('fittings').insert(fittings.map(({ id, ...body }) => ({ id, body: JSON.stringify(body) })))
  await trx('methods').insert(methods.map(({ id }) => ({ id })))
  await trx('method_versions').insert(methods.map(({ id, version, ...body }) => ({ method_id: id, version, body: JSON.stringify(body) })))
  return entry
}

/** Sets up one more workshop of a turner’s own; whoever does so, where it is somebody, owns it. */
export async function newWorkshop(owner: Knex, name: string, person: string | null): Promise<WorkshopEntry> {
  return owner.transaction(async (trx) => {
    const entry = await setUp(trx, name, 'own')
    await trx.raw('reset role')
    if (person) await trx('members').insert({ workshop_id: entry.id, person_id: person, role: 'owner' })
    return entry
  })
}

/** Gives a workshop another name. @throws NotFoundError */
export async function rename(owner: Knex, id: string, name: string): Promise<WorkshopEntry> {
  const changed: WorkshopEntry[] = await owner('workshops').where({ id }).update({ name }).returning(ENTRY)
  const [entry] = changed
  if (!entry) throw new NotFoundError('There is no such workshop.')
  return entry
}

/** What a workshop holds: each table before those it refers to. */
const HELD = [
  'members', 'pen_links', 'class_marks',
  'intake_things', 'intakes', 'supplies', 'stock_log', 'order_lines', 'orders', 'places', 'customers', 'prices',
  'evening_calendars', 'evening_hours', 'evening_pins', 'evening_plans',
  'facts', 'lessons', 'trial_pens', 'trials', 'pen_told', 'learnt_aside', 'pen_search', 'pen_rows', 'events', 'plans',
  'pens', 'classes', 'readings', 'blanks', 'photos', 'method_versions', 'methods',
  'fittings', 'bits', 'own_abrasives', 'own_products', 'shelf_items', 'air_readings', 'changes', 'workshop',
] as const

/** Deletes a workshop whole, in the transaction given: its log too, which else nothing takes away. */
export async function takeAway(trx: Knex, id: string): Promise<void> {
  await trx.raw('select set_config(\'oxlip.dropping\', ?, true)', [id])
  for (const table of HELD) await trx(table).where({ workshop_id: id }).delete()
  await trx('workshops').where({ id }).delete()
}
