import type { Knex } from 'knex'
import type { FindingAnswer, FindingPens, FindingsPlace, ReadyQuestion } from '../../contract'
import {
  conditionOf, howMuch, howOften, isFigure, newestFirst, noticed, readyQuestions, surest, type Cell, type Look, type Measured,
  type Question, type StandsOut,
} from '../../core/findings'
import type { FindingPensQuery, FindingQuery } from '../../schemas'
import { isFresh, keepLesson, type Lesson } from './lessons'
import { allLooks } from './looks'
import { TOLD } from './told'
import { type Part, part, traitSql } from './trait-sql'

/** Figures are asked of so many pens, the latest. */
const LATEST = 10_000
/** So many tell whether a question put ready can be answered. */
const FEW = 2000
/** Where nobody says by which clock, hours are by that of this machine. */
const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone
/** So many pens are opened at once. */
const OPENED = 50

/** On which pens it was so, and which tell it at all. */
export function askedSql(of: string, zone = 'UTC'): { hit: Part, tells: Part } {
  switch (of) {
    case 'any defect': return { hit: part('cardinality(defects) > 0'), tells: part('true') }
    case 'failed mend': return { hit: part('failed > 0'), tells: part('mends > 0') }
    case 'scrapped': return { hit: part('scrapped'), tells: part('true') }
    case 'in time': return { hit: part('finished and (ended at time zone ?)::date <= due', zone), tells: part('due is not null') }
    default: return { hit: part('? = any (defects)', of), tells: part('true') }
  }
}

/** The pens that are asked. */
function amongSql({ among = [], zone }: Pick<FindingQuery, 'among' | 'zone'>): Part {
  const parts = among.flatMap(text => conditionOf(text) ?? []).map(({ trait, value }): Part => {
    const own = traitSql(trait, zone)
    return part(`${own.sql} = ?`, ...own.with, value)
  })
  return part(['true', ...parts.map(one => one.sql)].join(' and '), ...parts.flatMap(one => one.with))
}

/** How often, or how much, by what, among which pens. */
export async function answerFinding(knex: Knex, asked: FindingQuery): Promise<FindingAnswer> {
  const { of, by } = asked
  if (isFigure(of)) {
    const measured = await measuredOf(knex, asked)
    return { kind: 'figure', groups: howMuch(measured), pens: measured.length, latest: measured.length === LATEST ? LATEST : null }
  }
  return { kind: 'rate', ...howOften(await cellsOf(knex, asked), by) }
}

async function cellsOf(knex: Knex, { of, by, among, zone }: FindingQuery): Promise<Cell[]> {
  const [trait, { hit, tells }, which] = [traitSql(by, zone), askedSql(of, zone), amongSql({ among, zone })]
  const { rows }: { rows: Cell[] } = await knex.raw(
    `select value, class, method, count(*)::int as of, (count(*) filter (where hit))::int as hits
     from (select ${trait.sql} as value, class, method, (${hit.sql}) as hit from pen_told where ${tells.sql} and ${which.sql}) as pens
     where value is not null group by 1, 2, 3`,
    [...trait.with, ...hit.with, ...tells.with, ...which.with])
  return rows
}

async function measuredOf(knex: Knex, { of, by, among, zone }: FindingQuery, most = LATEST): Promise<Measured[]> {
  const [trait, which] = [traitSql(by, zone), amongSql({ among, zone })]
  const { rows }: { rows: Measured[] } = await knex.raw(
    `select value, figure from (
       select ${trait.sql} as value, (figures->>?)::float8 as figure, ended, pen_id from pen_told
       where jsonb_typeof(figures->?) = 'number' and ${which.sql}
     ) as pens where value is not null order by ended desc, pen_id limit ?`,
    [...trait.with, of, of, ...which.with, most])
  return rows
}

/** The pens behind a number: those of a value, on which it was so or not, the latest first. */
export async function pensOfFinding(knex: Knex, asked: FindingPensQuery): Promise<FindingPens> {
  const { of, by, is, so, zone } = asked
  const [trait, which] = [traitSql(by, zone), amongSql(asked)]
  const figure = isFigure(of)
  const { hit, tells } = figure ? { hit: part('true'), tells: part('jsonb_typeof(figures->?) = \'number\'', of) } : askedSql(of, zone)
  const told = so === undefined ? part('true') : part(`(${hit.sql}) = ?`, ...hit.with, so === 'yes')
  const { rows }: { rows: (FindingPens['pens'][number] & { all: number })[] } = await knex.raw(
    `select id, mark, name, told.* from (
       select pen_id, ended, (${hit.sql}) as "isSo", ${figure ? '(figures->>?)::float8' : 'null::float8'} as figure,
         count(*) over ()::int as "all"
       from pen_told where (${tells.sql}) and ${which.sql} and ${trait.sql} = ? and ${told.sql}
       order by ended desc, pen_id limit ?
     ) as told join pens on pens.id = told.pen_id order by ended desc, pen_id`,
    [...hit.with, ...(figure ? [of] : []), ...tells.with, ...which.with, ...trait.with, is, ...told.with, OPENED])
  const pens = rows.map(({ id, mark, name, ended, isSo, figure: much }) =>
    ({ id, mark, name, ended: new Date(ended).toISOString(), isSo, figure: much }))
  return { all: rows[0]?.all ?? 0, pens }
}

