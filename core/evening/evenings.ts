import { uniforms } from '../chance'
import { must } from '../sure'
import { beginning, blocksOf, costsOf } from './course'
import { followed } from './follow'
import { searching, type Way } from './exact'
import { compareCosts, usuallyWanted, SAME, type Block, type Costs, type EveningProblem, type Goal } from './problem'
import { costsOfOrder } from './kept'
import { bestRanking, firstRankings } from './rankings'
import { stretchesOf } from './ranks'
import { bettered } from './search'
import { beforeHands, leastStanding } from './standing-bound'
import { leastOf } from './strong-bound'
import { taskOf, type Task } from './task'

export interface EveningOptions {
  /** What is wanted, the first before all others; as usually where it is not said. */
  wanted?: readonly Goal[]
  /** How often an order is changed to better it; 2,000. */
  changes?: number
  /** Courses looked at to prove that none is better; 20,000. */
  most?: number
  /** Courses looked at between two changes of the search; 4,000. */
  courses?: number
  /** Another seed tries other orders. */
  seed?: number
  /** The order that was shown last, as its pieces lay; it is kept unless another is better by more than `enough`. */
  shown?: readonly Pick<Block, 'pen' | 'step'>[]
  /** So much sooner pens have to be finished in all for another order to be shown, s; 600. */
  enough?: number
  /** An order that only saves hands less than this, s, is not looked for; 0. */
  within?: number
}

/** What to do in the coming evenings. */
export interface Evenings {
  /** Piece by piece, as hands go. */
  blocks: Block[]
  /** What that comes to. */
  costs: Costs
  /** No order comes to less than this, goal by goal. */
  least: Costs
  /** Whether it is known that no order is better, but for `within`. */
  proven: boolean
  /** By so much another could be better in what counts in seconds, s; 0: by nothing at all. */
  within: number
  /** Whether the order is the one that was shown before, as far as it was still to be done. */
  kept: boolean
}

/**
 * The order in which pieces of work on several pens are taken up in the hours of one pair of hands or more: no latest time missed before
 * all else, then the turner’s own wishes, promises kept, pens finished early, and little time without work. Proven by branch and bound
 * where that comes to an end, else the best of a search, with the least that any order could come to. Only orders are looked at in which
 * every piece is taken up as soon as it can be. Where that could be wrong, since a latest time may ask for waiting, it is proven that no
 * order is better even without those times; with a helper only an order that meets the bound is proven.
 * @throws RangeError for hours or times that are none
 */
export function planEvenings(problem: EveningProblem, options: EveningOptions = {}): Evenings {
  const { changes = 2000 } = options
  let last: Evenings | undefined
  const { most = MOST, courses = COURSES } = options
  const every = Math.max(1, changes)
  // With nothing to be bettered what was shown is the answer.
  let rounds = Math.max(changes > 0 ? 1 : 0, Math.ceil(most / courses)) + (options.shown && changes > 0 ? 1 : 0)
  for (const plan of planning(problem, { ...options, every })) {
    last = plan
    // The first answer comes before any change was tried.
    if (plan.proven || rounds-- === 0) return plan
  }
  return must(last, 'a plan is always answered')
}

/**
 * The same, bettered for as long as one goes on asking: the first answer at once, then one after every so many changes (`every`), the
 * last when it is known that none is better.
 */
export function* planning(problem: EveningProblem, options: EveningOptions & { every?: number } = {}): Generator<Evenings, undefined> {
  const { wanted = usuallyWanted, most = MOST, courses = COURSES, seed = 1, every = 500, shown } = options
  const { enough = ENOUGH, within = 0 } = options
  const task = taskOf(problem)
  const least = leastOf(task)
  const before = shown && wayOf(task, shown)
  const leastAsGood = standingOf(task, least, wanted)
  const meetsBound = (costs: Costs) => compareCosts(costs, leastAsGood(costs), wanted) <= 0
  const answer = (way: Way, isBest: boolean): Evenings => {
    const isKept = before !== undefined && isAsGood(before.costs, way.costs, wanted, enough)
    const { order, costs } = isKept ? before : way
    const meets = meetsBound(costs)
    const isSame = compareCosts(costs, way.costs, wanted) <= 0
    const proven = meets || isBest
    return {
      blocks: blocksOf(task, order), costs, least: leastAsGood(costs), kept: isKept, proven,
      within: meets || !proven ? 0 : isSame ? within : enough + within,
    }
  }
  // What was shown answers at once; rankings come next.
  if (before) yield answer(before, false)
  const stretches = stretchesOf(task)
  const first = must(bestRanking(task, stretches, firstRankings(task, stretches), wanted), 'there are rankings to begin with')
  let best = [...(before ? [before, ...keptTo(task, before.order)] : []), first.way]
    .reduce((least, one) => (compareCosts(one.costs, least.costs, wanted) < 0 ? one : least))
  yield answer(best, false)
  if (meetsBound(best.costs)) return
  const free = withoutLatest(problem)
  const search = searching(free ? taskOf(free) : task, best, wanted, courses, within)
  /** What the proof has found, if it is better with its latest times too. */
  const withLatest = (found: Way): Way => {
    const costs = free ? costsOfOrder(task, found.order) : found.costs
    return costs && compareCosts(costs, best.costs, wanted) < 0 ? { order: found.order, costs } : best
  }
  let looked = 0
  const chance = uniforms(seed)
  const bettering = bettered({ task, stretches, wanted, least, chance }, { ...first, way: best }, every)
  for (let better = bettering.next(best); better.value; better = bettering.next(best)) {
    best = better.value
    // The proof goes on beside the search, each helped by what the other found.
    const proof = looked < most ? search.next(best).value : undefined
    looked += courses
    if (proof) best = withLatest(proof.best)
    if (proof?.whole) {
      yield answer(best, task.crews.length === 1 && compareCosts(best.costs, proof.best.costs, wanted) <= 0)
      return
    }
    yield answer(best, false)
    if (meetsBound(best.costs)) return
  }
  yield answer(best, task.crews.length === 1 && !free)
}

