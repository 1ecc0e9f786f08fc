import fc from 'fast-check'
import { uniforms } from '../chance'
import { Kept } from './kept'
import { changeOf } from './moves'
import { firstRankings } from './rankings'
import { byRanks, stretchesOf } from './ranks'
import { taskOf } from './task'

const setUps = [null, { kind: 'bit', which: '7' }, { kind: 'bit', which: '8' }]
const anyPens = fc.array(
  fc.array(fc.record({ hands: fc.integer({ min: 1, max: 30 }), wait: fc.constantFrom(0, 5, 40, 3000), setUp: fc.constantFrom(...setUps) }),
    { minLength: 5, maxLength: 20 }),
  { minLength: 2, maxLength: 5 },
)

it('a changed order has all pieces of every pen, is another where it says, and mostly is another at all (property)', () => {
  fc.assert(fc.property(anyPens, fc.integer({ min: 1, max: 1e6 }), (pens, seed) => {
    const task = taskOf({
      pens: pens.map((work, at) => ({ id: String(at), work: work.map((one, step) => ({ ...one, step: String(step) })) })),
      hours: [{ from: 0, to: 90 }, { from: 500, to: 600 }, { from: 1000, to: 1200 }], changes: { bit: 9 },
    })
    const stretches = stretchesOf(task)
    const kept = new Kept(task, byRanks(task, stretches, firstRankings(task, stretches)[0]!).order)
    const chance = uniforms(seed)
    let others = 0
    for (let time = 0; time < 60; time++) {
      const { order, from, to } = changeOf(task, kept, chance)
      expect([...order].sort()).toEqual([...kept.order].sort())
      expect([order.slice(0, from), order.slice(to)]).toEqual([kept.order.slice(0, from), kept.order.slice(to)])
      others += Number(order.some((pen, at) => pen !== kept.order[at]))
      if (chance() < 0.3) kept.put(order, from)
    }
    // Of two pens there are few other orders: of 5,000 such evenings the fewest that came were eight.
    expect(others).toBeGreaterThan(3 * (pens.length - 1))
  }), { numRuns: 60 })
})
