/** What is still to do on one pen tonight: pieces of work in their order, each with the wait before it. Times in s. */
export interface Job {
  pen: string
  /** Hands-on pieces; `wait` runs by itself before it, counted from the piece before (of the first: from now). */
  pieces: readonly Piece[]
}

export interface Piece {
  wait: number
  handsOn: number
  /** By when it must have begun, from the end of the piece before (of the first: from now). */
  latest?: number
}

/** Why a pen comes next. */
export type Why
  = | { kind: 'only' }
    | { kind: 'last hand' }
    | { kind: 'must', within: number }
    | { kind: 'short work, long wait', work: number, wait: number, saves: number }
    | { kind: 'soon', in: number, saves: number }
    | { kind: 'as good as any' }

export interface NextPen {
  pen: string
  /** When it can be begun, s from now: 0 unless it is better to stand by for its wait to end. */
  in: number
  why: Why
  /** All pens in the order they would be taken up. */
  order: string[]
}

/** A pen that stands past its latest time counts this many times over [model]. */
const PAST_LATEST = 10
/** A difference smaller than this, pen-seconds, is none. */
const ALIKE = 5

/**
 * Which pen to take up next, so that the fewest waits stand idle: of every pen that could come next the rest of the evening is played through, and the one that leaves pens standing the least (pen-seconds in
 * which a pen is ready and nobody works on it, though a wait could be running) is taken. Work is given up only between pieces. Undefined when nothing is left to do.
 */
export function nextPen(jobs: readonly Job[]): NextPen | undefined {
  const open = jobs.filter(job => job.pieces.length)
  const plays = open.map(job => ({ job, ...play(open, job.pen) }))
  const best = plays.sort((a, b) => a.standing - b.standing || stretch(a.job.pieces).work - stretch(b.job.pieces).work || (a.job.pen < b.job.pen ? -1 : 1))[0]
  if (!best) return undefined
  // What it saves is told against the next best of those that could be begun now.
  const other = plays.slice(1).find(one => one.job.pieces[0]!.wait <= 0)
  const saves = other ? other.standing - best.standing : 0
  const first = best.job.pieces[0]!
  const { work, wait } = stretch(best.job.pieces)
  const why = ((): Why => {
    if (first.latest !== undefined && first.wait <= 0) return { kind: 'must', within: Math.max(0, first.latest) }
    if (open.length === 1) return { kind: 'only' }
    if (first.wait > 0) return { kind: 'soon', in: first.wait, saves }
    if (wait > 0 && saves >= ALIKE) return { kind: 'short work, long wait', work, wait, saves }
    if (wait <= 0) return { kind: 'last hand' }
    return { kind: 'as good as any' }
  })()
  return { pen: best.job.pen, in: Math.max(0, first.wait), why, order: best.order }
}

/** The work up to the next wait, and that wait; 0 when none follows. */
function stretch(pieces: readonly Piece[]): { work: number, wait: number } {
  const next = pieces.findIndex((piece, index) => index > 0 && piece.wait > 0)
  const work = (next < 0 ? pieces : pieces.slice(0, next)).reduce((sum, piece) => sum + piece.handsOn, 0)
  return { work, wait: next < 0 ? 0 : pieces[next]!.wait }
}

/** How far ahead an evening is played through, pieces of each pen, and how many courses of it are followed at a time [model]. */
const AHEAD = 12
const COURSES = 16

/** One course of the evening so far: what is done, what stands, and who was taken up in which order. */
interface Course {
  now: number
  standing: number
  pens: readonly { at: number, readyAt: number, latestAt?: number }[]
  order: readonly number[]
  /** With what stands at this moment counted in. */
  weight: number
}

/**
 * How long pens stand, in pen-seconds, when this one is taken up first and the rest of the evening goes as well as it can: of all courses the few that leave the least standing are followed, one piece of work at a time.
 */
export function play(jobs: readonly Job[], first: string): { standing: number, order: string[] } {
  const pieces = jobs.map(job => job.pieces.slice(0, AHEAD))
  /** Whether a wait still follows: else nobody is kept waiting. */
  const waits = pieces.map(all => all.map((_, at) => all.slice(at + 1).some(piece => piece.wait > 0)))
  const start: Course = {
    now: 0, standing: 0, order: [], weight: 0,
    pens: pieces.map(([one]) => ({ at: 0, readyAt: Math.max(0, one!.wait), ...(one!.latest === undefined ? {} : { latestAt: one!.latest }) })),
  }
  function after(course: Course, index: number): Course {
    const pen = course.pens[index]!
    const begins = Math.max(course.now, pen.readyAt)
    const late = pen.latestAt !== undefined && begins > pen.latestAt ? PAST_LATEST * (begins - pen.latestAt) : 0
    const standing = course.standing + (waits[index]![pen.at] ? begins - pen.readyAt : 0) + late
    const now = begins + pieces[index]![pen.at]!.handsOn
    const next = pieces[index]![pen.at + 1]
    const moved = { at: pen.at + 1, readyAt: now + (next?.wait ?? 0), ...(next?.latest === undefined ? {} : { latestAt: now + next.latest }) }
    const pens = course.pens.map((one, other) => other === index ? moved : one)
    const stands = pens.reduce((sum, one, other) => one.at < pieces[other]!.length && waits[other]![one.at] ? sum + Math.max(0, now - one.readyAt) : sum, 0)
    return { now, standing, pens, order: course.order.includes(index) ? course.order : [...course.order, index], weight: standing + stands + now * 1e-6 }
  }
  let courses = [after(start, jobs.findIndex(job => job.pen === first))]
  for (;;) {
    const further = courses.flatMap(course => course.pens.flatMap((pen, index) => pen.at < pieces[index]!.length ? [after(course, index)] : []))
    if (!further.length) break
    courses = further.sort((a, b) => a.weight - b.weight).slice(0, COURSES)
  }
  const best = courses[0]!
  return { standing: best.standing, order: best.order.map(index => jobs[index]!.pen) }
}
