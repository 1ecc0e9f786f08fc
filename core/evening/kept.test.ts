import fc from 'fast-check'
import { uniforms } from '../chance'
import type { EveningProblem } from './index'
import { costsOfOrder, Kept } from './kept'
import { firstRankings, otherRanking } from './rankings'
import { byRanks, stretchesOf } from './ranks'
import { taskOf, type Task } from './task'

const piece = fc.record({
  step: fc.constant(''), hands: fc.integer({ min: 1, max: 30 }), wait: fc.constantFrom(0, 0, 5, 40, 3000),
  setUp: fc.constantFrom(null, { kind: 'bit', which: '7' }, { kind: 'bit', which: '8' }), latest: fc.constantFrom(Infinity, Infinity, 3100),
})
const anyTask = fc.record({
  pens: fc.array(fc.array(piece, { minLength: 6, maxLength: 25 }), { minLength: 2, maxLength: 5 }),
  helped: fc.boolean(),
}).map(({ pens, helped }): Task => {
  const hours = Array.from({ length: 9 }, (_, day) => ({ from: day * 500, to: day * 500 + 120 }))
  const problem: EveningProblem = {
    pens: pens.map((work, at) => ({
      id: String(at), due: 700 * (at + 1),
      work: work.map((one, step) => ({ ...one, step: String(step), latest: Math.max(one.latest, one.wait) })),
    })),
    hours, changes: { bit: 9 }, grain: 7, ...(helped ? { helpers: [hours.slice(1, 3)] } : {}),
  }
  return taskOf(problem)
})

it('an order changed over a stretch comes to what it does when it is counted from its beginning (property)', () => {
  fc.assert(fc.property(anyTask, fc.integer({ min: 1, max: 1e6 }), (task, seed) => {
    const chance = uniforms(seed)
    const stretches = stretchesOf(task)
    const [ranking] = firstRankings(task, stretches)
    const kept = new Kept(task, byRanks(task, stretches, ranking!).order)
    for (let time = 0; time < 30; time++) {
      const { length } = kept.order
      const from = Math.floor(chance() * length)
      const to = Math.min(length, from + 1 + Math.floor(chance() ** 2 * 12))
      const stretch = kept.order.slice(from, to).map(pen => ({ pen, key: chance() })).sort((a, b) => a.key - b.key)
      const order = [...kept.order.slice(0, from), ...stretch.map(one => one.pen), ...kept.order.slice(to)]
      const costs = kept.count({ order, from, to })
      expect(costs).toEqual(roughly(costsOfOrder(task, order)!))
      if (chance() < 0.5) kept.put(order, from)
      expect(kept.costs).toEqual(costsOfOrder(task, kept.order))
    }
  }), { numRuns: 40 })
})
/** Sums that were added up in another order are alike but for the last figures. */
const roughly = (costs: Record<string, number>) =>
  Object.fromEntries(Object.entries(costs).map(([goal, value]) => [goal, expect.closeTo(value, 6)]))

it('a ranking gives an order of all pieces, and what that comes to; a pen of better rank is finished first where nothing waits', () => {
  fc.assert(fc.property(anyTask, fc.integer({ min: 1, max: 1e6 }), (task, seed) => {
    const stretches = stretchesOf(task)
    const chance = uniforms(seed)
    let [ranking] = firstRankings(task, stretches)
    for (let time = 0; time < 5; time++) {
      ranking = otherRanking(ranking!, stretches, time > 2, chance)
      const { order, costs } = byRanks(task, stretches, ranking)
      task.pens.forEach(({ count }, pen) => expect(order.filter(one => one === pen)).toHaveLength(count))
      expect(costs).toEqual(costsOfOrder(task, order))
    }
  }), { numRuns: 40 })
  const work = [{ step: '1', hands: 5, wait: 0, setUp: null }, { step: '2', hands: 5, wait: 0, setUp: null }]
  const plain = taskOf({ pens: ['a', 'b', 'c'].map(id => ({ id, work })), hours: [{ from: 0, to: 100 }], changes: {} })
  const { order } = byRanks(plain, stretchesOf(plain), { ranks: Float64Array.of(2, 0, 1), patience: 0, like: 0, night: 0 })
  expect(order).toEqual([1, 1, 2, 2, 0, 0])
})
