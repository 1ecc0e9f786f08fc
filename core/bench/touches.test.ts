import { must } from '../../core/sure'
import { eventAt, planFor } from '../../tests/support/inputs'
import { boardOf } from './board'
import type { BenchEvent } from './event'
import { levelledOf } from './levelled'
import { replay } from './replay'
import { touchesOf } from './touches'
import { usualOf } from './evidence/usual'

const plan = planFor('apple', 'click-8')
const ids = plan.steps.map(step => step.id)
const done = (seconds: number, number: number, step: string): BenchEvent => eventAt(seconds, number, { kind: 'done', payload: { step } })
const upTo = (step: string): BenchEvent[] => ids.slice(0, ids.indexOf(step) + 1).map((id, index) => done(index * 400, index + 1, id))
/** The first coat is on, and the second one waits for it. */
const [first, second] = plan.steps.filter(step => step.kind === 'coat').map(step => step.id) as [string, string]
const log = upTo(first)
const on = (log.length - 1) * 400
const touch = (seconds: number, felt: 'tacky' | 'hard', number = 900) =>
  eventAt(on + seconds, number, { kind: 'touch', payload: { step: second, felt } })
const wait = (...more: BenchEvent[]) => must(replay(plan, [...log, ...more]).waits.find(one => one.before === second), 'it waits')
const length = must(wait(), 'it waits').length.value
/** A quarter of it, and half a minute at least. */
const longer = Math.max(30, length / 4)
const lasts = (...more: BenchEvent[]) => {
  const { from, until } = wait(...more)
  return (Date.parse(until) - Date.parse(from)) / 1000
}

describe('a coat that is touched while it waits', () => {
  it('waits no longer when it is hard, and a while on when it is still tacky at the end', () => {
    expect(lasts()).toBeCloseTo(length, 3)
    expect(lasts(touch(length / 2, 'hard'))).toBeCloseTo(length / 2, 2)
    expect(lasts(touch(length, 'tacky'))).toBeCloseTo(length + longer, 2)
    expect(lasts(touch(2 * length, 'tacky'))).toBeCloseTo(2 * length + longer, 2)
  })
  it('is as it is in the middle of its wait when it is tacky; the last touch counts; what is taken back does not', () => {
    expect(lasts(touch(length - 2 * longer, 'tacky'))).toBeCloseTo(length, 2)
    expect(lasts(touch(length / 2, 'hard'), touch(length, 'tacky', 901))).toBeCloseTo(length + longer, 2)
    const back = eventAt(on + length, 902, { kind: 'undo', payload: { entries: [touch(0, 'hard').id] } })
    expect(lasts(touch(length / 2, 'hard'), back)).toBeCloseTo(length, 3)
  })
  it('the next coat is not early where the one before was hard', () => {
    const coat = done(on + length / 2 + 2, 950, second)
    const off = (...more: BenchEvent[]) => replay(plan, [...log, ...more, coat]).offTime.filter(one => one.step === second)
    expect(off()).toMatchObject([{ when: 'early' }])
    expect(off(touch(length / 2, 'hard'))).toEqual([])
  })
  it('a wait that accelerator makes short can be cut short too', () => {
    const coats = plan.steps.filter(step => step.kind === 'coat')
    const at = coats.findIndex((one, index) => one.accelerated && coats[index + 1]?.gate)
    const [quick, after] = [coats[at]!.id, coats[at + 1]!.id]
    const on = ids.indexOf(quick) * 400
    const off = (gap: number) => replay(plan, [...upTo(quick), done(on + gap, 950, after)]).offTime.filter(one => one.step === after)
    const wait = must(replay(plan, upTo(quick)).waits.find(one => one.before === after), 'it waits').length.value
    expect(wait).toBeLessThan(30)
    expect(off(2)).toMatchObject([{ when: 'early', by: expect.closeTo(wait - 2, 2) as number }])
    expect(off(wait + 1)).toEqual([])
  })
  it('teaches how long its product waits, against the wait without what was learnt', () => {
    const tells = [{ felt: 'hard', part: expect.closeTo(0.5, 3) as number }]
    expect(touchesOf(replay(plan, [...log, touch(length / 2, 'hard')]), [])).toMatchObject(tells)
    const product = must(plan.steps.find(step => step.kind === 'coat'), 'it is coated').product.id
    const slow = { ...plan, inputs: { ...plan.inputs, waits: { [product]: 2 } } }
    expect(must(replay(slow, log).waits.find(one => one.before === second), 'it waits').length.value).toBeCloseTo(2 * length, 3)
    expect(touchesOf(replay(slow, [...log, touch(length / 2, 'hard')]), [])).toMatchObject(tells)
  })
  it('touches of what cures for a day, and of what does not wait, tell nothing', () => {
    const last = ids.at(-1)!
    const all = upTo(ids.at(-2)!)
    const touched = eventAt(all.length * 400 + 60, 900, { kind: 'touch', payload: { step: last, felt: 'hard' } })
    const [before, after] = [replay(plan, all), replay(plan, [...all, touched])]
    expect(after.waits).toEqual(before.waits)
    expect(touchesOf(after, [])).toEqual([])
  })
})

it('a levelling teaches once all of it is done, or once it went through; before that nothing', () => {
  const level = must(plan.steps.find(step => step.kind === 'level'), 'it is levelled')
  const told = (...events: BenchEvent[]) => levelledOf(boardOf(plan, events))
  expect(told(...upTo(ids[ids.indexOf(level.id) - 1]!))).toEqual([])
  const through = eventAt(90_000, 901, {
    kind: 'defect', payload: { kind: 'sand-through', barrel: 'only', fromTip: 1, size: 2, step: level.id },
  })
  expect(told(...upTo(level.id), through)).toMatchObject([{ through: true, wood: 6 }])
  const all = told(...upTo(ids.at(-1)!))
  expect(all).toHaveLength(plan.steps.filter(step => step.kind === 'level').length)
  for (const one of all) expect(one).toMatchObject({ through: false, mean: expect.any(Number) as number })
  expect(Math.min(...all.map(one => one.takes))).toBeGreaterThan(1)
})

it('what is usual is told by the plan alone', () => {
  expect(usualOf(plan)).toMatchObject({ 'oily wood': false, 'bleeding wood': false, 'brittle resin': false })
  const coats = plan.steps.filter(step => step.kind === 'coat')
  expect(usualOf(plan).accelerated).toBe(coats.some(one => one.accelerated))
  expect(usualOf(planFor('apple', 'click-8', { method: { ...plan.inputs.method, layers: [] } }))).not.toHaveProperty('towel')
})
