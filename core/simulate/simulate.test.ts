import { boardOf, record } from '../bench'
import { methodOf, planFor } from '../../tests/support/inputs'
import { timesAsOften } from '../defects'
import { coatCount, isKind, makePlan, trace, usableBare, type Plan } from '../plan'
import { grainOf } from '../shelf'
import { causes, evidence, methods } from '../../reference'
import { branchAlong, branchOf, canBeKept, changesFor, changeWord } from './branch'
import { foresee } from './foresee'
import { handOf, type Hand } from './hand'
import { simulatedLog } from './log'
import { playing, playMany } from './many'
import { sharesOf } from './matters'
import { normals } from '../chance'
import { playable } from './play'

const handFor = (plan: Plan, change: Partial<Hand> = {}): Hand => ({ ...handOf(plan.inputs.material), ...change })
const METHODS = [
  'ca-thin-first', 'ca-medium-first', 'ca-medium-only', 'ca-thin-staged', 'friction-polish', 'sealer-lacquer-wax', 'oil', 'bare-polish',
]
const plans = METHODS.flatMap(method => ['damson', 'oak', 'green-resin'].flatMap((wood) => {
  try {
    return [planFor(wood, 'click-8', { method: methodOf(method) })]
  } catch {
    return []
  }
}))
/** A hand of which everything is known but what chance decides on the way to a sand-through. */
const KNOWN: Partial<Hand> = { sanding: { rate: 0, capacity: 0, overhead: 0 }, builds: { usual: 0 }, waits: { usual: 0 } }

describe('a run', () => {
  it('with nothing out of the ordinary is the plan as it is traced, for every finish and blank', () => {
    expect(plans.length).toBeGreaterThan(15)
    for (const plan of plans) {
      const [traced, { play, size }] = [trace(plan), playable(plan, handFor(plan))]
      const found = play(new Float64Array(size))
      expect(found.hands).toBeCloseTo(traced.handsOn.value, 6)
      expect(found.ready).toBeCloseTo(traced.untilHandOver.value, 6)
      expect(found.film).toBeCloseTo(Math.max(0, traced.filmLeft.value), 6)
      expect(found.taken).toBeCloseTo(traced.sandingTakes.value, 6)
      expect([found.through, found.soft]).toEqual([0, 0])
    }
  })
  it('goes through the film as often as the chance that is told of a levelling', () => {
    const plan = planFor('damson', 'click-8', { method: methodOf('ca-thin-first'), wishes: { tool: 'skew', film: 'close' } })
    const [risk] = trace(plan).steps.flatMap(one => one.risk ?? [])
    const { play, size, unknowns } = playable(plan, handFor(plan, KNOWN))
    const next = normals(5)
    const counts = ['coats', 'laid', 'wood', 'over']
    const [runs, hits] = [20_000, { through: 0, throughEdges: 0 }]
    for (let run = 0; run < runs; run++) {
      const x = new Float64Array(size)
      for (const { id, from, count } of unknowns) {
        if (counts.includes(id)) for (let place = from; place < from + count; place++) x[place] = next()
      }
      const found = play(x)
      hits.through += found.through
      hits.throughEdges += found.throughEdges
    }
    // Only the first levelling of it is looked at: it has no other.
    expect(trace(plan).steps.filter(one => one.risk)).toHaveLength(1)
    expect(Math.abs(hits.throughEdges / runs - risk!.edges)).toBeLessThan(0.1 * risk!.edges + 0.004)
    expect(Math.abs(hits.through / runs - risk!.open)).toBeLessThan(0.15 * risk!.open + 0.004)
  })
  it('whose eye is satisfied too soon takes less off, in less time', () => {
    const plan = planFor('damson', 'click-8', { method: methodOf('ca-thin-first') })
    const { play, size, unknowns } = playable(plan, handFor(plan))
    const eye = unknowns.find(one => one.id === 'eye')!
    const soon = new Float64Array(size).fill(-2, eye.from, eye.from + eye.count)
    const [hasty, usual] = [play(soon), play(new Float64Array(size))]
    expect(hasty.taken).toBeLessThan(0.9 * usual.taken)
    expect(hasty.hands).toBeLessThan(usual.hands)
  })
  it('of many the film on the mean is that of the trace where only builds vary: it is linear in them', () => {
    const plan = planFor('damson', 'click-8', { method: methodOf('ca-medium-only') })
    const hand = handFor(plan, { builds: { usual: 0.15 } })
    const { film } = playMany(playable(plan, hand), 6000, 3)
    expect(Math.abs(film.mean / trace(plan).filmLeft.value - 1)).toBeLessThan(0.02)
    expect(film.low).toBeLessThan(0.85 * film.middle)
    expect(film.high).toBeGreaterThan(1.15 * film.middle)
  })
})

