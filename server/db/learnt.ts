import type { Knex } from 'knex'
import type { WorkshopLearnt } from '../../contract'
import { learnPress, type OwnPress } from '../../core/barrel'
import { learnHands, type OwnHands, type StepDone } from '../../core/bench'
import { learnWait, type OwnWait, type Touch } from '../../core/climate'
import { fitBuild, learnEvenness, type BuildFit, type Growth, type Levelled, type OwnEvenness } from '../../core/film'
import { learnSanding, type Learnt, type SandingObservation } from '../../core/sanding'
import type { StepKind } from '../../core/plan'
import type { SandingClass } from '../../core/shelf'
import { listAside, withoutAside } from './aside'
import { allProducts } from './own-products'
import { isFresh, keepLesson, type Lesson } from './lessons'

/** The latest answers of a class, and growths of coats, that are learnt from: hands, papers and bottles change. */
const LATEST = 200
/** The latest steps that are learnt from, about forty pens; and so many defects of each are read. */
const LATEST_STEPS = 1500
const DEFECTS_OF_A_PEN = 20

/** What coats build before anything is measured, µm, by product. */
export const usualBuilds = async (knex: Knex): Promise<Record<string, number>> =>
  Object.fromEntries((await allProducts(knex)).flatMap(product => (product.film ? [[product.id, product.film.build]] : [])))

/** A log, or as much of it as there was at a moment (ISO 8601). */
interface Log {
  knex: Knex
  until?: string | undefined
}

const upTo = (query: Knex.QueryBuilder, until: string | undefined) => {
  if (until !== undefined) query.where('at', '<=', until)
}

/** Facts of one kind, the latest of them, in the order of time; those up to a moment (ISO 8601), where one is given. */
async function latest<T>({ knex, until }: Log, kind: string, about?: string): Promise<(T & { mark: string })[]> {
  const rows: { body: T, mark: string }[] = await knex('facts')
    .join('pens', 'pens.id', 'facts.pen_id')
    .where({ kind, ...(about === undefined ? {} : { about }) })
    .modify(upTo, until)
    .orderBy([{ column: 'at', order: 'desc' }, { column: 'facts.pen_id' }, { column: 'place' }])
    .limit(LATEST)
    .select('body', 'mark')
  return rows.map(({ body, mark }) => ({ ...body, mark })).reverse()
}

/** A fact that is damaged, or of another form, teaches nothing; it stops nobody either. */
const isWhole = ({ depth, capacity, tau, notYet, before, each }: SandingObservation): boolean =>
  Array.isArray(notYet) && [depth, capacity, tau, before, each].every(Number.isFinite)

async function learnClass(log: Log, of: string): Promise<Learnt> {
  return learnSanding((await latest<SandingObservation>(log, 'sanding', of)).filter(isWhole))
}

/** What coats build; a measurement is named by its pen. */
async function learnBuilds(log: Log): Promise<BuildFit> {
  const growths = await latest<Growth>(log, 'growth')
  return fitBuild(growths.map(({ mark, ...growth }) => ({ ...growth, id: `${mark}${growth.id}` })), await usualBuilds(log.knex))
}

/** How long a product waits in this shop. */
async function learnTouches(log: Log, product: string): Promise<OwnWait> {
  return learnWait((await latest<Touch>(log, 'touch', product)).filter(({ part }) => Number.isFinite(part)))
}

/** How far short the mechanism of a fitting stops in these hands. */
async function learnPresses(log: Log, fitting: string): Promise<OwnPress> {
  return learnPress((await latest<{ left: number }>(log, 'press', fitting)).map(({ left }) => left).filter(Number.isFinite))
}

/** A step as facts tell it. */
interface StepRow {
  pen: string
  maker: string | null
  kind: StepKind
  at: Date
  body: Pick<StepDone, 'seconds' | 'planned' | 'setUp'> & { timing: string }
}

/**
 * How long hands take, from the latest steps of all pens, measured or said, those of one maker apart from those of others; a step counts as
 * mended where its pen has a defect that was found at that kind of step. Pens of a class tell nothing of the pace here: thirty who do it
 * for the first time are not the hands that an evening is planned for.
 */
async function learnSteps({ knex, until }: Log): Promise<OwnHands> {
  const rows: StepRow[]
    = await knex('facts')
      .join('pens', 'pens.id', 'facts.pen_id')
      .where({ kind: 'step', class_id: null })
      .modify(upTo, until)
      .orderBy([{ column: 'at', order: 'desc' }, { column: 'pen_id' }, { column: 'place' }])
      .limit(LATEST_STEPS)
      .select('pen_id as pen', 'maker', 'about as kind', 'at', 'body')
  // Pen by pen, so that only their own defects are read, however many there are.
  const found: { rows: { pen: string, found: string }[] } = await knex.raw(`
    select distinct pen, found from unnest(?::uuid[]) as pen cross join lateral (
      select body->>'found' as found from facts where pen_id = pen and kind = 'defect' limit ?) as one`,
  [[...new Set(rows.map(row => row.pen))], DEFECTS_OF_A_PEN])
  const mended = new Set(found.rows.map(row => `${row.pen} ${row.found}`))
  return learnHands(rows.map(({ pen, maker, kind, at, body: { seconds, planned, timing, setUp } }): StepDone => ({
    by: maker, kind, at: at.toISOString(), planned, setUp: setUp ?? null, said: timing === 'yours',
    seconds: timing === 'planned' ? NaN : seconds,
    mended: mended.has(`${pen} ${kind}`),
  })))
}

