import fc from 'fast-check'
import { eventAt, momentAt, planFor } from '../../../tests/support/inputs'
import { isGrit, trace, type Plan } from '../../plan'
import { boardOf } from '../board'
import type { BenchEvent } from '../event'
import { openWork } from './open-work'
import { learnPace, USUAL } from './pace'
import { runsOut, takesOf, type Take } from './runs-out'
import { setUpOf, standsSetUp } from './set-up'

const plan = planFor('damson', 'click-8')
const upTo = (of: Plan, step: string, apart = 60): BenchEvent[] =>
  of.steps.slice(0, of.steps.findIndex(one => one.id === step) + 1)
    .map((one, index) => eventAt(index * apart, index + 1, { kind: 'done', payload: { step: one.id } }))
const work = (events: readonly BenchEvent[], now: string, of = plan) => openWork('p', boardOf(of, events), now)

describe('what is left on a pen', () => {
  it('is every open step in its order with its time, its wait after the one before, and what has to be set up', () => {
    const { work: pieces } = work([], momentAt(0))
    const steps = trace(plan).steps
    expect(pieces.map(one => one.step)).toEqual(steps.map(one => one.step.id))
    pieces.forEach((one, at) => {
      const { step, handsOn } = steps[at]!
      expect(one.hands).toBeCloseTo(Math.max(1, handsOn.value), 6)
      expect(one.setUp).toEqual(setUpOf(step, plan.inputs))
    })
    // Squaring waits for the glue, the second coat for the first.
    for (const id of ['square', 'coat.2']) {
      const at = steps.findIndex(one => one.step.id === id)
      expect(pieces[at]!.wait).toBeCloseTo(steps[at]!.wait!.length.value, 6)
    }
    expect(pieces[0]!.wait).toBe(0)
    expect(pieces.find(one => one.step === 'drill')!.setUp).toMatchObject({ kind: 'bit' })
  })
  it('a wait that runs already is as long as it still is', () => {
    const log = upTo(plan, 'tube')
    const glued = Date.parse(log.at(-1)!.at)
    const whole = trace(plan).steps.find(one => one.step.id === 'square')!.wait!.length.value
    const after = (seconds: number) => work(log, new Date(glued + seconds * 1000).toISOString()).work[0]!
    expect(after(30)).toMatchObject({ step: 'square', wait: expect.closeTo(whole - 30, 3) })
    expect(after(whole + 100).wait).toBe(0)
  })
  it('a latest time comes with its wait', () => {
    const oil = planFor('apple', 'click-8', { method: { ...plan.inputs.method } })
    const bound = trace(oil).steps.filter(one => one.wait?.latest)
    const { work: pieces } = work([], momentAt(0), oil)
    for (const one of bound) expect(pieces.find(piece => piece.step === one.step.id)!.latest).toBeDefined()
  })
  it('the turner’s own pace is in it, but of grits, whose time the model of sanding has learnt; a promise too', () => {
    const slow = { factor: 2, spread: 0.1, mends: 0.3, steps: 20 }
    const { work: pieces, due, weight } = openWork('p', boardOf(plan, []), momentAt(0), {
      paces: { turn: slow, sand: slow }, due: momentAt(5000), weight: 3,
    })
    const { work: usual } = work([], momentAt(0))
    const ratio = (step: string) => pieces.find(one => one.step === step)!.hands / usual.find(one => one.step === step)!.hands
    expect([ratio('turn'), ratio('drill'), ratio(plan.steps.find(isGrit)!.id)]).toEqual([2, 1, 1])
    expect(pieces.find(one => one.step === 'turn')).toMatchObject({ spread: 0.1, mend: { chance: 0.3 } })
    expect([due, weight]).toEqual([5000, 3])
  })
  it('no wait is counted twice: worked straight through it ends when handing over is due (property)', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: plan.steps.length - 1 }), (done) => {
      const log = upTo(plan, plan.steps[done]!.id)
      const left = work(log, log.at(-1)!.at).work
      const all = work([], momentAt(0)).work
      const sum = (pieces: typeof left) => pieces.reduce((total, one) => total + one.hands + one.wait, 0)
      expect(left).toHaveLength(plan.steps.length - done - 1)
      expect(sum(left)).toBeLessThanOrEqual(sum(all) + 1e-6)
    }))
  })
})

describe('what is set up', () => {
  it('is what was needed last on any pen, this evening', () => {
    const one = boardOf(plan, upTo(plan, 'drill', 60))
    const other = boardOf(plan, upTo(plan, 'cut', 30))
    const drill = plan.steps.findIndex(step => step.id === 'drill')
    const at = (seconds: number) => standsSetUp([other, one], momentAt(seconds))
    const of = (index: number) => setUpOf(plan.steps[index]!, plan.inputs)
    expect(at(60 * drill)).toEqual(of(drill))
    expect(at(60 * drill - 1)).toEqual(of(drill - 1))
    expect(at(60 * drill + 7300)).toBeUndefined()
    expect(standsSetUp([], momentAt(0))).toBeUndefined()
  })
})

