import { withRepairs } from '../plan'
import { eventAt, idOf, momentAt, planFor, without, recordOf } from '../../tests/support/inputs'
import { unitWords } from '../units'
import { boardOf } from './board'
import type { BenchEvent } from './event'
import { answerTo, replay } from './replay'
import { summarise } from './summary'

const plan = planFor('apple', 'twist-7')
const ids = plan.steps.map(step => step.id)
/** The first grit. */
const first = ids[ids.indexOf('turn') + 1]!
const workedTo = (id: string): BenchEvent[] =>
  ids.slice(0, ids.indexOf(id) + 1).map((step, index) => eventAt(index * 100, index + 1, { kind: 'done', payload: { step } }))
const chip = (step: string | null, size = 1) =>
  eventAt(5000, 100, { kind: 'defect', payload: { kind: 'chip', barrel: 'upper', fromTip: 20, size, step } })
const repair = (way: 'shavings and CA' | 'new blank' | 'turn it out', step: string | null) =>
  eventAt(5010, 101, { kind: 'repair', payload: { defect: idOf(100), way, step } })
const done = (seconds: number, number: number, step: string) => eventAt(seconds, number, { kind: 'done', payload: { step } })

it('a fill chosen at the bench comes before the ladder, waits to set, and mends the defect when it is flush', () => {
  const log = [...workedTo('turn'), chip(first), repair('shavings and CA', first)]
  const state = replay(plan, log)
  expect(state.next).toMatchObject({ kind: 'fill', barrels: ['upper'], accelerated: true })
  const filled = replay(plan, [...log, done(5100, 102, state.next!.id)])
  expect(filled.next?.kind).toBe('flush')
  // Thin CA in a fill, with accelerator: four minutes at 21 °C.
  expect(filled.waits).toMatchObject([{ purpose: 'sand', length: { value: 240 } }])
  expect(filled.defects[0]).toMatchObject({ status: 'mending', mends: [{ way: 'shavings and CA' }] })
  const flush = replay(plan, [...log, done(5100, 102, state.next!.id), done(5400, 103, filled.next!.id)])
  expect(flush.defects[0]!.status).toBe('mended')
  expect(flush.next?.id).toBe(ids[ids.indexOf('turn') + 1])
  expect(
    recordOf(plan, [...log, done(5100, 102, state.next!.id)]).rows.some(row => row.step.kind === 'fill' && row.status === 'done'),
  ).toBe(true)
})

it('a new blank does again, for its barrel alone, what was done; the pair stays', () => {
  const state = replay(plan, [...workedTo('square'), chip('turn', 9), repair('new blank', 'turn')])
  const again = state.steps.filter(one => one.step.again)
  expect(again.map(one => one.step.kind)).toEqual(['cut', 'drill', 'tube', 'square'])
  expect(again.every(one => one.step.barrels.join() === 'upper' && one.status === 'open')).toBe(true)
  expect(state.next?.kind).toBe('cut')
  expect(state.plan.steps.map(step => step.id)).toEqual([...new Set(state.plan.steps.map(step => step.id))])
})

it('a plan that has the repair already takes it once', () => {
  for (const way of ['shavings and CA', 'new blank'] as const) {
    const log = [...workedTo('square'), chip('turn'), repair(way, 'turn')]
    const { plan: mended } = replay(plan, log)
    expect(mended.steps.length).toBeGreaterThan(plan.steps.length)
    expect(replay(mended, log).plan).toEqual(mended)
  }
})

it('taken back, the repair leaves the plan as it was; a later choice stands for the earlier', () => {
  const log = [...workedTo('turn'), chip(first), repair('shavings and CA', first)]
  expect(replay(plan, [...log, eventAt(5020, 110, { kind: 'undo', payload: { entries: [idOf(101)] } })]).plan).toEqual(plan)
  const other = eventAt(5030, 111, { kind: 'repair', payload: { defect: idOf(100), way: 'new blank', step: first } })
  expect(replay(plan, [...log, other]).plan.steps.some(step => step.kind === 'fill')).toBe(false)
})

