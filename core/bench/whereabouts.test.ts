import { eventAt, idOf, methodOf, planFor } from '../../tests/support/inputs'
import { boardOf } from './board'
import type { BenchEvent, Entry } from './event'
import { project } from './projection'
import { record } from './record'
import { story } from './story'
import { summarise } from './summary'
import { unitWords } from '../units'

const plan = planFor('damson', 'click-8', { method: methodOf('ca-medium-only') })
const HOUR = 3600
const DAY = 24 * HOUR
/** A pen that is finished, an hour from step to step. */
const made: BenchEvent[] = plan.steps.map(({ id }, index) => eventAt(index * HOUR, index + 1, { kind: 'done', payload: { step: id } }))
const ended = (plan.steps.length - 1) * HOUR
const leaving = (change: object = {}): Entry => ({
  kind: 'leave', payload: { how: 'sold', price: 3800, place: null, customer: null, order: null, with: ['box'], words: '', ...change },
})
const back = (why: 'repair' | 'given back', paid: number | null = null): Entry =>
  ({ kind: 'return', payload: { why, paid, words: 'Clip loose' } })
const sold = eventAt(ended + DAY, 900, leaving())
const repair = eventAt(ended + 30 * DAY, 901, back('repair'))
const stands = (events: readonly BenchEvent[]) => summarise(boardOf(plan, events), unitWords('metric'))

it('a pen that was sold is gone, for what and with what; taken back it is here again', () => {
  const { stage, gone, next } = stands([...made, sold])
  expect([stage, next]).toEqual(['finished', null])
  expect(gone).toEqual({ ...sold.payload, at: sold.at })
  const undone = eventAt(ended + DAY + 60, 902, { kind: 'undo', payload: { entries: [idOf(900)] } })
  expect(stands([...made, sold, undone])).not.toHaveProperty('gone')
})
it('a pen that comes back to be mended is open again: looked over and handed over once more; one that is given back is not', () => {
  const open = stands([...made, sold, repair])
  expect([open.stage, open.next?.step, open.gone]).toEqual(['in work', `check.${idOf(901)}`, undefined])
  const again = eventAt(ended + 31 * DAY, 903, { kind: 'done', payload: { step: `check.${idOf(901)}` } })
  expect(stands([...made, sold, repair, again]).stage).toBe('finished')
  expect(stands([...made, sold, eventAt(ended + 30 * DAY, 901, back('given back', 3800))])).toMatchObject({ stage: 'finished', next: null })
  // Taken back, the plan is as it was.
  const undone = eventAt(ended + 30 * DAY + 1, 904, { kind: 'undo', payload: { entries: [idOf(901)] } })
  expect(boardOf(plan, [...made, sold, repair, undone]).state.plan.steps).toHaveLength(plan.steps.length)
})
it('what was sold before it is looked over once more is gone all the same', () => {
  const { stage, next } = stands([...made, sold, repair, eventAt(ended + 32 * DAY, 905, leaving({ price: null }))])
  expect([stage, next]).toEqual(['finished', null])
})
it('a pen was made when it was made, whatever is mended of it later; no time of hands runs while it is away', () => {
  const { state, traced } = boardOf(plan, [...made, sold, repair, eventAt(ended + 30 * DAY + 600, 906, {
    kind: 'done', payload: { step: `check.${idOf(901)}` },
  })])
  const told = record(state, traced)
  expect(told.ended).toBe(made.at(-1)!.at)
  expect(told.rows.at(-1)).toMatchObject({ handsOn: 600, timing: 'measured' })
})
it('each time it went and came back is a fact about the place, and stands in its story', () => {
  const fair = idOf(77)
  const log = [...made, eventAt(ended + DAY, 900, leaving({ place: fair })), eventAt(ended + 2 * DAY, 901, back('given back', 3800))]
  expect(project(plan, log).facts.filter(one => one.kind === 'leave' || one.kind === 'return')).toEqual([
    { kind: 'leave', about: fair, at: log.at(-2)!.at, how: 'sold', price: 3800, order: null },
    { kind: 'return', about: fair, at: log.at(-1)!.at, why: 'given back', paid: 3800 },
  ])
  const { state, traced } = boardOf(plan, log)
  const kinds = story(record(state, traced), state).flatMap(evening => evening.happenings).map(one => one.kind)
  expect(kinds.slice(-2)).toEqual(['leave', 'return'])
  // What came back though nobody had entered that it went is told as what it is.
  expect(project(plan, [...made, repair]).facts.at(-1)).toBeDefined()
  expect(project(plan, [...made, repair]).facts.find(one => one.kind === 'return')).toMatchObject({ about: 'repair' })
})