describe('many runs', () => {
  const plan = planFor('damson', 'click-8', { method: methodOf('ca-thin-first') })
  const play = (change: Partial<Hand> = {}, of = plan) => playMany(playable(of, handFor(of, change)), 2000, 11)
  it('are the same by the same seed, and others by another', () => {
    const of = () => playable(plan, handFor(plan))
    expect(playMany(of(), 300, 4)).toEqual(playMany(of(), 300, 4))
    expect(playMany(of(), 300, 5)).not.toEqual(playMany(of(), 300, 4))
    expect([...playing(of(), 1100, { every: 500 })].map(one => one.runs)).toEqual([500, 1000, 1100])
    expect(() => playMany(of(), 0)).toThrow(RangeError)
  })
  it('hurried waits are over sooner and catch coats that are soft; kept ones catch none', () => {
    const [kept, hurried] = [play(), play({ hurry: 0.5 })]
    expect(kept.soft).toBe(0)
    expect(hurried.soft).toBeGreaterThan(0.5)
    expect(hurried.ready.middle).toBeLessThan(kept.ready.middle)
    expect(play({ hurry: 0.8 }).soft).toBeLessThan(hurried.soft)
  })
  it('a beginner takes longer and goes through more often; what is known of a hand narrows what it does', () => {
    const [usual, beginner, known] = [play(), play({ beginner: true }), play(KNOWN)]
    expect(beginner.hands.middle).toBeGreaterThan(1.4 * usual.hands.middle)
    expect(beginner.throughEdges).toBeGreaterThan(usual.throughEdges)
    expect(known.film.high - known.film.low).toBeLessThan(0.6 * (usual.film.high - usual.film.low))
  })
  it('less depth is fewer coats, less film and more sand-throughs', () => {
    const thin = planFor('damson', 'click-8', { method: methodOf('ca-thin-first'), wishes: { tool: 'skew', film: 'close', depth: 10 } })
    const [less, more] = [play({}, thin), play()]
    expect(less.film.middle).toBeLessThan(more.film.middle)
    expect(less.throughEdges).toBeGreaterThanOrEqual(more.throughEdges)
    expect(less.ready.middle).toBeLessThan(more.ready.middle)
  })
})

