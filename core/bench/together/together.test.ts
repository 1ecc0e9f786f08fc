import fc from 'fast-check'
import { eventAt, momentAt, planFor, recordOf } from '../../../tests/support/inputs'
import type { Plan, Step } from '../../plan'
import type { BenchEvent } from '../event'
import { sandingObservations } from '../observations'
import { replay } from '../replay'
import { operationOf } from './operation'
import { shared } from './share'

const step = (plan: Plan, kind: Step['kind']): Step => plan.steps.find(one => one.kind === kind)!
const key = (plan: Plan, kind: Step['kind']) => operationOf(step(plan, kind), plan.inputs)?.key
const [apple, pear, twist] = [planFor('apple', 'click-8'), planFor('pear', 'click-8'), planFor('apple', 'twist-7')]

describe('what can be done together', () => {
  it('is the same with the same things in hand: paper, bottle, glue for any fitting; bushings and lengths of one fitting', () => {
    const alike = (one: Plan, other: Plan) => (kind: Step['kind']) => key(one, kind) === key(other, kind)
    const kinds = ['tube', 'sand', 'coat', 'cut', 'drill', 'turn', 'ends', 'assemble'] as const
    expect(kinds.filter(alike(apple, pear))).toEqual(kinds)
    expect(kinds.filter(alike(apple, twist))).toEqual(['tube', 'sand', 'coat'])
  })
  it('is told with what is changed once for all', () => {
    const saves = (kind: Step['kind']) => operationOf(step(apple, kind), apple.inputs)?.saves
    expect((['drill', 'tube', 'turn', 'sand', 'coat'] as const).map(saves)).toEqual(['bit', 'glue', 'bushings', 'paper', 'bottle'])
  })
  it('is no mend: that is each pen’s own', () => {
    expect(operationOf({ ...step(apple, 'sand'), mend: 'd1' as never }, apple.inputs)).toBeNull()
  })
  it('another grit, another wetness of the coat or another speed is another operation', () => {
    const [first, second] = apple.steps.filter(one => one.kind === 'sand')
    expect(operationOf(first!, apple.inputs)!.key).not.toBe(operationOf(second!, apple.inputs)!.key)
    const coat = apple.steps.find(one => one.kind === 'coat')!
    expect(operationOf({ ...coat, speed: coat.speed + 100 }, apple.inputs)!.key).not.toBe(operationOf(coat, apple.inputs)!.key)
  })
})

describe('the time of an operation on several pens', () => {
  it('is shared between them, one after the other', () => {
    const pens = ['a', 'b', 'c', 'd'].map(pen => ({ pen, notBefore: momentAt(0) }))
    expect(shared(pens, momentAt(100), momentAt(300))).toEqual(
      ['a', 'b', 'c', 'd'].map((pen, index) => ({ pen, at: momentAt(150 + 50 * index), seconds: 50 })))
  })
  it('adds up, keeps its order, and no pen is done before it could be or after all were (property)', () => {
    const worked = fc.record({ pen: fc.uuid(), notBefore: fc.integer({ min: 0, max: 4000 }).map(momentAt) })
    fc.assert(fc.property(fc.array(worked, { minLength: 1, maxLength: 40 }), fc.integer({ min: 0, max: 3600 }), (pens, lasts) => {
      const [began, ends] = [4000, 4001 + lasts]
      const all = shared(pens, momentAt(began), momentAt(ends))
      expect(all).toHaveLength(pens.length)
      expect(all.reduce((sum, one) => sum + one.seconds, 0)).toBeCloseTo(ends - began, 6)
      const times = all.map(one => Date.parse(one.at))
      times.slice(1).forEach((at, index) => expect(at).toBeGreaterThan(times[index]!))
      all.forEach(({ at }) => expect(at >= momentAt(began) && at <= momentAt(ends)).toBe(true))
    }))
  })
  it('a pen whose wait ended meanwhile comes after those that were ready, and not before its end', () => {
    const pens = [{ pen: 'late', notBefore: momentAt(290) }, { pen: 'ready', notBefore: momentAt(0) }]
    expect(shared(pens, momentAt(100), momentAt(300)).map(one => [one.pen, one.at])).toEqual(
      [['ready', momentAt(200)], ['late', momentAt(300)]])
  })
})

describe('a step done together', () => {
  const ids = apple.steps.map(one => one.id)
  const grit = ids.indexOf(step(apple, 'sand').id)
  const log = ids.slice(0, grit).map((id, index): BenchEvent =>
    eventAt(index * 100 + (index % 2) * 30, index + 1, { kind: 'done', payload: { step: id } }))
  const end = grit * 100 + 400
  const together = (seconds: number) => eventAt(end, 500, { kind: 'done', payload: { step: ids[grit]!, shared: { seconds, pens: 8 } } })
  const row = (events: BenchEvent[]) => recordOf(apple, events).rows[grit]!

  it('has its part of the time, not what went by since its own last entry', () => {
    expect(row([...log, together(50)])).toMatchObject({ handsOn: 50, timing: 'measured' })
    expect(row([...log, eventAt(end, 500, { kind: 'done', payload: { step: ids[grit]! } })]).handsOn).toBeGreaterThan(300)
  })
  it('teaches how long its sanding took, by its part', () => {
    expect(sandingObservations(replay(apple, [...log, together(50)]))).toMatchObject([{ gone: 50 }])
    const look = eventAt(end - 100, 499, { kind: 'look', payload: { step: ids[grit]!, answer: 'not yet' } })
    expect(sandingObservations(replay(apple, [...log, look, together(50)]))).toEqual([])
  })
  it('a part that is a pause takes the planned time', () => {
    const pause = row([...log, together(6000)])
    expect(pause).toMatchObject({ timing: 'planned', handsOn: pause.planned })
  })
})
