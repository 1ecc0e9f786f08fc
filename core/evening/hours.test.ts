import fc from 'fast-check'
import { capacityOf, clockOf, doneBy, eveningOf, handsBetween, hoursAt, hoursFrom, nextHours, whenDone, whenFree } from './hours'

const clock = clockOf([{ from: 10, to: 20 }, { from: 30, to: 50 }])

it('the hours of a moment: what ends with them is over, but belongs to them', () => {
  expect([0, 10, 19, 20, 30, 49, 50, 99].map(moment => hoursAt(clock, moment))).toEqual([0, 0, 0, 1, 1, 1, 2, 2])
  expect([0, 10, 19, 20, 30, 49, 50, 99].map(moment => eveningOf(clock, moment))).toEqual([0, 0, 0, 0, 1, 1, 1, 2])
  expect([[5, 1], [20, 0], [99, 0]].map(([moment, first]) => hoursFrom(clock, moment!, first!))).toEqual([1, 1, 2])
})

it('hands are free for so long at a stretch where hours hold it, up to their very end; after the last ones always', () => {
  expect([[0, 10], [12, 8], [12, 9], [31, 19], [31, 20], [60, 5]].map(([from, length]) => whenFree(clock, from!, length!)))
    .toEqual([10, 12, 30, 31, 50, 60])
  expect(whenFree(clock, 0, 5, 1)).toBe(30)
  // Where the hours of another pair of hands end later, what comes after all hours begins there.
  expect(whenFree(clockOf([{ from: 0, to: 10 }], 80), 5, 6)).toBe(80)
})

it('hands there from one moment to another, and from when they come again', () => {
  expect([[0, 100], [15, 35], [20, 30], [12, 14]].map(([from, to]) => handsBetween(clock, from!, to!))).toEqual([10 + 20 + 50, 10, 0, 2])
  expect(nextHours(clock, 9).map(one => one.from)).toEqual([10, 30, 50])
  expect(nextHours(clock, 10).map(one => one.from)).toEqual([30, 50])
  expect(nextHours(clock, 50)).toEqual([])
})

it('hours that lie over one another, end before they begin, or begin before the plan are refused; one right after another is not', () => {
  const of = (...all: [number, number][]) => () => clockOf(all.map(([from, to]) => ({ from, to })))
  for (const wrong of [of([5, 5]), of([-1, 5]), of([0, 6], [5, 9]), of([0, Number.NaN])]) expect(wrong).toThrow(RangeError)
  expect(of([0, 5], [5, 9])).not.toThrow()
})

it('what all hands together have done by a moment is what each could, second by second (property)', () => {
  const anyHours = fc.array(fc.tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 })), { maxLength: 3 }).map((pairs) => {
    let now = 0
    return pairs.map(([gap, long]) => ({ from: now + gap, to: (now += gap + long) }))
  })
  fc.assert(fc.property(fc.array(anyHours, { minLength: 1, maxLength: 3 }), fc.integer({ max: 90, min: 0 }), (all, moment) => {
    const last = Math.max(0, ...all.flat().map(one => one.to))
    const capacity = capacityOf(all.map(one => clockOf(one, last)))
    const isThere = (hours: typeof all[number], second: number) =>
      second >= last || hours.some(one => second >= one.from && second < one.to)
    const by = (until: number) => Array.from({ length: until }, (_, second) => all.filter(one => isThere(one, second)).length)
      .reduce((sum, one) => sum + one, 0)
    expect(doneBy(capacity, moment)).toBe(by(moment))
    // It is done when that much is, and no sooner.
    const when = whenDone(capacity, by(moment))
    expect(when).toBeLessThanOrEqual(moment)
    expect(doneBy(capacity, when)).toBe(by(moment))
    if (when >= 1) expect(doneBy(capacity, when - 0.5)).toBeLessThan(by(moment))
  }))
})