it('a repair that cannot be placed adds no step', () => {
  const bare = planFor('apple', 'click-8', { shelf: without('thin-ca', 'medium-ca') })
  expect(
    withRepairs(bare, [{ defect: 'd', key: 'd', kind: 'chip', way: 'shavings and CA', barrel: 'only', fromTip: 3, size: 1, step: null }]),
  ).toEqual(bare)
  expect(replay(plan, [repair('shavings and CA', null)]).plan).toEqual(plan)
  expect(replay(plan, [chip('turn'), repair('turn it out', 'turn')]).plan).toEqual(plan)
})

it('keeps the last answer to a check, and every diameter that was measured', () => {
  const check = (seconds: number, number: number, answer: 'yes' | 'no') =>
    eventAt(seconds, number, { kind: 'check', payload: { step: 'drill', check: 'centred', answer } })
  const measure = (seconds: number, number: number, diameter: number) =>
    eventAt(seconds, number, { kind: 'measure', payload: { barrel: 'lower', fromTip: 0, diameter, step: 'turn' } })
  const log = [check(1, 1, 'no'), check(2, 2, 'yes'), measure(3, 3, 8.4), measure(4, 4, 8.2)]
  const state = replay(plan, log)
  expect(answerTo(state, 'drill', 'centred')).toBe('yes')
  expect(state.measured.map(one => one.diameter)).toEqual([8.4, 8.2])
  expect(
    replay(plan, [...log, eventAt(5, 5, { kind: 'undo', payload: { entries: [idOf(2), idOf(4)] } })]).measured.map(one => one.diameter),
  ).toEqual([8.4])
  expect(recordOf(plan, log)).toMatchObject({
    checks: [{ step: 'drill', check: 'centred', answer: 'yes' }],
    measured: [{ diameter: 8.4 }, { diameter: 8.2 }],
  })
})

describe('a pen that leaves the bench', () => {
  const away = (how: 'set aside' | 'given up' | 'mistake' | 'back', seconds: number, number: number, why = '') =>
    eventAt(seconds, number, { kind: 'away', payload: { how, why } })
  const stage = (...more: BenchEvent[]) => summarise(boardOf(plan, [...workedTo('turn'), ...more]), unitWords('metric'))

  it('is set aside, or given up, with its reason and its record, and nothing is next on it', () => {
    const aside = stage(away('set aside', 5000, 200, 'The bit is blunt'))
    expect([aside.stage, aside.next, aside.wait]).toEqual(['set aside', null, null])
    expect(stage(away('given up', 5000, 200)).stage).toBe('given up')
    expect(summarise(boardOf(plan, [away('mistake', 0, 200)]), unitWords('metric')).stage).toBe('given up')
    const state = replay(plan, [...workedTo('turn'), away('set aside', 5000, 200, 'The bit is blunt')])
    expect(state.away).toEqual({ how: 'set aside', why: 'The bit is blunt', at: momentAt(5000) })
    expect(state.steps.filter(one => one.status === 'done').length).toBe(ids.indexOf('turn') + 1)
  })
  it('comes back to where it was; the last that was said counts, whatever order it came in; taken back it never left', () => {
    const [aside, back] = [away('set aside', 5000, 200), away('back', 9000, 201)]
    expect(stage(aside, back).stage).toBe('in work')
    expect(stage(back, aside)).toEqual(stage(aside, back))
    expect(stage(aside, back, away('given up', 9500, 202)).stage).toBe('given up')
    const undone = eventAt(5100, 203, { kind: 'undo', payload: { entries: [aside.id] } })
    expect(stage(aside, undone).stage).toBe('in work')
  })
  it('the time it lay aside is no time of the step that follows', () => {
    const row = (events: BenchEvent[]) => recordOf(plan, events).rows.find(one => one.step.id === first)!
    const start = ids.indexOf('turn') * 100
    const log = [...workedTo('turn'), away('set aside', start + 10, 200), away('back', start + 300, 201), done(start + 350, 202, first)]
    expect(row(log)).toMatchObject({ handsOn: 50, timing: 'measured' })
  })
})