/** What the place begins with, and whether it is to be worked out anew soon. */
interface Place {
  place: FindingsPlace
  isOld: boolean
}

/**
 * What the place begins with: what stands out, and which of the ready questions the log can answer. Of very many pens what was worked out
 * last is told, and that it is old, or that they are being counted: nobody waits for all of them.
 */
export async function findingsPlace(knex: Knex): Promise<Place> {
  const lesson = await placeLesson(knex)
  const known = lesson.body as FindingsPlace | null
  if (known && (isFresh(lesson) || isNearlyFresh(lesson))) return { place: known, isOld: false }
  if (known && known.pens >= MANY) return { place: known, isOld: true }
  const pens = known ? 0 : Number((await knex('pen_told').count('* as count').first())?.count)
  if (pens >= MANY) return { place: counting(pens), isOld: true }
  return { place: await workOutPlace(knex, lesson), isOld: false }
}

/** What is told while very many pens are counted for the first time: every question can be asked already. */
const counting = (pens: number): FindingsPlace => ({
  pens, noticed: [], often: {}, values: {}, isCounting: true,
  ready: readyQuestions.map(question => ({ ...question, sureness: null, more: null })),
})

/** Counting more pens than this is waited for [model: about a tenth of a second]. */
const MANY = 2000

const placeLesson = async (knex: Knex): Promise<Lesson> =>
  (await knex('lessons').where(TOLD).first()) ?? { ...TOLD, facts: '0', learnt_at: null, body: null }

/** Works out what the place begins with, and keeps it. */
export async function workOutPlace(knex: Knex, known?: Lesson): Promise<FindingsPlace> {
  const lesson = known ?? await placeLesson(knex)
  const place = await workedOut(knex, (lesson.body as FindingsPlace | null)?.noticed ?? [])
  await keepLesson(knex, lesson, place)
  return place
}

/** Of very many pens one more in a hundred changes nothing that one would see, and it is not worked out anew for each of them. */
function isNearlyFresh({ facts, learnt_at: at, body }: Lesson): boolean {
  const known = body as FindingsPlace | null
  return known !== null && at !== null && Number(facts) - Number(at) <= known.pens * NEARLY
}
/** So many pens more or otherwise, as a part of all [model]. */
const NEARLY = 0.01

async function workedOut(knex: Knex, before: readonly StandsOut[]): Promise<FindingsPlace> {
  const { pens, often, looks, values } = await allLooks(knex, HERE)
  const ready: ReadyQuestion[] = []
  for (const question of readyQuestions) ready.push(await readied(knex, question, looks))
  const standing = newestFirst(noticed(looks), before, new Date().toISOString())
  return { pens, often, values, isCounting: false, noticed: standing, ready: ready.sort((a, b) => rank(a) - rank(b)) }
}

/** Those that the log can answer first, then those that need the fewest pens more, then the rest. */
const rank = ({ sureness, more }: ReadyQuestion): number =>
  sureness === 'sure' ? -2 : sureness === 'likely' ? -1 : more ?? Infinity

/** How far a question can be answered, from what was counted already where it was. */
async function readied(knex: Knex, question: Question, looks: readonly Look[]): Promise<ReadyQuestion> {
  const asked = { ...question, zone: HERE }
  if (isFigure(question.of)) {
    const groups = howMuch(await measuredOf(knex, asked, FEW))
    const order = ['sure', 'likely', 'not yet'] as const
    const known = groups.length > 1 ? order.find(one => groups.some(group => group.sureness === one)) : undefined
    return { ...question, sureness: known ?? null, more: leastMore(groups) }
  }
  const look = looks.find(one => one.of === question.of && one.trait === question.by)
  const answer = howOften(look?.cells ?? await cellsOf(knex, asked), question.by)
  return { ...question, sureness: surest(answer)?.sureness ?? null, more: leastMore(answer.differences) }
}

function leastMore(all: readonly { more: number | undefined }[]): number | null {
  const known = all.flatMap(one => one.more ?? [])
  return known.length ? Math.min(...known) : null
}
