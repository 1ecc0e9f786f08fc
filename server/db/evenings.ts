import { randomBytes } from 'node:crypto'
import type { Knex } from 'knex'
import type { DayHours, EveningsKept, KeptEvening } from '../../contract'
import type { HoursChange, KeptPlan, Pin } from '../../schemas'
import { FieldsError, NotFoundError } from '../faults'
import { logsOf } from './log'
import { plansOf } from './plans'
import { plannedFirst } from './rows'

/** So many planned pens are in the evenings; the rest is told. */
const MOST_PLANNED = 40
/** So many evenings that were are compared. */
const MOST_PAST = 14
/** More wishes than this nobody has in mind. */
const MOST_PINS = 500

/** What evenings are planned from, beside the pens in work. */
export async function readEvenings(knex: Knex): Promise<EveningsKept> {
  const { pens, all } = await plannedFirst(knex, MOST_PLANNED)
  const ids = pens.map(pen => pen.id)
  const [plans, logs] = [await plansOf(knex, ids), await logsOf(knex, ids)]
  return {
    hours: await listHours(knex),
    pins: await listPins(knex),
    planned: pens.map(pen => ({ pen, plan: plans.get(pen.id) ?? null, events: logs.get(pen.id) ?? [] })),
    more: all - pens.length,
    past: await pastEvenings(knex),
    shown: ((await latestPlan(knex))?.blocks ?? []).map(({ pen, step }) => ({ pen, step })),
    calendar: await secretOf(knex),
  }
}

/** When hands are there, as far as anybody said. */
export const listHours = (knex: Knex): Promise<DayHours[]> => knex('evening_hours').orderBy(['who', 'day']).select('who', 'day', 'spans')

/** Says when hands are there on a day, or that it is as usual again. */
export async function changeHours(knex: Knex, { who, day, spans }: HoursChange): Promise<DayHours[]> {
  if (spans) {
    await knex('evening_hours').insert({ who, day, spans: JSON.stringify(spans) }).onConflict(['workshop_id', 'who', 'day']).merge()
  } else await knex('evening_hours').where({ who, day }).delete()
  return listHours(knex)
}

const listPins = async (knex: Knex): Promise<Pin[]> => {
  const rows: { id: string, pen: string, body: Omit<Pin, 'id' | 'pen'> }[]
    = await knex('evening_pins').orderBy('id').select('id', 'pen_id as pen', 'body')
  return rows.map(({ id, pen, body }) => ({ ...body, id, pen }))
}

/** Keeps a wish; the same id again is the same wish changed. @throws FieldsError for a pen that is not there */
export async function putPin(knex: Knex, { id, pen, ...body }: Pin): Promise<Pin[]> {
  if (!await knex('pens').where({ id: pen }).first('id'))
    throw new FieldsError({ pen: 'Choose a pen that is here.' })
  const { count } = (await knex('evening_pins').whereNot({ id }).count('* as count').first()) ?? { count: 0 }
  if (Number(count) >= MOST_PINS) throw new FieldsError({ id: 'There are too many wishes: take some back first.' })
  const row = { id, pen_id: pen, body: JSON.stringify(body) }
  await knex('evening_pins').insert(row).onConflict(['workshop_id', 'id']).merge()
  return listPins(knex)
}

/** Takes a wish back; saying so twice changes nothing. */
export async function dropPin(knex: Knex, id: string): Promise<Pin[]> {
  await knex('evening_pins').where({ id }).delete()
  return listPins(knex)
}

/** Keeps what an evening is to be: as it was planned first on its day, and as it is planned now. */
export async function keepPlan(knex: Knex, plan: KeptPlan): Promise<void> {
  const body = JSON.stringify(plan)
  const row = { day: plan.day, first: body, latest: body }
  await knex('evening_plans').insert(row).onConflict(['workshop_id', 'day']).merge({ latest: body })
}

async function pastEvenings(knex: Knex): Promise<KeptEvening[]> {
  return knex('evening_plans').orderBy('day', 'desc').limit(MOST_PAST).select(knex.raw('to_char(day, \'YYYY-MM-DD\') as day'), 'first')
}

/** Evenings as they were planned last; undefined where they never were. */
export async function latestPlan(knex: Knex): Promise<KeptPlan | undefined> {
  const row: { latest: KeptPlan } | undefined = await knex('evening_plans').orderBy('day', 'desc').first('latest')
  return row?.latest
}

async function secretOf(knex: Knex): Promise<string | null> {
  const row: { secret: string } | undefined = await knex('evening_calendars').first('secret')
  return row?.secret ?? null
}

/** A new secret address for the calendar; the one before is none any more. */
export async function newSecret(knex: Knex): Promise<string> {
  const secret = randomBytes(24).toString('base64url')
  await knex('evening_calendars').insert({ secret }).onConflict(['workshop_id']).merge()
  return secret
}

/** Takes the address away. */
export async function dropSecret(knex: Knex): Promise<void> {
  await knex('evening_calendars').delete()
}

/** The workshop whose calendar a secret opens, asked before the wall. @throws NotFoundError */
export async function workshopBySecret(owner: Knex, secret: string): Promise<string> {
  const row: { workshop: string } | undefined = await owner('evening_calendars').where({ secret }).first('workshop_id as workshop')
  if (!row) throw new NotFoundError('There is no calendar under this address.')
  return row.workshop
}