/** How even levelling and barrels are. */
async function learnLevelled(log: Log): Promise<OwnEvenness> {
  const levelled = await latest<Levelled>(log, 'levelled')
  return learnEvenness(levelled.filter(({ mean, sd, takes, wood }) => [mean, sd, takes, wood].every(Number.isFinite)))
}

/** How what was learnt is asked for. */
interface Asking {
  /** Whether it is kept for the next who asks; not while something else is written. */
  keeps: boolean
  /** Only what was known at a moment (ISO 8601) counts: then nothing is kept, and nothing that was kept is taken. */
  until?: string
}

/** Facts that something is learnt from. */
const KINDS = ['sanding', 'growth', 'touch', 'levelled', 'press', 'step']

/** What the log tells and the turner has not set aside: as it was worked out last, and anew where facts of its kind came in since. */
export async function readLearnt(knex: Knex, asking: Asking = { keeps: false }): Promise<WorkshopLearnt> {
  const aside = await listAside(knex)
  const learnt = await readAllLearnt(knex, asking)
  return aside.length ? withoutAside(learnt, new Set(aside), await usualBuilds(knex)) : learnt
}

/** The same with what was set aside. */
export async function readAllLearnt(knex: Knex, asking: Asking = { keeps: false }): Promise<WorkshopLearnt> {
  const log: Log = { knex, until: asking.until }
  const lessons: Lesson[] = await knex('lessons').whereIn('kind', KINDS).orderBy(['kind', 'about'])
  const waits: Record<string, OwnWait> = {}
  for (const lesson of lessons.filter(one => one.kind === 'touch')) {
    const learnt = await known(knex, lesson, asking, () => learnTouches(log, lesson.about))
    if (learnt.touches) waits[lesson.about] = learnt
  }
  const presses: Record<string, OwnPress> = {}
  for (const lesson of lessons.filter(one => one.kind === 'press')) {
    const learnt = await known(knex, lesson, asking, () => learnPresses(log, lesson.about))
    if (learnt.pens) presses[lesson.about] = learnt
  }
  const steps = lessons.filter(one => one.kind === 'step')
  const hands = steps.length ? await known(knex, overAll('step', steps), asking, () => learnSteps(log)) : undefined
  const levelled = lessons.find(one => one.kind === 'levelled')
  const even = levelled && await known(knex, levelled, asking, () => learnLevelled(log))
  const sanding: Partial<Record<SandingClass, Learnt>> = {}
  for (const lesson of lessons.filter(one => one.kind === 'sanding')) {
    const learnt = await known(knex, lesson, asking, () => learnClass(log, lesson.about))
    if (learnt.observations) sanding[lesson.about as SandingClass] = learnt
  }
  return {
    sanding,
    // Builds are fitted over all products at once.
    builds: await known(knex, overAll('growth', lessons.filter(one => one.kind === 'growth')), asking, () => learnBuilds(log)),
    waits,
    presses,
    ...(hands ? { hands } : {}),
    ...(even?.levellings ? { even } : {}),
  }
}

/** What is learnt over all that facts of a kind are about lies with a lesson of its own, about all of them. */
function overAll(kind: string, lessons: readonly Lesson[]): Lesson {
  const facts = lessons.reduce((sum, one) => sum + (one.about === ALL ? 0 : Number(one.facts)), 0)
  const kept = lessons.find(one => one.about === ALL)
  return { kind, about: ALL, learnt_at: null, body: null, ...kept, facts: String(facts) }
}

const ALL = '*'

/**
 * What was learnt while as many facts were known as now, else worked out anew. The facts are read after their count: what comes in
 * between makes it old again, never stale.
 */
async function known<T>(knex: Knex, lesson: Lesson, { keeps, until }: Asking, learn: () => Promise<T>): Promise<T> {
  if (until !== undefined) return learn()
  if (isFresh(lesson)) return lesson.body as T
  const learnt = await learn()
  if (keeps) await keepLesson(knex, lesson, learnt)
  return learnt
}

/** What coats took from a bottle since a moment, ml. */
export async function usedSince(knex: Knex, product: string, since: Date): Promise<number> {
  const row = await knex('facts')
    .where({ kind: 'use', about: product })
    .where('at', '>', since)
    .sum(knex.raw('(body->>\'ml\')::float8') as unknown as string)
    .first()
  return Number(row?.sum ?? 0)
}
