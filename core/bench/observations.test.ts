import { eventAt, planFor } from '../../tests/support/inputs'
import type { BenchEvent } from './event'
import { sandingObservations } from './observations'
import { replay } from './replay'

const plan = planFor('apple', 'click-8')
const observed = (events: readonly BenchEvent[], of = plan) => sandingObservations(replay(of, events))
const ids = plan.steps.map(step => step.id)
const first = plan.steps.find(step => step.kind === 'sand')!.id
const toTurn = ids
  .slice(0, ids.indexOf('turn') + 1)
  .map((step, index): BenchEvent => eventAt(index * 100, index + 1, { kind: 'done', payload: { step } }))
const start = (toTurn.length - 1) * 100
const done = (seconds: number) => eventAt(start + seconds, 50, { kind: 'done', payload: { step: first } })
const look = (seconds: number, number: number, answer: 'not yet' | 'cannot tell') =>
  eventAt(start + seconds, number, { kind: 'look', payload: { step: first, answer } })

it('a grit that was done tells the time it took, without changing paper and looking', () => {
  expect(observed([...toTurn, done(40)])).toMatchObject([{ seconds: 15, gone: true, depth: 15 }])
})
it('“not yet” tells the time that was not enough; “cannot tell” tells nothing', () => {
  expect(observed([...toTurn, look(30, 51, 'not yet'), done(70)]).map(one => [one.seconds, one.gone])).toEqual([
    [5, false],
    [20, true],
  ])
  expect(observed([...toTurn, look(30, 51, 'cannot tell'), done(70)])).toHaveLength(1)
})
it('a pause, a press of a moment and a pen of resin tell nothing', () => {
  expect(observed([...toTurn, done(4000)])).toEqual([])
  expect(observed([...toTurn, done(20)])).toEqual([])
  expect(observed([...toTurn, done(40)], planFor('green-resin', 'click-8'))).toEqual([])
})
