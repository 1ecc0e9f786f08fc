import { eventAt, idOf } from '../../tests/support/inputs'
import type { BenchEvent } from './event'
import { inOrder } from './event'

const done = (seconds: number, number: number, ahead?: number): BenchEvent => ({
  ...eventAt(seconds, number, { kind: 'done', payload: { step: 'cut' } }),
  ...(ahead === undefined ? {} : { ahead }),
})
const ids = (events: readonly BenchEvent[]) => events.map(event => event.id)

it('by the time it happened, then by id, whatever order it came in', () => {
  expect(ids(inOrder([done(30, 3), done(10, 2), done(10, 1), done(20, 9)]))).toEqual([1, 2, 9, 3].map(idOf))
  expect(ids(inOrder([done(10, 1), done(10, 2), done(20, 3)]))).toEqual([1, 2, 3].map(idOf))
  expect(ids(inOrder([done(10, 2), done(10, 1)]))).toEqual([1, 2].map(idOf))
  // Only the last one is out of its turn.
  expect(ids(inOrder([done(10, 1), done(20, 2), done(15, 3)]))).toEqual([1, 3, 2].map(idOf))
})
it('a clock that ran ahead is put right by it, one that was behind too', () => {
  expect(ids(inOrder([done(100, 1, 60_000), done(50, 2)]))).toEqual([1, 2].map(idOf))
  expect(ids(inOrder([done(100, 1, 40_000), done(50, 2)]))).toEqual([2, 1].map(idOf))
  expect(ids(inOrder([done(100, 1, -40_000), done(120, 2)]))).toEqual([2, 1].map(idOf))
  expect(inOrder([done(100, 1, 60_000)])[0]).toEqual(done(40, 1))
})
it('each id once; of two copies the one that knows how wrong the clock was, in either order, and of two that know the greater', () => {
  const [unknown, known, more] = [done(100, 1), done(100, 1, 30_000), done(100, 1, 40_000)]
  for (const copies of [[unknown, known], [known, unknown]]) expect(inOrder(copies)).toEqual([done(70, 1)])
  for (const copies of [[more, known], [known, more]]) expect(inOrder(copies)).toEqual([done(60, 1)])
  // One that says that its clock was right says more than one that says nothing.
  expect(inOrder([unknown, done(100, 1, 0)])).toEqual([done(100, 1, 0)])
})
