import { nth, real, whole } from '../sure'
import { goneOn } from './bound'
import { isOpen, type Course } from './course'
import { hoursAt, type Clock } from './hours'
import type { Goal } from './problem'
import { costOf, type Chain, type Task } from './task'

/** So many evenings are looked at: what comes after them is not counted. */
const EVENINGS = 12

/** What is known of one evening. */
interface Evening {
  /** Work that may be done in it, s. */
  work: number
  /** The longest stretch of one pen that has to be in it, with the waits between, s. */
  span: number
}

/** A pen by itself from a course on. */
interface Alone {
  chain: Chain
  /** Its next piece. */
  first: number
  /** When the piece before that ended, s. */
  ended: number
  /** When each of its pieces from the next one on ends. */
  ends: number[]
  /** What it costs when it is finished then. */
  costs: number
}

/** What is wanted before hands, where finishing early is among it: only then something may have to be stood about for. */
export function beforeHands(wanted: readonly Goal[]): readonly Goal[] | undefined {
  const before = wanted.slice(0, Math.max(0, wanted.indexOf('hands')))
  return before.includes('finished') ? before : undefined
}

/**
 * The least time of the coming evenings in which nothing is worked, changes counted, where pens may be finished no later than in all
 * `finished` s. What may not be left to a later evening for that, and cannot come sooner, has to be done in its own one, each piece after
 * its wait; and there is only so much other work to fill that wait. Tonight counts from now on. For one pair of hands; 0 where nothing is
 * known.
 */
export function leastStanding(task: Task, course: Course, finished: number): number {
  const [clock] = task.crews
  if (!clock || task.crews.length > 1) return 0
  const now = real(course.now, 0)
  const tonight = hoursAt(clock, now)
  const evenings = clock.hours.slice(tonight, -1).slice(0, EVENINGS).map((): Evening => ({ work: 0, span: 0 }))
  if (!evenings.length) return 0
  const all: Alone[] = []
  for (let pen = 0; pen < task.pens.length; pen++) if (isOpen(task, course, pen)) all.push(aloneOf(task, course, pen))
  const slack = finished - course.finished - all.reduce((sum, one) => sum + one.costs, 0)
  const ends = all.reduce((last, one) => Math.max(last, spread(task, clock, evenings, one, { tonight, slack })), now)
  // Before the first of the hours nobody stands about.
  const isThere = now >= real(clock.from, tonight)
  const spanOf = ({ span }: Evening, index: number) => (index || !isThere ? span : Math.max(span, ends - now))
  return evenings.reduce((sum, one, index) => sum + Math.max(0, spanOf(one, index) - one.work), 0)
}

function aloneOf(task: Task, course: Course, pen: number): Alone {
  const chain = nth(task.pens, pen)
  const [first, ended] = [whole(course.at, pen), real(course.ended, pen)]
  const ends: number[] = []
  const last = goneOn(task, chain, { first, to: chain.count, ended, now: real(course.now, 0), setUp: whole(course.setUp, 0) }, ends)
  return { chain, first, ended, ends, costs: costOf(task, chain, last + chain.after) }
}

/** Lays a pen’s work on the evenings it may be done in; answers when what has to be done tonight ends at the soonest, s. */
function spread(
  task: Task, clock: Clock, evenings: Evening[], alone: Alone, { tonight, slack }: { tonight: number, slack: number },
): number {
  const { chain, first, ends } = alone
  let [latest, last, span, before] = [0, 0, 0, -1]
  for (let index = 0; index < ends.length; index++) {
    const at = first + index
    const hands = real(chain.hands, at)
    const soonest = hoursAt(clock, nth(ends, index) - hands) - tonight
    latest = Math.max(latest, soonest)
    while (latest < evenings.length && mayBeLeft(task, alone, index, nth(clock.hours, tonight + latest + 1).from, slack)) latest++
    for (let one = soonest; one <= latest && one < evenings.length; one++) nth(evenings, one).work += hands
    const evening = soonest === latest ? evenings[soonest] : undefined
    span = before === soonest ? span + Math.max(real(chain.wait, at), changeBefore(task, chain, at)) + hands : hands
    before = evening ? soonest : -1
    if (!evening) continue
    evening.span = Math.max(evening.span, span)
    if (!soonest) last = nth(ends, index)
  }
  return last
}

/** Whether a piece may be left until hands come at a moment, s, without more than so much lost. */
function mayBeLeft(task: Task, { chain, first, ended, ends, costs }: Alone, index: number, from: number, slack: number): boolean {
  const stretch = { first: first + index, to: chain.count, ended: index ? nth(ends, index - 1) : ended, now: from }
  return costOf(task, chain, goneOn(task, chain, stretch) + chain.after) <= costs + slack
}

function changeBefore({ changes }: Task, { setUp }: Chain, at: number): number {
  const [one, before] = [whole(setUp, at), whole(setUp, at - 1)]
  return one && before && one !== before ? real(changes, one) : 0
}