describe('own pace', () => {
  const took = (times: number, count: number) =>
    Array.from({ length: count }, () => ({ seconds: 60 * times, planned: 60, mended: false, change: 0 }))
  it('is the usual one where nothing was timed, and drawn to the turner’s own with every step', () => {
    const { spread, mends } = USUAL
    expect(learnPace([])).toEqual({ steps: 0, factor: 1, spread: expect.closeTo(spread, 9), mends: expect.closeTo(mends, 9) })
    const factors = [1, 5, 20, 100].map(count => learnPace(took(2, count)).factor)
    expect([...factors].sort((a, b) => a - b)).toEqual(factors)
    expect(factors[0]).toBeLessThan(1.2)
    expect(factors[3]).toBeGreaterThan(1.9)
  })
  it('of many with a known spread it finds both (simulated: log-normal, 1.5 times, 0.25)', () => {
    const many = Array.from({ length: 400 }, (_, at) => {
      const z = Math.sqrt(-2 * Math.log((at + 0.5) / 400)) * Math.cos(2 * Math.PI * ((at * 0.618) % 1))
      return { seconds: 90 * Math.exp(0.25 * z), planned: 60, mended: at % 10 === 0, change: 0 }
    })
    const { factor, spread, mends } = learnPace(many)
    expect(factor).toBeCloseTo(1.5, 1)
    expect(spread).toBeCloseTo(0.25, 1)
    expect(mends).toBeCloseTo(0.1, 1)
  })
  it('what cannot be a pace teaches none: nothing, no time, an entry that was forgotten over night', () => {
    const strange = [{ seconds: 0, planned: 60, mended: false, change: 0 }, { seconds: 40_000, planned: 60, mended: false, change: 0 },
      { seconds: NaN, planned: 60, mended: false, change: 0 }, { seconds: 60, planned: 0, mended: false, change: 0 }]
    expect(learnPace(strange)).toMatchObject({ factor: 1, steps: 0 })
    expect(learnPace([...took(2, 10), ...strange]).factor).toBe(learnPace(took(2, 10)).factor)
  })
})

describe('what runs out', () => {
  const take = (pen: string, step: string, amount: number, id = 'ca-thin'): Take => ({ pen, step, of: 'bottle', id, name: id, amount })
  const takes = [take('a', '1', 2), take('b', '1', 3), take('a', '2', 2), take('b', '2', 1, 'wax')]
  const order = [['b', '1'], ['a', '1'], ['b', '2'], ['a', '2']].map(([pen, step]) => ({ pen: pen!, step: step! }))
  it('is told at the piece that goes without, in the order of work, and by how much in all', () => {
    const there = (amount: number) => runsOut(order, takes, one => (one.id === 'ca-thin' ? amount : undefined))
    expect(there(7)).toEqual([])
    expect(there(6)).toMatchObject([{ pen: 'a', step: '2', short: 1 }])
    expect(there(4)).toMatchObject([{ pen: 'a', step: '1', short: 3 }])
    expect(there(0)).toMatchObject([{ pen: 'b', step: '1', short: 7 }])
    // What is not in the order comes last.
    expect(runsOut(order.slice(0, 1), takes, () => 3)).toMatchObject([{ pen: 'a', step: '1' }])
  })
  it('a pen takes its set once, its stick where it is known of which, and each coat from its bottle', () => {
    const own = (log: readonly BenchEvent[]) => takesOf('p', boardOf(plan, log), { id: 'bough', name: 'Bough' })
    const of = (all: readonly Take[], kind: Take['of']) => all.filter(one => one.of === kind)
    const fresh = own([])
    expect([of(fresh, 'set').length, of(fresh, 'stick').length]).toEqual([1, 1])
    expect(of(fresh, 'bottle')).toHaveLength(plan.steps.filter(step => step.kind === 'coat').length)
    const needs = trace(plan).needs.reduce((sum, need) => sum + need.volume.value, 0)
    expect(of(fresh, 'bottle').reduce((sum, one) => sum + one.amount, 0)).toBeCloseTo(needs, 6)
    const begun = own(upTo(plan, 'coat.2'))
    expect([of(begun, 'set').length, of(begun, 'stick').length]).toEqual([0, 0])
    expect(of(begun, 'bottle').length).toBe(of(fresh, 'bottle').length - 2)
    expect(of(takesOf('p', boardOf(plan, [])), 'stick')).toEqual([])
    // Of paper as much as what is to be taken off is of what a fresh piece can; nothing of pads, which are rinsed.
    const grits = trace(plan).steps.filter(one => one.grit && one.grit.uses > 0)
    expect(of(fresh, 'sheet').map(one => [one.step, one.amount])).toEqual(grits.map(one => [one.step.id, one.grit!.uses]))
    expect(grits.length).toBeGreaterThan(1)
    for (const { grit } of grits) expect(grit!.uses).toBeLessThanOrEqual(grit!.pieces)
  })
})
