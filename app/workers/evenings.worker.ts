import {
  firstUp, playEvenings, planEvenings, planning, strideFor, tightest, type DueChance, type EveningProblem, type Evenings, type Slack,
} from '#core/evening'
import type { AskedEvenings, ToldEvenings } from '../utils/evening-talk'
import { readyTimes } from '../utils/evening-words'

/** So long it goes on bettering before it rests, ms, in brief, usually and where the turner asked for more. */
const BRIEF = 500
const THINKS = 6000
const LONGER = 60_000
/** So long between two looks at what was asked meanwhile, ms. */
const SLICE = 120
/**
 * For a question on the side: small, so that many can be asked; more where nothing is played. It goes on from what is shown, which was
 * looked for much longer: what it costs would else be mostly that.
 */
const ASIDE = { changes: 250, most: 0, enough: 0 }
const ASIDE_ALONE = { ...ASIDE, changes: 1000 }
/** So often an evening on the side is played. */
const PLAYS = 300
/** A first answer is told after so long, ms. */
const SOON = 60
/** An order that saves less of hands is not looked for, s. */
const WITHIN = 300
/** What follows one another more quickly is planned once, ms. */
const GATHERS = 30

/** Plans evenings away from the page: a first answer at once, then better ones, and what can be said of chances once it rests. */
let current = 0
/** No more is looked for of this one. */
let stopped = 0
const tell = (message: ToldEvenings) => self.postMessage(message)

self.onmessage = ({ data }: MessageEvent<AskedEvenings>) => {
  if (data.kind === 'aside') {
    const { number, problem, plays, shown } = data
    const plan = planEvenings(problem, { ...(plays ? ASIDE : ASIDE_ALONE), ...(shown.length ? { shown } : {}) })
    tell({ kind: 'aside', number, plan, finished: plays ? finishedIn(problem, plan, PLAYS) : [] })
    return
  }
  if (data.kind === 'stop') {
    stopped = data.number
    return
  }
  current = data.number
  setTimeout(() => {
    if (data.number === current) void better(data)
  }, GATHERS)
}

async function better({ number, problem, brief, shown, enough, longer }: Extract<AskedEvenings, { kind: 'plan' }>) {
  const began = performance.now()
  const thinks = longer ? LONGER : brief ? BRIEF : THINKS
  const found = (plan: Evenings, rests: boolean): ToldEvenings => {
    const gone = rests ? 1 : Math.min(1, (performance.now() - began) / thinks)
    return { kind: 'plan', number, plan, rests, gone, first: brief ? firstUp(problem, plan.blocks) : undefined }
  }
  let plan: Evenings | undefined
  // What was shown is told at once, as far as it is still to be done: that is quick, rankings are not.
  let told = shown ? -Infinity : began - SLICE + SOON
  for (const next of planning(problem, { ...strideFor(problem), within: WITHIN, seed: number, enough, ...(shown ? { shown } : {}) })) {
    const now = performance.now()
    plan = next
    if (now - told > SLICE) {
      tell(found(plan, false))
      await pause()
      if (number !== current) return
      told = performance.now()
    }
    if (plan.proven || number === stopped || now - began > thinks) break
  }
  if (!plan) return
  tell(found(plan, true))
  if (brief) return
  const promised = problem.pens.filter(pen => pen.due !== undefined)
  const kept = new Map<string, number>(promised.map(pen => [pen.id, 0]))
  const byDue = new Map<number, DueChance>()
  const ready = readyTimes(problem, plan)
  const givenUp = new Set(promised.flatMap(({ id, due = Infinity }) => ((ready.get(id) ?? Infinity) > due ? [id] : [])))
  for (let part = 0; part < PARTS && promised.length; part++) {
    const played = playEvenings(problem, plan.blocks, { plays: 1000 / PARTS, seed: part + 1, givenUp })
    for (const [pen, chance] of played.kept) kept.set(pen, (kept.get(pen) ?? 0) + chance / PARTS)
    for (const one of played.byDue) byDue.set(one.due, { ...one, kept: (byDue.get(one.due)?.kept ?? 0) + one.kept / PARTS })
    await pause()
    if (number !== current) return
  }
  // What is hardly kept has nothing that could still be late, what is as good as sure is in no danger; of the others those in most.
  const endangered = [...kept].filter(([, chance]) => chance > 0.01 && chance < 0.95).sort(([, a], [, b]) => a - b).slice(0, ENDANGERED)
  const tight: Slack[] = []
  for (const [pen] of endangered) {
    const found = tightest(problem, plan.blocks, pen)
    if (found) tight.push(found)
    await pause()
    if (number !== current) return
  }
  tell({ kind: 'chances', number, byDue: [...byDue.values()], tight })
}

/** A thousand plays are made in so many parts, and so many promises are looked at for what endangers them. */
const PARTS = 20
const ENDANGERED = 3
/** Lets in what was asked meanwhile. */
const pause = () => new Promise(resolve => setTimeout(resolve, 0))

/** By when each pen is finished nine times in ten, s. */
const finishedIn = (problem: EveningProblem, { blocks }: Evenings, plays: number): [string, number][] =>
  [...playEvenings(problem, blocks, { plays }).finished].map(([pen, all]) => [pen, nineIn(all)])

/** The time that nine in ten stay within. */
const nineIn = (times: readonly number[]): number => times[Math.ceil(0.9 * times.length) - 1] ?? 0
