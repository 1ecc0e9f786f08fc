import { boardOf } from './board'
import { eventAt, idOf, planFor, recordOf } from '../../tests/support/inputs'
import { trace } from '../plan'
import { unitWords } from '../units'
import type { BenchEvent } from './event'
import { summarise } from './summary'

const plan = planFor()
const begin = eventAt(0, 1, { kind: 'begin', payload: { step: 'cut' } })
const done = (seconds: number, number: number, step: string): BenchEvent => eventAt(seconds, number, { kind: 'done', payload: { step } })
const row = (events: BenchEvent[], step: string) => recordOf(plan, events).rows.find(one => one.step.id === step)!

describe('hands-on time', () => {
  it('is measured from the entry before', () => {
    expect(row([begin, done(70, 2, 'cut'), done(190, 3, 'drill')], 'drill')).toMatchObject({ handsOn: 120, timing: 'measured' })
  })
  it('starts when the wait was over, not when it began', () => {
    // The epoxy of the tube takes two hours at 21 °C; squared three minutes after that.
    expect(row([begin, done(100, 2, 'tube'), done(100 + 7200 + 180, 3, 'square')], 'square')).toMatchObject({
      handsOn: 180,
      wait: { purpose: 'square', seconds: 7200, shortBy: 0 },
    })
  })
  it('counts a pause as the planned time, and says so', () => {
    expect(row([begin, done(60, 2, 'cut'), done(60 + 5000, 3, 'drill')], 'drill')).toMatchObject({ handsOn: 90, timing: 'planned' })
  })
  it('has nothing to measure from without a beginning', () => {
    expect(row([done(60, 2, 'cut')], 'cut')).toMatchObject({ handsOn: 60, timing: 'planned' })
  })
  it('counts the noting and mending of a defect to the step under way', () => {
    const chip = eventAt(100, 7, { kind: 'defect', payload: { kind: 'chip', barrel: 'only', fromTip: 1, size: 0.5, step: 'drill' } })
    expect(row([begin, done(70, 2, 'cut'), chip, done(190, 3, 'drill')], 'drill')).toMatchObject({ handsOn: 120, timing: 'measured' })
  })
  it('starts with the first entry, be it a look at the parts', () => {
    const look = eventAt(10, 8, { kind: 'check', payload: { step: 'parts', check: 'part.0', answer: 'yes' } })
    expect(row([look, done(40, 2, 'parts')], 'parts')).toMatchObject({ handsOn: 30, timing: 'measured' })
  })
  it('adds up', () => {
    expect(recordOf(plan, [begin, done(70, 2, 'cut'), done(190, 3, 'drill')]).handsOn).toBe(190)
  })
})

it('says by how much a wait was cut short', () => {
  const coats = [begin, done(100, 2, 'coat.1'), done(145, 3, 'coat.2')]
  expect(row(coats, 'coat.2').wait).toMatchObject({ purpose: 'next coat', seconds: 75, shortBy: 30 })
})

it('tells of entries taken back only what is left of them', () => {
  const events = [begin, done(70, 2, 'cut'), eventAt(80, 3, { kind: 'undo', payload: { entries: [idOf(2)] } })]
  expect(recordOf(plan, events)).toMatchObject({ handsOn: 0, coats: { on: 0 }, ended: null })
})

describe('the summary of a pen', () => {
  const of = (...events: BenchEvent[]) => summarise(boardOf(plan, events), unitWords('metric'))
  it('goes from planned over in work to finished', () => {
    const all = plan.steps.map((step, index) => done(index * 600, index + 10, step.id))
    expect([of().stage, of(begin).stage, of(begin, ...all).stage]).toEqual(['planned', 'in work', 'finished'])
    expect(of(begin, ...all)).toMatchObject({ next: null, wait: null, handsOnLeft: 0 })
  })
  it('names what is next and until when it waits', () => {
    expect(of(begin, ...plan.steps.slice(0, 4).map((step, index) => done(index, index + 10, step.id)))).toMatchObject({
      next: { step: 'square', title: 'Square the ends' },
      wait: { words: 'tube glue sets' },
    })
  })
  it('counts hands-on time down to what is left', () => {
    expect(of().handsOnLeft).toBeCloseTo(trace(plan).handsOn.value, 6)
    expect(of(begin, done(60, 2, 'cut')).handsOnLeft).toBeCloseTo(trace(plan).handsOn.value - 60, 6)
  })
})
