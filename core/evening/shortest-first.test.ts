import fc from 'fast-check'
import { shortestFirst } from './shortest-first'

/** Every order of some things. */
const everyOrder = <T>(all: readonly T[]): T[][] =>
  all.length ? all.flatMap((one, at) => everyOrder(all.filter((_, other) => other !== at)).map(rest => [one, ...rest])) : [[]]

describe('the shortest first', () => {
  it('is left for what is shorter when that comes, and gone on with after it (by hand)', () => {
    expect(shortestFirst([{ ready: 0, work: 10 }, { ready: 2, work: 3 }, { ready: 30, work: 1 }])).toEqual([5, 13, 31])
    expect(shortestFirst([{ ready: 4, work: 0 }, { ready: 4, work: 2 }])).toEqual([4, 6])
    expect(shortestFirst([])).toEqual([])
  })
  it('has the k-th done no later than any order in which nothing is left half done (property, all orders)', () => {
    const coming = fc.record({ ready: fc.integer({ min: 0, max: 20 }), work: fc.integer({ min: 0, max: 9 }) })
    fc.assert(fc.property(fc.array(coming, { minLength: 1, maxLength: 5 }), (all) => {
      const least = shortestFirst(all)
      for (const order of everyOrder(all)) {
        let now = 0
        const done = order.map(({ ready, work }) => (now = Math.max(now, ready) + work)).sort((a, b) => a - b)
        done.forEach((moment, at) => expect(least[at]).toBeLessThanOrEqual(moment))
      }
      // Hands rest only where nothing is ready.
      expect(least.at(-1)).toBeGreaterThanOrEqual(all.reduce((sum, one) => sum + one.work, 0))
    }))
  })
})
