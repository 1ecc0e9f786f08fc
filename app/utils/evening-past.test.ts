import { boardOf, type BenchEvent } from '../../core/bench'
import { unitWords } from '../../core/units'
import { methodOf, planFor } from '../../tests/support/inputs'
import { pastOf } from './evening-past'

const plan = planFor('apple', 'click-8', { method: methodOf('ca-thin-first') })
const ids = plan.steps.map(step => step.id)
const at = (minute: number) => new Date(Date.parse('2019-11-30T19:00:00.000Z') + minute * 60_000).toISOString()
const done = (step: string, minute: number): BenchEvent => (
  { id: `e-${step}`, pen: 'p', kind: 'done', payload: { step }, barrels: ['only'], device: 'bench', at: at(minute) } as never)
const board = (events: readonly BenchEvent[]) => ({ ...boardOf(plan, events), pen: { mark: 'A1' } as never })
const block = (step: string, from: number, to: number, pen = 'p') => ({ pen, step, begins: at(from), ends: at(to) })
const evening = (blocks: ReturnType<typeof block>[]) => ({
  day: '2019-11-30',
  first: { day: '2019-11-30', madeAt: at(-60), evenings: [{ from: at(0), to: at(120), groups: [] }], waits: [], promised: [], blocks },
})
const UNITS = unitWords('metric')
const [first, second, third] = ids as [string, string, string]

it('says how much of what was laid into an evening was done by its end', () => {
  const laid = evening([block(first, 0, 5), block(second, 5, 10), block(third, 300, 310)])
  const told = (events: readonly BenchEvent[]) => pastOf(laid, () => board(events), UNITS)?.says
  expect(told([done(first, 4), done(second, 9)])).toBe('Both pieces of work that were laid into it were done.')
  expect(told([done(first, 4), done(second, 130)])).toBe('1 of the 2 pieces of work that were laid into it was done in time.')
  expect(told([])).toBe('0 of the 2 pieces of work that were laid into it were done in time.')
})
it('of a pen that is not there, or a step that its plan has no more, nothing is made up', () => {
  const laid = evening([block(first, 0, 5), block('no such step', 5, 10), block(second, 10, 15, 'another')])
  const told = pastOf(laid, pen => (pen === 'p' ? board([done(first, 4)]) : undefined), UNITS)
  expect(told?.says).toBe('1 of the 3 pieces of work that were laid into it was done in time. '
    + 'What became of 2 is not known: plans were changed since.')
  expect(pastOf(evening([]), () => undefined, UNITS)).toBeUndefined()
})
it('what took much longer than it was laid for is named, the most first', () => {
  const laid = evening([block(first, 0, 2), block(second, 2, 4), block(third, 4, 6)])
  const told = pastOf(laid, () => board([done(first, 1), done(second, 7), done(third, 15)]), UNITS)
  expect(told?.longer.map(one => one.says.split(',')[0])).toEqual(['8 min', '6 min'])
})