describe('a branch', () => {
  const plan = planFor('damson', 'click-8', { method: methodOf('ca-thin-first') })
  const changes = changesFor(plan, methods)
  const of = (word: string) => branchOf(plan, changes.find(one => changeWord(one) === word)!, methods)
  const grits = (of: Plan) => of.steps.filter(isKind('sand')).map(step => step.abrasive.id)
  it('leaves the grit out that was named, and no two are named alike', () => {
    expect(new Set(changes.map(changeWord)).size).toBe(changes.length)
    for (const id of grits(plan)) expect(grits(of(`without.${id}`).plan)).not.toContain(id)
    const own = planFor('damson', 'click-8', { wishes: { tool: 'skew', film: 'gloss', ladder: grits(plan) } })
    expect(grits(branchOf(own, { kind: 'without', abrasive: grits(plan)[0]! }, methods).plan)).toEqual(grits(plan).slice(1))
    expect(changesFor(plan, methods, new Set(plan.steps.map(step => step.id))).some(one => one.kind === 'without')).toBe(false)
  })
  it('has another depth, finish, room, paper or hand, and says which of them a plan can keep', () => {
    expect(trace(of('depth.80').plan).filmLeft.value).toBeGreaterThan(trace(plan).filmLeft.value + 20)
    expect(of('method.oil').plan.inputs.method.id).toBe('oil')
    expect(trace(of('colder').plan).untilHandOver.value).toBeGreaterThan(trace(plan).untilHandOver.value)
    expect(trace(of('warmer').plan).untilHandOver.value).toBeLessThanOrEqual(trace(plan).untilHandOver.value)
    expect(of('damper').plan.inputs.climate.humidity).toBe(75)
    expect(trace(of('worn').plan).handsOn.value).toBeGreaterThan(trace(plan).handsOn.value)
    expect([of('hurry').hand, of('beginner').hand]).toEqual([{ hurry: 0.5 }, { beginner: true }])
    expect(changes.filter(canBeKept).map(one => one.kind)).not.toContain('colder')
    expect(canBeKept({ kind: 'without', abrasive: 'x' })).toBe(true)
    expect(() => branchOf(plan, { kind: 'method', method: 'none' }, methods)).toThrow()
  })
  it('has so many coats as it says, of the deepest film that asks for no more', () => {
    for (const [method, material] of [['ca-thin-first', 'damson'], ['ca-thin-first', 'apple'], ['ca-medium-only', 'pear']] as const) {
      const own = planFor(material, 'click-8', { method: methodOf(method) })
      const offered = changesFor(own, methods).filter(one => one.kind === 'coats')
      expect(offered.map(one => one.count)).not.toContain(coatCount(own))
      for (const change of offered) {
        const { plan: branch } = branchOf(own, change, methods)
        expect([method, material, coatCount(branch)]).toEqual([method, material, change.count])
        const { wishes } = branch.inputs
        const deeper = makePlan({ ...branch.inputs, wishes: { ...wishes, depth: wishes.depth! * 1.03 } })
        if (wishes.depth! < 77) expect(coatCount(deeper)).toBeGreaterThan(change.count)
      }
    }
    expect(changesFor(plan, methods).filter(one => one.kind === 'coats').length).toBeGreaterThanOrEqual(3)
    expect(changesFor(planFor('apple', 'click-8', { method: methodOf('oil') }), methods).some(one => one.kind === 'coats')).toBe(false)
  })
  it('has another paper in the place of one, the nearest on either side, and the ladder stays one', () => {
    const papers = changes.filter(one => one.kind === 'paper')
    expect(papers.length).toBeGreaterThan(0)
    const grain = (id: string) => grainOf(plan.inputs.shelf.abrasives.find(one => one.id === id)!)
    for (const change of papers) {
      const next = grits(branchOf(plan, change, methods).plan)
      expect(next).toEqual(grits(plan).map(id => (id === change.abrasive ? change.other : id)))
      expect(next.map(grain)).toEqual(next.map(grain).sort((a, b) => b - a))
      // Nothing on the shelf that could stand there lies between the two.
      const [scale, other] = [change.abrasive, change.other].map(id => plan.inputs.shelf.abrasives.find(one => one.id === id)!.scale)
      expect(other).toBe(scale)
      const between = usableBare(plan.inputs).filter(one => one.scale === scale).map(one => one.id).filter((id) => {
        const [low, high] = [grain(change.abrasive), grain(change.other)].sort((a, b) => a - b) as [number, number]
        return grain(id) > low && grain(id) < high
      })
      expect(between).toEqual([])
    }
    expect([canBeKept(papers[0]!), canBeKept({ kind: 'coats', count: 4 })]).toEqual([true, true])
  })
  it('what is done stays done', () => {
    const done = new Set(plan.steps.slice(0, plan.steps.findIndex(step => step.kind === 'coat') + 1).map(step => step.id))
    const { steps } = branchOf(plan, { kind: 'depth', um: 80 }, methods, done).plan
    for (const id of done) expect(steps.map(step => step.id)).toContain(id)
  })
})

