import fc from 'fast-check'
import { leastFrom } from './bound'
import { beginning } from './course'
import { planEvenings, type EveningPen, type EveningProblem, type Work } from './index'
import { leastOf } from './strong-bound'
import { taskOf } from './task'

const HOUR = 3600
const DAY = 24 * HOUR
const work = (step: number, hands: number, change: Partial<Work> = {}): Work =>
  ({ step: String(step), hands, wait: 0, setUp: null, ...change })
const evenings = (count: number, long: number) => Array.from({ length: count }, (_, day) => ({ from: day * DAY, to: day * DAY + long }))
/** What is glued first, and turned when that has set. */
const glued = (id: string, turns: number, which?: string): EveningPen => ({
  id, work: [work(0, 300), work(1, turns, { wait: 2 * HOUR, setUp: which ? { kind: 'bushings', which } : null })],
})
const finished = (problem: EveningProblem) => {
  const task = taskOf(problem)
  return { weak: leastFrom(task, beginning(task)).finished, strong: leastOf(task).finished, best: planEvenings(problem) }
}

describe('the least that any order comes to', () => {
  it('knows that what has to set leaves the hours before it to nothing (by hand: two are turned tomorrow, one the day after)', () => {
    const pens = ['a', 'b', 'c'].map(id => glued(id, HOUR / 2))
    const { weak, strong, best } = finished({ pens, hours: evenings(5, HOUR), changes: {} })
    // Two hours of glue do not fit into the first evening; then each evening has room for two.
    expect(strong).toBe((DAY + HOUR / 2) + (DAY + HOUR) + (2 * DAY + HOUR / 2))
    expect(strong).toBe(best.costs.finished)
    expect(weak).toBeLessThan(strong)
  })
  it('knows what any so many of them need to be set up (by hand)', () => {
    const hours = evenings(4, 2 * HOUR + 300 + 1200)
    const two = (which: string) => finished({ pens: [glued('a', 1000, '7'), glued('b', 1000, which)], hours, changes: { bushings: 200 } })
    // Alike or not, the first is turned tonight: its bushings may be set up while the glue sets. The other one is turned tomorrow.
    expect(two('7').strong).toBe(two('7').best.costs.finished)
    expect(two('8').best.costs.finished).toBe(2 * HOUR + 300 + 1000 + DAY + 1000 + 200)
    const many = ['a', 'b', 'c', 'd'].map(id => glued(id, 600, id))
    const alike = ['a', 'b', 'c', 'd'].map(id => glued(id, 600, 'a'))
    const of = (pens: EveningPen[]) => finished({ pens, hours, changes: { bushings: 600 } }).strong
    expect(of(many)).toBeGreaterThan(of(alike))
  })

  const piece = fc.tuple(
    fc.integer({ min: 60, max: 1500 }), fc.constantFrom(0, 0, 700, 1900, 4000, 40_000), fc.constantFrom(null, null, '7', '8', '9'),
  )
  const anyPens = (most: number, pieces: number) =>
    fc.array(fc.record({
      work: fc.array(piece, { minLength: 1, maxLength: pieces }), after: fc.constantFrom(0, 5000),
      due: fc.option(fc.integer({ min: 1000, max: 3 * DAY }), { nil: undefined }),
    }), { minLength: 1, maxLength: most }).map(all => all.map(({ work: pieces, after, due }, at): EveningPen => ({
      id: String(at), after, ...(due === undefined ? {} : { due }),
      work: pieces.map(([hands, wait, which], step) => work(step, hands, { wait, setUp: which === null ? null : { kind: 'bit', which } })),
    })))
  const anyProblem = (pens: fc.Arbitrary<EveningPen[]>) => fc.record({
    pens, hours: fc.constantFrom(evenings(3, 2 * HOUR), evenings(8, HOUR)), changes: fc.record({ bit: fc.constantFrom(0, 300) }),
    grain: fc.constantFrom(0, 1800), setUp: fc.constantFrom(undefined, { kind: 'bit', which: '8' }),
  }).map(({ setUp, ...rest }): EveningProblem => ({ ...rest, ...(setUp ? { setUp } : {}) }))

  it('is never more than what is proven to be the least (property)', () => {
    fc.assert(fc.property(anyProblem(anyPens(3, 4)), (problem) => {
      const { weak, strong, best } = finished(problem)
      expect(strong).toBeGreaterThanOrEqual(weak)
      expect(strong).toBeLessThanOrEqual(best.costs.finished + 1e-6)
    }), { numRuns: 200 })
  })
  it('nor than what is found for more pens, and with a helper (property)', () => {
    fc.assert(fc.property(anyProblem(anyPens(8, 6)), fc.boolean(), (problem, isHelped) => {
      const given = isHelped ? { ...problem, helpers: [evenings(2, HOUR)] } : problem
      const { costs } = planEvenings(given, { changes: 150, most: 0 })
      expect(leastOf(taskOf(given)).finished).toBeLessThanOrEqual(costs.finished + 1e-6)
    }), { numRuns: 150 })
  })
})