/**
 * The least that those orders come to which are as good as one in all that goes before hands: to have pens finished as soon, something may
 * have to be stood about for. Asked again and again for the same times.
 */
function standingOf(task: Task, least: Costs, wanted: readonly Goal[]): (costs: Costs) => Costs {
  const before = beforeHands(wanted)
  if (!before) return () => least
  let known: { finished: number, least: Costs } | undefined
  return (costs) => {
    if (compareCosts(costs, least, before) !== 0) return least
    if (known?.finished !== costs.finished) {
      const hands = Math.max(least.hands, leastStanding(task, beginning(task), costs.finished))
      known = { finished: costs.finished, least: { ...least, hands } }
    }
    return known.least
  }
}

/** How far planning goes from one answer to the next. */
export interface Stride {
  /** How often an order is changed. */
  every: number
  /** Courses looked at to prove that none is better. */
  courses: number
  /** Courses looked at in all. */
  most: number
}

/** With so few stands of all pens, one with another, a proof is within reach. */
const FEW = 1e6

/**
 * How far to go in steps of a moment: where the pens have few stands the time goes into the proof, else into the search, since a proof
 * would come to nothing.
 */
export function strideFor({ pens }: EveningProblem): Stride {
  const stands = pens.reduce((product, { work }) => product * (work.length + 1), 1)
  return stands < FEW ? { every: 100, courses: 200, most: 10_000_000 } : { every: 40, courses: 2, most: 100_000 }
}

/** The same without latest times; undefined where there are none. */
function withoutLatest(problem: EveningProblem): EveningProblem | undefined {
  if (problem.pens.every(({ work }) => work.every(one => one.latest === undefined))) return undefined
  return { ...problem, pens: problem.pens.map(pen => ({ ...pen, work: pen.work.map(({ latest: _, ...one }) => one) })) }
}

/** Courses looked at in all, and between two changes of the search, where nothing else is said. */
const COURSES = 4000
const MOST = 20_000

/** Pens have to be finished so much sooner in all for another order to be shown, s: below that turners would rather not be moved about. */
const ENOUGH = 600

/** An order that was shown before, as far as it is still to be done; what is new comes last. Undefined where a wish bars it. */
export function wayOf(task: Task, shown: readonly Pick<Block, 'pen' | 'step'>[]): Way | undefined {
  const index = new Map(task.pens.map((pen, at) => [pen.id, at]))
  const left = task.pens.map(pen => pen.count)
  const order: number[] = []
  for (const { pen, step } of shown) {
    const at = index.get(pen)
    if (at === undefined || !task.steps[at]?.includes(step) || !left[at]) continue
    left[at] -= 1
    order.push(at)
  }
  left.forEach((count, pen) => order.push(...Array.from({ length: count }, () => pen)))
  const costs = costsOfOrder(task, order)
  return costs && { order, costs }
}

/** So long, s, is stood by where an order that was shown is kept to while something else is another than it was. */
const STAND_BY = [0, 60, 300]
/** What comes of an order where one whose wait goes on lets others pass: it was made for other hours, or before a wish. */
const keptTo = (task: Task, order: readonly number[]): Way[] =>
  STAND_BY.map(seconds => followed(task, order, seconds)).map(({ order: done, course }) => ({ order: done, costs: costsOf(course) }))

/** Whether one is as good as another but for a little in what is counted in seconds. */
function isAsGood(one: Costs, other: Costs, wanted: readonly Goal[], enough: number): boolean {
  for (const goal of wanted) {
    const worse = one[goal] - other[goal]
    if (worse < -SAME) return true
    if (worse > (goal === 'missed' || goal === 'pinned' || goal === 'late' ? SAME : enough)) return false
  }
  return true
}
