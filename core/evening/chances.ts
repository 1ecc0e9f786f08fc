import { normals, seedOf, uniforms } from '../chance'
import { nth, real } from '../sure'
import { followed } from './follow'
import type { Block, EveningPen, EveningProblem } from './problem'
import { taskOf, withPens, type Chain, type Task } from './task'

/** How often evenings were played, and how they went for each pen. */
export interface Chances {
  /** How many times. */
  plays: number
  /** Of each pen with a promise, in how many of them it was kept, as a part of 1. */
  kept: ReadonlyMap<string, number>
  /** Of each promised time in how many all promises for it were kept, but for those that were given up; in their order. */
  byDue: readonly DueChance[]
  /** When each pen was finished, s, the soonest first; one for each play. */
  finished: ReadonlyMap<string, readonly number[]>
}

/** How likely it is that all promises for one time are kept. */
export interface DueChance {
  /** The time, s. */
  due: number
  /** In how many plays, as a part of 1. */
  kept: number
  /** So many promises for it were given up, and do not count. */
  but: number
}

export interface ChanceOptions {
  /** How often; 1,000. */
  plays?: number
  /** Another seed plays otherwise. */
  seed?: number
  /** How much the air, alike for all of one play, stretches waits: the standard deviation of the logarithm; 0.1. */
  air?: number
  /** Pens whose promises are given up, since the plan does not keep them: those for the same time are told without them. */
  givenUp?: ReadonlySet<string>
}

/** Waits differ by so much from one spell of weather to another [model]. */
const AIR = 0.1

/**
 * Plays evenings many times in the order of a plan: the time of each piece drawn by its spread about its middle (log-normal), something
 * gone wrong at it by its chance and mended there and then, the waits stretched by the air. Hands keep to the order that was planned, but
 * do not stand by for long.
 */
export function playEvenings(problem: EveningProblem, blocks: readonly Pick<Block, 'pen'>[], options: ChanceOptions = {}): Chances {
  const { plays = 1000, seed = 1, air = AIR, givenUp = new Set<string>() } = options
  const task = taskOf({ ...problem, first: [], together: [] })
  const index = new Map(task.pens.map((pen, at) => [pen.id, at]))
  const order = blocks.flatMap(({ pen }) => index.get(pen) ?? [])
  const weather = normals(seedOf('air', seed))
  // Each pen has luck of its own, so that one more or less changes nothing in that of the others.
  const luck = problem.pens.map(({ id }): Luck =>
    ({ times: normals(seedOf(id, 'times', seed)), mends: uniforms(seedOf(id, 'mends', seed)) }))
  const finished = new Map(problem.pens.map(pen => [pen.id, [] as number[]]))
  const kept = new Map(problem.pens.flatMap(pen => (pen.due === undefined ? [] : [[pen.id, 0] as [string, number]])))
  const dues = [...new Set(problem.pens.flatMap(({ id, due }) => (givenUp.has(id) ? [] : due ?? [])))].sort((a, b) => a - b)
  const wholly = dues.map(() => 0)
  for (let play = 0; play < plays; play++) {
    const stretch = Math.exp(air * weather())
    const played = playedTask(task, problem.pens, stretch, luck)
    const course = followed(played, order, STANDS_BY).course
    const broken = new Set<number>()
    problem.pens.forEach((pen, at) => {
      const ends = real(course.ended, at) + nth(played.pens, at).after
      finished.get(pen.id)?.push(ends)
      if (pen.due === undefined) return
      if (ends <= pen.due) kept.set(pen.id, (kept.get(pen.id) ?? 0) + 1)
      else if (!givenUp.has(pen.id)) broken.add(pen.due)
    })
    dues.forEach((due, at) => {
      if (!broken.has(due)) wholly[at] = nth(wholly, at) + 1
    })
  }
  for (const times of finished.values()) times.sort((a, b) => a - b)
  return {
    plays, finished,
    kept: new Map([...kept].map(([pen, count]) => [pen, count / plays])),
    byDue: dues.map((due, at) => ({
      due, kept: nth(wholly, at) / plays, but: problem.pens.filter(pen => pen.due === due && givenUp.has(pen.id)).length,
    })),
  }
}

/** Hands stand by for so long for the piece that was planned next; for longer they go on with another, s [model]. */
const STANDS_BY = 300

/** How the work on a pen falls out: how long its pieces take, and whether something goes wrong. */
interface Luck {
  times: () => number
  mends: () => number
}

/** A task in which times are as they fell this once. */
function playedTask(task: Task, pens: readonly EveningPen[], stretch: number, luck: readonly Luck[]): Task {
  return withPens(task, task.pens.map((chain, index): Chain => {
    const { work } = nth(pens, index)
    const { times, mends } = nth(luck, index)
    return {
      ...chain,
      hands: Float64Array.from(work, ({ hands, spread = 0, mend }) =>
        hands * Math.exp(spread * times()) + (mend && mends() < mend.chance ? mend.hands : 0)),
      wait: chain.wait.map(wait => wait * stretch),
      latest: chain.latest.map(latest => latest * stretch),
      after: chain.after * stretch,
    }
  }))
}

/** How much later one piece may begin. */
export interface Slack {
  /** Of which pen. */
  pen: string
  /** Its step. */
  step: string
  /** When it begins by the plan, s. */
  begins: number
  /** When it has to begin at the latest, s. */
  by: number
}

/**
 * What endangers a promise most: of a pen’s pieces the one that may be put off the least, and by when it has to begin, all else going on as
 * hands keep to an order. Undefined for a pen without a promise, or one that the plan does not keep.
 */
export function tightest(problem: EveningProblem, blocks: readonly Block[], pen: string): Slack | undefined {
  const due = problem.pens.find(one => one.id === pen)?.due
  if (due === undefined) return undefined
  const task = taskOf({ ...problem, first: [], together: [] })
  const index = new Map(task.pens.map((one, at) => [one.id, at]))
  const own = index.get(pen)
  const order = blocks.flatMap(block => index.get(block.pen) ?? [])
  if (own === undefined) return undefined
  const endsWith = (at: number, from: number): number => {
    const pens = task.pens.map((chain, one) =>
      (one === own ? { ...chain, from: chain.from.map((before, piece) => (piece === at ? Math.max(before, from) : before)) } : chain))
    return real(followed(withPens(task, pens), order, STANDS_BY).course.ended, own) + nth(pens, own).after
  }
  let least: Slack | undefined
  blocks.filter(block => block.pen === pen).forEach(({ step, begins }, at) => {
    const known = least ? least.by - least.begins : Infinity
    // Whether it is tighter than what was found is seen at once; only then by how much is looked for.
    const isKept = endsWith(at, begins + (least ? known - SECOND : 0)) <= due
    if (isKept === (least !== undefined)) return
    let [low, high] = [begins, begins + Math.min(known, Math.max(0, due - begins))]
    while (high - low > SECOND) {
      const middle = (low + high) / 2
      if (endsWith(at, middle) <= due) low = middle
      else high = middle
    }
    least = { pen, step, begins, by: low }
  })
  return least
}
/** Worked out to the second. */
const SECOND = 1