describe('what matters', () => {
  const one = (id: string, from: number) => ({ id, from, count: 1 })
  /** A standard normal number as one that is even from 0 to 1 (Abramowitz and Stegun 26.2.17 [mem], to seven digits). */
  const even = (z: number) => {
    const t = 1 / (1 + 0.2316419 * Math.abs(z))
    const tail = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)
      * t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
    return z < 0 ? tail : 1 - tail
  }
  it('is what is known of the function of Ishigami (a = 7, b = 0.1) [mem]: 0.3139, 0.4424, 0; in all 0.5576, 0.4424, 0.2437', () => {
    const at = (z: number) => Math.PI * (2 * even(z) - 1)
    const f = (x: ArrayLike<number>) => Math.sin(at(x[0]!)) + 7 * Math.sin(at(x[1]!)) ** 2 + 0.1 * at(x[2]!) ** 4 * Math.sin(at(x[0]!))
    const shares = new Map(sharesOf(f, [one('a', 0), one('b', 1), one('c', 2)], { runs: 20_000 }).map(each => [each.id, each]))
    const told: [string, number, number][] = [['a', 0.3139, 0.5576], ['b', 0.4424, 0.4424], ['c', 0, 0.2437]]
    for (const [id, alone, total] of told) {
      expect(Math.abs(shares.get(id)!.alone - alone)).toBeLessThan(0.03)
      expect(Math.abs(shares.get(id)!.total - total)).toBeLessThan(0.03)
    }
  })
  it('is what is known of Sobol’s g: each alone 1 / (3 (1 + a)²) of the whole [mem]', () => {
    const as = [0, 1, 4.5, 9]
    const f = (x: ArrayLike<number>) => as.reduce((all, a, index) => all * ((Math.abs(4 * even(x[index]!) - 2) + a) / (1 + a)), 1)
    const parts = as.map(a => 1 / (3 * (1 + a) ** 2))
    const whole = parts.reduce((all, part) => all * (1 + part), 1) - 1
    const shares = sharesOf(f, as.map((_, index) => one(String(index), index)), { runs: 20_000 })
    expect(shares.map(each => each.id)).toEqual(['0', '1', '2', '3'])
    shares.forEach((each, index) => expect(Math.abs(each.alone - parts[index]! / whole)).toBeLessThan(0.03))
  })
  it('of what does not vary nothing matters, and numbers that go together are one unknown', () => {
    expect(sharesOf(() => 4, [one('a', 0)], { runs: 50 })).toEqual([{ id: 'a', alone: 0, total: 0 }])
    const both = sharesOf(x => x[0]! * x[1]! + x[2]!, [{ id: 'both', from: 0, count: 2 }, one('c', 2)], { runs: 8000 })
    for (const { alone, total } of both) {
      expect(Math.abs(alone - 0.5)).toBeLessThan(0.05)
      expect(Math.abs(total - 0.5)).toBeLessThan(0.05)
    }
  })
  it('of the film of a CA finish it is the build, where nobody has measured it', () => {
    const plan = planFor('damson', 'click-8', { method: methodOf('ca-medium-only') })
    const { play, unknowns } = playable(plan, handFor(plan))
    const [first] = sharesOf(x => play(x).film, unknowns, { runs: 400 })
    expect(first!.id).toMatch(/^build:/)
    expect(first!.total).toBeGreaterThan(0.6)
  })
})

describe('a simulated pen', () => {
  const FROM = Date.parse('2019-11-30T18:00:00.000Z')
  const logOf = (plan: Plan, change: Partial<Hand>, seed: number) => {
    let number = 0
    const id = () => `00000000-0000-4000-8000-${String(++number).padStart(12, '0')}`
    const one = playable(plan, handFor(plan, change))
    return { one, log: simulatedLog(plan, one, { pen: id(), from: FROM, device: 'simulated', id }, seed) }
  }
  it('is a log like any other: it replays to a finished pen whose record has the times that were simulated', () => {
    for (const plan of plans) {
      const { one, log } = logOf(plan, {}, 3)
      const { state, traced } = boardOf(plan, log)
      expect(state.finished).toBe(true)
      expect([state.unreadable, state.offPlan, state.offTime.filter(each => each.when === 'early')]).toEqual([[], [], []])
      const { rows } = record(state, traced)
      const measured = rows.filter(row => row.timing === 'measured')
      expect(measured.length).toBeGreaterThan(rows.length / 3)
      // From when the wait before it was over, or the step before was done.
      for (const row of measured) {
        const index = plan.steps.findIndex(step => step.id === row.step.id)
        const took = one.ends[index]! - (index ? one.ends[index - 1]! : 0)
        expect(row.handsOn!).toBeLessThanOrEqual(took + 0.002)
      }
    }
  })
  it('whose waits were hurried was off time; the same seed is the same pen', () => {
    const plan = planFor('damson', 'click-8', { method: methodOf('ca-thin-first') })
    const early = (change: Partial<Hand>) => boardOf(plan, logOf(plan, change, 5).log).state.offTime.filter(each => each.when === 'early')
    expect(early({}).length).toBe(0)
    expect(early({ hurry: 0.3 }).length).toBeGreaterThan(2)
    expect(logOf(plan, {}, 5).log).toEqual(logOf(plan, {}, 5).log)
    expect(logOf(plan, {}, 6).log).not.toEqual(logOf(plan, {}, 5).log)
  })
  it('that went through has it noted, at the levelling', () => {
    const plan = planFor('damson', 'click-8', { method: methodOf('ca-thin-first'), wishes: { tool: 'skew', film: 'close', depth: 10 } })
    const found = Array.from({ length: 60 }, (_, seed) => boardOf(plan, logOf(plan, { beginner: true }, seed).log).state.defects)
    const through = found.flat()
    expect(through.length).toBeGreaterThan(3)
    expect(through.length).toBeLessThan(60)
    for (const one of through) expect([one.kind, plan.steps.find(step => step.id === one.step)!.kind]).toEqual(['sand-through', 'level'])
  })
})

