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
  .map((step, index): BenchEvent => eventAt(index * 100 + (index % 2) * 30, index + 1, { kind: 'done', payload: { step } }))
const start = (toTurn.length - 1) * 100 + ((toTurn.length - 1) % 2) * 30
const done = (seconds: number) => eventAt(start + seconds, 50, { kind: 'done', payload: { step: first } })
const look = (seconds: number, number: number, answer: 'not yet' | 'cannot tell') =>
  eventAt(start + seconds, number, { kind: 'look', payload: { step: first, answer } })

it('a grit that was done tells the time it took, with changing paper and looking', () => {
  expect(observed([...toTurn, done(40)])).toMatchObject([{ notYet: [], gone: 40, depth: 15, before: 1, each: 1 }])
})
it('“not yet” tells the time that was not enough; “cannot tell” tells nothing', () => {
  expect(observed([...toTurn, look(30, 51, 'not yet'), done(70)])).toMatchObject([{ notYet: [30], gone: 70 }])
  expect(observed([...toTurn, look(30, 51, 'not yet')])).toMatchObject([{ notYet: [30], gone: null }])
  expect(observed([...toTurn, look(30, 51, 'cannot tell'), done(70)])).toMatchObject([{ notYet: [], gone: 70 }])
})
it('where the paper was tapped on the time counts from there, with half of the change before it', () => {
  const on = eventAt(start + 12, 52, { kind: 'begin', payload: { step: first } })
  expect(observed([...toTurn, on, done(40)])).toMatchObject([{ gone: 28, before: 0.5, each: 1 }])
})
it('entries typed in afterwards teach nothing: many at one pace, or stamped together', () => {
  const grits = plan.steps.filter(step => step.kind === 'sand').map(step => step.id)
  const last = [...ids.slice(toTurn.length - 3, toTurn.length), ...grits]
  const typed = (gap: number, uneven = 0) => observed([...toTurn.slice(0, -3), ...last.map((step, index) =>
    eventAt(5000 + index * gap + (index % 2) * uneven, 70 + index, { kind: 'done', payload: { step } }))])
  expect([typed(30), typed(0.5), typed(30, 8).length > 0]).toEqual([[], [], true])
})
it('a pause, a press of a moment and a pen of resin tell nothing', () => {
  expect(observed([...toTurn, done(4000)])).toEqual([])
  expect(observed([...toTurn, done(0.8)])).toEqual([])
  expect(observed([...toTurn, done(40)], planFor('green-resin', 'click-8'))).toEqual([])
})
