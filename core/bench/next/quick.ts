import { nth } from '../../sure'
import { copyOf, isOpen, PAST_LATEST, take, type Course, type Evening, type Way } from './evening'

/** One course of the evening that is followed, with who was taken up on it. */
interface Followed {
  course: Course
  taken: readonly number[]
}

/** A course with one piece more, weighed before it is made: most are given up. */
interface Weighed {
  from: Followed
  pen: number
  weight: number
}

/**
 * A good way through the rest of an evening where there is no time for the best: of all courses the `width` that leave the least
 * standing are followed, one piece of work at a time.
 */
export function quickWay(evening: Evening, from: Course, width: number, taken: readonly number[] = []): Way {
  let followed: readonly Followed[] = [{ course: from, taken }]
  for (;;) {
    const further = followed.flatMap(one => weighed(evening, one, openIn(evening, one.course)))
    if (!further.length) break
    if (further.length > 1) further.sort((a, b) => a.weight - b.weight)
    followed = further.slice(0, width).map(({ from: { course, taken }, pen }) => {
      const next = copyOf(course)
      take(evening, next, pen)
      return { course: next, taken: [...taken, pen] }
    })
  }
  const best = followed.reduce((least, one) => (one.course.standing < least.course.standing ? one : least))
  return { standing: best.course.standing, taken: best.taken }
}

/** Some pens that could be taken up next, each with what stands by the end of its piece, what stands at that moment counted in. */
export function weighed(evening: Evening, from: Followed, pens: readonly number[]): Weighed[] {
  const { now, standing, at, ready, latest } = from.course
  const soon: number[] = []
  const dated: number[] = []
  let [count, since] = [0, 0]
  for (let pen = 0; pen < evening.length; pen++) {
    if (!isOpen(evening, from.course, pen)) continue
    if (nth(latest, pen) < Infinity) dated.push(pen)
    if (!feeds(evening, at, pen)) continue
    if (nth(ready, pen) > now) {
      soon.push(pen)
    } else {
      count++
      since += nth(ready, pen)
    }
  }
  return pens.map((pen) => {
    const begins = Math.max(now, nth(ready, pen))
    const ends = begins + nth(nth(evening, pen).work, nth(at, pen))
    // All that are ready stand until the end, but the one that is taken up, which stands until it is.
    let sum = standing + count * ends - since
    if (feeds(evening, at, pen)) sum += nth(ready, pen) <= now ? begins - ends : 0
    for (const other of soon) if (other !== pen) sum += Math.max(0, ends - nth(ready, other))
    for (const other of dated) sum += PAST_LATEST * Math.max(0, (other === pen ? begins : ends) - nth(latest, other))
    return { from, pen, weight: sum + ends * 1e-6 }
  })
}

const openIn = (evening: Evening, course: Course): number[] => evening.flatMap((_, pen) => (isOpen(evening, course, pen) ? [pen] : []))

const feeds = (evening: Evening, at: readonly number[], pen: number): boolean => nth(evening, pen).feeds[nth(at, pen)] === true
