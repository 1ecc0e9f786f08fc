import { randomInt } from 'node:crypto'
import type { Knex } from 'knex'
import type { Trial } from '../../contract'
import { howOften, wayAt, type Cell } from '../../core/findings'
import { newTrialSchema, type NewTrial } from '../../schemas'
import { ConflictError, FieldsError, NotFoundError } from '../faults'
import { askedSql } from './findings'
import { traitSql } from './trait-sql'

/** So many trials are shown, the latest. */
const SHOWN = 20

interface Row {
  id: string
  begun: Date
  ended: Date | null
  seed: number
  body: Omit<NewTrial, 'id'>
}

/** A pen of a trial, and how it turned out. */
interface Given {
  id: string
  mark: string
  name: string
  way: string
  place: number
  /** Whether it is over. */
  over: boolean
  made: string | null
  hit: boolean | null
}

/** The trials there are, those that go on first, then the latest. */
export async function listTrials(knex: Knex): Promise<Trial[]> {
  const rows: Row[] = await knex('trials')
    .orderByRaw('ended is not null, begun desc')
    .limit(SHOWN)
    .select('id', 'begun', 'ended', 'seed', 'body')
  const trials: Trial[] = []
  // One that is damaged is passed over, and stops none of the others.
  for (const row of rows.filter(isWhole)) trials.push(told(row, await givenOf(knex, row)))
  return trials
}

const isWhole = ({ id, body }: Row): boolean => newTrialSchema.isValidSync({ ...body, id })

async function givenOf(knex: Knex, { id, body: { of, by } }: Row): Promise<Given[]> {
  const [trait, { hit, tells }] = [traitSql(by), askedSql(of)]
  const { rows }: { rows: Given[] } = await knex.raw(
    `select pens.id, pens.mark, pens.name, given.way, given.place, told.pen_id is not null as over, told.made,
       case when told.tells then told.hit end as hit
     from trial_pens as given join pens on pens.id = given.pen_id
     left join lateral (
       select pen_id, ${trait.sql} as made, (${hit.sql}) as hit, (${tells.sql}) as tells from pen_told where pen_told.pen_id = given.pen_id
     ) as told on true
     where given.trial_id = ? order by given.place`,
    [...trait.with, ...hit.with, ...tells.with, id])
  return rows
}

/**
 * A trial as it stands. Pens are counted by the way that was drawn for them, whatever came of it: else who changes his mind would decide.
 */
function told({ id, begun, ended, seed, body: { of, by, ways, pens } }: Row, given: readonly Given[]): Trial {
  const both = [ways[0] ?? '', ways[1] ?? ''] as [string, string]
  const isFull = given.length >= 2 * pens
  const isOver = ended !== null || (isFull && given.every(one => one.over))
  const cells = both.map((value): Cell => {
    const own = given.filter(one => one.way === value && one.hit !== null)
    return { value, class: null, method: null, hits: own.filter(one => one.hit).length, of: own.length }
  })
  return {
    id, question: { of, by }, ways: both, pens, begun: begun.toISOString(), ended: ended?.toISOString() ?? null,
    next: isFull || ended ? null : wayAt(both, seed, given.length),
    given: given.map(({ id: pen, mark, name, way, made }) => ({ id: pen, mark, name, way, made })),
    answer: isOver ? howOften(cells, by) : null,
  }
}

/** Begins a trial; the same id again is the same trial. */
export async function beginTrial(knex: Knex, { id, ...body }: NewTrial): Promise<Trial[]> {
  await knex('trials').insert({ id, seed: randomInt(2 ** 31 - 1), body: JSON.stringify(body) }).onConflict(['workshop_id', 'id']).ignore()
  return listTrials(knex)
}

/**
 * Gives a pen the way that was drawn next. A pen has one way: said again it changes nothing.
 * @throws NotFoundError for a trial that is not there, FieldsError for a pen that is not there or is begun, ConflictError when all have
 * theirs
 */
export async function giveWay(knex: Knex, id: string, pen: string): Promise<Trial[]> {
  const row: Row | undefined = await knex('trials').where({ id }).forUpdate().first('id', 'begun', 'ended', 'seed', 'body')
  if (!row || !isWhole(row)) throw new NotFoundError('There is no such trial.')
  const given: { pen: string }[] = await knex('trial_pens').where({ trial_id: id }).select('pen_id as pen')
  if (given.some(one => one.pen === pen)) return listTrials(knex)
  const stage: { stage: string } | undefined = await knex('pen_rows').where({ pen_id: pen }).first('stage')
  if (!stage) throw new FieldsError({ pen: 'Choose a pen that is here.' })
  if (stage.stage !== 'planned') throw new FieldsError({ pen: 'Choose a pen that is not begun yet: the lot decides how it is made.' })
  const trial = told(row, await givenOf(knex, row))
  if (trial.next === null) throw new ConflictError('This trial takes no more pens.', null)
  await knex('trial_pens').insert({ trial_id: id, place: given.length, pen_id: pen, way: trial.next })
  return listTrials(knex)
}

/** Ends a trial before its time; saying so twice changes nothing. @throws NotFoundError */
export async function endTrial(knex: Knex, id: string): Promise<Trial[]> {
  const found = await knex('trials').where({ id }).update({ ended: knex.raw('coalesce(ended, now())') })
  if (!found) throw new NotFoundError('There is no such trial.')
  return listTrials(knex)
}
