import { eventAt, planFor } from '../../tests/support/inputs'
import { withRepairs } from '../plan'
import { boardOf } from './board'
import { isIn, pressedParts, pressTold } from './pressed'
import { lessonsOf } from './projection/facts'

const plan = planFor('apple', 'twist-7')
const MECHANISM = 'Twist mechanism'
let number = 100
const press = (seconds: number, verdict: 'in' | 'short' | 'right' | 'far', left: number | null = null, part = MECHANISM) =>
  eventAt(seconds, ++number, { kind: 'press', payload: { step: 'assemble', part, verdict, left, out: null, back: null } })
const state = (...events: ReturnType<typeof press>[]) => boardOf(plan, events).state
const mechanism = (...events: ReturnType<typeof press>[]) => pressedParts(state(...events)).find(part => part.tries)!

it('from short to right: each press stands, the last one counts, and where it was right is told', () => {
  const log = [press(1, 'in', null, 'Tip'), press(2, 'short', 3), press(3, 'short', 2.2), press(4, 'right', 1.5)]
  expect(mechanism(...log)).toMatchObject({ state: 'right', presses: [{ left: 3 }, { left: 2.2 }, { left: 1.5, verdict: 'right' }] })
  expect(pressedParts(state(...log)).filter(isIn).map(part => part.name)).toEqual(['Tip', MECHANISM])
  expect(pressTold(state(...log))).toMatchObject({ left: 1.5 })
  expect(lessonsOf(boardOf(plan, log), []).filter(fact => fact.kind === 'press')).toMatchObject([{ about: 'twist-7', left: 1.5 }])
})
it('from right to too far: it is too far, and teaches nothing', () => {
  const log = [press(2, 'right', 1.5), press(3, 'far', 0.2)]
  expect(mechanism(...log).state).toBe('far')
  expect(pressTold(state(...log))).toBeUndefined()
  // Taken back, it was right after all.
  expect(mechanism(...log, eventAt(9, 990, { kind: 'undo', payload: { entries: [log[1]!.id] } }) as never).state).toBe('right')
})
it('right without a reading teaches nothing', () => expect(pressTold(state(press(2, 'right')))).toBeUndefined())
it('driven apart, all parts are open again', () => {
  const repair = {
    defect: 'd', key: 'd', kind: 'mechanism', way: 'take apart', barrel: 'lower', fromTip: 5, size: 1, step: 'check',
  } as const
  const mended = withRepairs(plan, [repair])
  const apart = mended.steps.find(one => one.kind === 'fix')!
  const log = [press(2, 'far', 0), eventAt(60, 991, { kind: 'done', payload: { step: apart.id } })]
  const parts = pressedParts(boardOf(mended, log).state)
  expect(parts.map(part => part.state)).toEqual(parts.map(() => 'open'))
})
