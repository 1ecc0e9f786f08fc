import { nth, num, real, whole } from '../sure'
import { beginning, beginsAt, changeFor, costsOf, crewFor, isOpen, readyAt, take, type Course } from './course'
import type { Way } from './exact'
import { Likeness } from './likeness'
import { onlyThese, type Task } from './task'

/** What an order goes by that comes from ranks: of the pens that are ready the one with the least rank is taken up. */
export interface Ranking {
  /** The rank of each stretch of the pens’ work, as `stretchesOf` numbers them; the least one before all others, equal ones in one go. */
  ranks: Float64Array
  /** So long is stood by for a pen of better rank, s. */
  patience: number
  /** By so many ranks one goes ahead that needs nothing changed. */
  like: number
  /** By so many ranks one goes ahead whose next wait outlasts the evening. */
  night: number
}

/** The pens’ work in stretches: what is done between two waits in which hands turn to something else. */
export interface Stretches {
  /** How many pens there are. */
  count: number
  /** Of each piece, by the columns of the task, its stretch. */
  of: Int32Array
  /** Of each stretch its pen. */
  pens: readonly number[]
  /** Of each pen its stretches, the first one first. */
  byPen: readonly (readonly number[])[]
  /** How much the pens need the same. */
  likeness: Likeness
  /** The pens that are promised. */
  promised: readonly number[]
  /** Of each piece whether nothing of its pen is left for this evening after it: 1, else 0. */
  isLast: Int32Array
  /** Whether any piece has a latest time. */
  isBound: boolean
}

/** A wait in which hands turn to something else, s. */
const PARTS = 1800
/** A wait that outlasts an evening, s. */
const LONG = 2 * 3600
/** So near to its latest time a piece comes before all else, s. */
const URGENT = 1800

export function stretchesOf({ pens, columns }: Task): Stretches {
  const of = new Int32Array(columns.hands.length)
  const isLast = new Int32Array(of.length)
  const found: number[] = []
  pens.forEach((_, pen) => {
    const [first, end] = [whole(columns.first, pen), whole(columns.first, pen + 1)]
    for (let piece = first; piece < end; piece++) {
      if (piece === first || real(columns.wait, piece) > PARTS) found.push(pen)
      of[piece] = found.length - 1
      isLast[piece] = Number(piece + 1 === end || real(columns.wait, piece + 1) > LONG)
    }
  })
  const promised = pens.flatMap(({ due }, pen) => (due < Infinity ? [pen] : []))
  const byPen: number[][] = pens.map(() => [])
  found.forEach((pen, stretch) => nth(byPen, pen).push(stretch))
  const likeness = new Likeness(pens)
  return { count: pens.length, of, pens: found, byPen, likeness, promised, isLast, isBound: columns.latest.some(one => one < Infinity) }
}

/** The pens that have work left, by the ranks of what is next on them. */
class Line {
  /** The pens, the one of least rank first. */
  readonly pens: number[]
  /** For each pen the rank of what is next on it, and when that is ready for hands, s. */
  readonly rank: Float64Array
  readonly ready: Float64Array

  constructor(
    private readonly task: Task, private readonly course: Course, private readonly stretches: Stretches,
    private readonly ranks: Float64Array,
  ) {
    this.rank = new Float64Array(task.pens.length)
    this.ready = new Float64Array(task.pens.length)
    this.pens = task.pens.flatMap((_, pen) => (isOpen(task, course, pen) ? [pen] : []))
    for (const pen of this.pens) this.look(pen)
    this.pens.sort((a, b) => real(this.rank, a) - real(this.rank, b) || a - b)
  }

  pieceOf(pen: number): number {
    return whole(this.task.columns.first, pen) + whole(this.course.at, pen)
  }

  /** Brings a pen to its place after one of its pieces was done. */
  moveOn(pen: number): void {
    const { pens } = this
    const before = real(this.rank, pen)
    const isLeft = isOpen(this.task, this.course, pen)
    if (isLeft) this.look(pen)
    const rank = real(this.rank, pen)
    if (isLeft && rank === before) return
    pens.splice(pens.indexOf(pen), 1)
    if (!isLeft) return
    let place = 0
    while (place < pens.length && real(this.rank, num(pens, place)) <= rank) place++
    pens.splice(place, 0, pen)
  }

  private look(pen: number): void {
    this.rank[pen] = real(this.ranks, whole(this.stretches.of, this.pieceOf(pen)))
    this.ready[pen] = readyAt(this.task, this.course, pen)
  }
}

/** The order of a ranking, and what it comes to. */
export function byRanks(task: Task, stretches: Stretches, ranking: Ranking): Way {
  const course = beginning(task)
  const line = new Line(task, course, stretches, ranking.ranks)
  const order: number[] = []
  while (line.pens.length) {
    const pen = nextOf(task, course, stretches, line, ranking)
    take(task, course, pen)
    order.push(pen)
    line.moveOn(pen)
  }
  return { order, costs: costsOf(course) }
}

/** Which pen is taken up next: of those that hands can turn to by now the one with the least rank; if there is none, the soonest. */
function nextOf(task: Task, course: Course, { isLast, isBound }: Stretches, line: Line, { patience, like, night }: Ranking): number {
  const { pens } = line
  const only = onlyThese(task, course.at)
  const soon = freeAt(course) + patience
  let [chosen, best] = [-1, Infinity]
  for (let place = 0; place < pens.length; place++) {
    const pen = num(pens, place)
    const rank = real(line.rank, pen)
    // Nobody after this one can come before what was chosen, but what is near to its latest time.
    if (!isBound && rank - like - night >= best) break
    if (only && !only.includes(pen)) continue
    const crew = crewFor(task, course, pen)
    const change = changeFor(task, course, pen, crew)
    if (real(line.ready, pen) - change > soon) continue
    const piece = line.pieceOf(pen)
    const by = real(task.columns.latest, piece)
    const score = rank - (change === 0 ? like : 0) - (whole(isLast, piece) ? night : 0)
    if (score >= best && by === Infinity) continue
    const begins = beginsAt(task, course, pen, crew, change)
    if (begins - change > soon) continue
    if (by < Infinity && real(course.ended, pen) + by - begins < URGENT) return pen
    if (score < best) [chosen, best] = [pen, score]
  }
  return chosen < 0 ? soonestOf(task, course, line, only) : chosen
}

/** When the first pair of hands is free, s. */
function freeAt({ now }: Course): number {
  let least = real(now, 0)
  for (let crew = 1; crew < now.length; crew++) least = Math.min(least, real(now, crew))
  return least
}

/** The pen that hands can turn to first. */
function soonestOf(task: Task, course: Course, { pens, ready }: Line, only: readonly number[] | null): number {
  let [soon, soonest] = [-1, Infinity]
  for (const pen of pens) {
    if (only && !only.includes(pen)) continue
    if (real(ready, pen) > soonest) continue
    const crew = crewFor(task, course, pen)
    const change = changeFor(task, course, pen, crew)
    const turns = beginsAt(task, course, pen, crew, change) - change
    if (turns < soonest) [soon, soonest] = [pen, turns]
  }
  return soon
}