describe('what the causes of defects speak for', () => {
  const tables = { causes, evidence, judged: {}, usual: {} }
  const told = (plan: Plan, change: Partial<Hand> = {}) => foresee(plan, handFor(plan, change), tables, 12)
  const of = (wood: string) => planFor(wood, 'click-8', { method: methodOf('ca-thin-first') })
  const plan = of('apple')
  it('damp air speaks for blush, a wait cut in half for a soft film; what they do not touch stays', () => {
    const usual = told(plan)
    const damp = told({ ...plan, inputs: { ...plan.inputs, climate: { celsius: 20, humidity: 85 } } })
    expect(damp.blush! / usual.blush!).toBeGreaterThan(10)
    expect(damp.chip).toBeCloseTo(usual.chip!, 2)
    const hurried = told(plan, { hurry: 0.5 })
    expect(hurried['soft film']! / usual['soft film']!).toBeGreaterThan(3)
    expect(hurried.bleed).toBeCloseTo(usual.bleed!, 6)
    expect(usual).not.toHaveProperty('sand-through')
    expect(told(plan)).toEqual(usual)
  })
  it('where and when it would be found, and what is measured, no plan knows: a chip is weighed by the tool and the wood alone', () => {
    const holds = (evidence: string) => ({ evidence, holds: false })
    const known = ['coarse tool', 'figured wood', 'brittle resin'].map(holds)
    expect(told(plan).chip).toBeCloseTo(timesAsOften('chip', causes, evidence, known), 9)
  })
  it('a wood that bleeds speaks for colour bleed', () => {
    expect(told(of('damson')).bleed! / told(plan).bleed!).toBeGreaterThan(1.5)
  })
})

describe('several things otherwise at once', () => {
  const plan = plans[0]!
  it('each counts on what the one before left', () => {
    const both = branchAlong(plan, ['colder', 'damper', 'hurry'], methods)
    expect(both.changes.map(changeWord)).toEqual(['colder', 'damper', 'hurry'])
    expect(both.plan.inputs.climate.celsius).toBe(plan.inputs.climate.celsius - 6)
    expect(both.plan.inputs.climate.humidity).toBe(plan.inputs.climate.humidity + 20)
    expect(both.hand).toEqual({ hurry: 0.5 })
    const grits = plan.steps.filter(isKind('sand')).map(step => `without.${step.abrasive.id}`)
    const without = branchAlong(plan, grits.slice(0, 2), methods)
    expect(without.changes).toHaveLength(2)
    const left = without.plan.steps.filter(isKind('sand')).map(step => `without.${step.abrasive.id}`)
    expect(left.some(one => grits.slice(0, 2).includes(one))).toBe(false)
  })
  it('of some only one can be at a time; words that are none are passed over', () => {
    const words = (...all: string[]) => branchAlong(plan, all, methods).changes.map(changeWord)
    expect(words('colder', 'warmer')).toEqual(['colder'])
    expect(words('depth.20', 'depth.40', 'damper')).toEqual(['depth.20', 'damper'])
    expect(words('damper', 'damper')).toEqual(['damper'])
    expect(words('nothing', 'without.nothing', 'method.')).toEqual([])
    expect(branchAlong(plan, [], methods)).toEqual({ plan, hand: {}, changes: [] })
  })
})
