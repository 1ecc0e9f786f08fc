import { eventAt, momentAt, planFor, recordOf } from '../../tests/support/inputs'
import type { AirReading } from '../climate'
import { boardOf } from './board'
import { jobOf } from './next/job-of'
import type { Entry } from './event'

const plan = planFor('apple', 'click-8')
const done = (step: string): Entry => ({ kind: 'done', payload: { step } })
const log = [eventAt(0, 1, done('parts')), eventAt(100, 2, done('cut'))]
const cut = (air: AirReading[] = [], elsewhere: string[] = []) =>
  recordOf(plan, log, air, elsewhere).rows.find(row => row.step.id === 'cut')!

describe('hands-on time', () => {
  it('counts from the entry before, on whatever pen that was', () => {
    expect(cut()).toMatchObject({ handsOn: 100, timing: 'measured' })
    expect(cut([], [momentAt(20), momentAt(70), momentAt(130)])).toMatchObject({ handsOn: 30, timing: 'measured' })
  })
  it('a pause is recognised, told, and not counted', () => {
    const late = [log[0]!, eventAt(4000, 2, done('cut'))]
    const row = recordOf(plan, late).rows.find(one => one.step.id === 'cut')!
    expect(row).toMatchObject({ handsOn: row.planned, timing: 'planned' })
    expect(row.pause).toBeCloseTo(4000 - row.planned, 6)
  })
  it('can be put right afterwards, and left as measured again', () => {
    const right = (seconds: number | null, number: number) =>
      eventAt(5000 + number, number, { kind: 'time', payload: { step: 'cut', seconds } })
    const row = (events: typeof log) => recordOf(plan, events).rows.find(one => one.step.id === 'cut')!
    expect(row([...log, right(45, 3)])).toMatchObject({ handsOn: 45, timing: 'yours' })
    expect(row([...log, right(45, 3), right(null, 4)])).toMatchObject({ handsOn: 100, timing: 'measured' })
    expect(recordOf(plan, [...log, right(45, 3)]).handsOn).toBe(recordOf(plan, log).handsOn - 55)
  })
})

describe('what is left on a pen tonight', () => {
  const at = (step: string, now: number) => {
    const ids = plan.steps.map(one => one.id)
    const before = ids.slice(0, ids.indexOf(step)).map((id, index, all) => eventAt((index - all.length + 1) * 60, index, done(id)))
    return jobOf('P', boardOf(plan, before), momentAt(now)).pieces
  }
  it('begins with what a running wait has left, and goes on with the waits to come', () => {
    const pieces = at('coat.2', 30)
    expect(pieces[0]!.wait).toBeCloseTo(45, 6)
    expect(pieces[1]!.wait).toBeGreaterThan(0)
    expect(at('coat.2', 300)[0]!.wait).toBe(0)
  })
  it('ends at a wait that outlasts the evening, and is nothing while one runs', () => {
    expect(at('coat.2', 30).length).toBeLessThan(plan.steps.length - plan.steps.findIndex(one => one.id === 'coat.2'))
    expect(at('assemble', 30)).toEqual([])
    // The tube’s epoxy takes two hours: right after it nothing is left tonight but to wait; later the rest of it counts.
    expect(at('square', 3600)[0]!.wait).toBeGreaterThan(0)
  })
})
