import fc from 'fast-check'
import type { DefectKind } from '../defects'
import { chance } from '../../tests/support/chance'
import { newestFirst, noticed } from './noticed'
import { traits, type FigureName, type ToldPen, type Trait } from './pens'
import { cellsOf, type Asked } from './cells'
import { controlOf } from './control'
import { conditionOf, conditionText } from './questions'
import { howMuch } from './how-much'
import { pensForTrial, wayAt } from './trial'
import { howOften, surest } from './how-often'

/** A pen of which nothing else matters here. */
const PLAIN: ToldPen = {
  ended: '2019-11-30T20:00:00.000Z', traits: {}, defects: [], mends: 0, failed: 0, scrapped: false, finished: true, figures: {},
}
const KINDS: readonly DefectKind[] = ['chip', 'bleed', 'crack', 'white dots']
interface Log { pens: number, rate: (pen: ToldPen['traits'], kind: DefectKind) => number, seed: number }

/** A log of pens of mixed woods, methods and grits, with defects as often as is said. Some woods are finished by some methods rather. */
function logOf({ pens, rate, seed }: Log): ToldPen[] {
  const { uniform, normal } = chance(seed)
  const pick = (all: readonly string[]) => all[Math.floor(uniform() * all.length)]!
  return Array.from({ length: pens }, (): ToldPen => {
    const own = pick(['light', 'red exotic', 'dense'])
    const traits = {
      'class': own, 'method': uniform() < 0.6 ? (own === 'light' ? 'oil' : 'thin first') : pick(['oil', 'thin first', 'lacquer']),
      'fitting': pick(['click', 'twist']), 'last grit': pick(['P600', 'P2000']), 'applicator': pick(['foam', 'towel']),
      'tool': pick(['skew', 'gouge']),
    }
    return { ...PLAIN, traits, defects: KINDS.filter(kind => uniform() < rate(traits, kind)), figures: { minutes: 300 + 60 * normal() } }
  })
}
const often = (pens: readonly ToldPen[], asked: Asked, by: Trait) => howOften(cellsOf(pens, asked, by), by)
const bleeds = (pen: ToldPen) => pen.defects.includes('bleed')

it('a condition is read back from its text, whatever stands in it (property); other texts are none', () => {
  fc.assert(fc.property(fc.constantFrom(...traits), fc.string({ minLength: 1 }), (trait, value) =>
    expect(conditionOf(conditionText({ trait, value }))).toEqual({ trait, value })))
  for (const text of ['', 'tool', 'tool:', 'toll:skew', ':skew']) expect(conditionOf(text)).toBeUndefined()
})

describe('how often', () => {
  it('of a log without an effect it cannot be told, and says how many pens would be needed', () => {
    const { differences } = often(logOf({ pens: 24, rate: () => 0.2, seed: 4 }), bleeds, 'applicator')
    expect(differences).toHaveLength(2)
    expect(differences[0]!.sureness).toBe('not yet')
    expect(differences[0]!.more === undefined || differences[0]!.more > 3).toBe(true)
  })
  it('finds a true doubling at 40 pens of each in more than four of five logs (30 to 60 in 100)', () => {
    let found = 0
    for (let seed = 1; seed <= 100; seed++) {
      const pens = logOf({ pens: 80, seed, rate: ({ applicator }) => (applicator === 'foam' ? 0.6 : 0.3) })
      const told = surest(often(pens, bleeds, 'applicator'))!
      if (told.sureness !== 'not yet' && (told.value === 'foam') === (told.by.value > 0)) found++
    }
    expect(found).toBeGreaterThan(80)
  })
  it('is the same to the last place in whatever order the counts come (property)', () => {
    const cell = fc.record({
      value: fc.constantFrom('foam', 'towel', 'spray'), class: fc.constantFrom('light', 'dense', null),
      method: fc.constantFrom('oil', 'thin first', null), of: fc.integer({ min: 1, max: 9 }),
      hit: fc.double({ max: 1, min: 0, noNaN: true }),
    }).map(({ hit, ...one }) => ({ ...one, hits: Math.round(hit * one.of) }))
    const cells = fc.uniqueArray(cell, { selector: one => `${one.value} ${one.class} ${one.method}` })
    fc.assert(fc.property(cells.chain(all => fc.tuple(fc.constant(all), fc.shuffledSubarray(all, { minLength: all.length }))),
      ([all, mixed]) => expect(howOften(mixed, 'applicator')).toEqual(howOften(all, 'applicator'))), { numRuns: 500 })
  })
  it('is not fooled where red woods bleed and are finished otherwise (Simpson): like is compared with like, and it says with what', () => {
    const pens: ToldPen[] = []
    const add = (count: number, hits: number, method: string, own: string) => {
      for (let at = 0; at < count; at++) {
        pens.push({ ...PLAIN, traits: { method, class: own }, defects: at < hits ? ['bleed'] : [] })
      }
    }
    // In either class thin first bleeds less; all together more, since red woods have it.
    add(40, 20, 'thin first', 'red')
    add(10, 6, 'medium first', 'red')
    add(10, 0, 'thin first', 'light')
    add(40, 4, 'medium first', 'light')
    const thin = often(pens, bleeds, 'method').differences.find(one => one.value === 'thin first')!
    expect(thin.plain.value).toBeGreaterThan(0.15)
    expect(thin.plain.low).toBeGreaterThan(0)
    expect(thin.mixedWith).toEqual(['class'])
    expect(thin.by.value).toBeCloseTo(-0.1, 6)
    expect(thin.sureness).toBe('not yet')
  })
  it('every pen that tells is in one group, rates are those of their pens, and the question turned round turns them (property)', () => {
    const trait = fc.constantFrom<Trait>('method', 'class', 'last grit', 'coats')
    fc.assert(fc.property(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 1, max: 60 }), trait, (seed, count, by) => {
      const pens = logOf({ pens: count, seed, rate: () => 0.3 })
      const [told, turned] = [often(pens, bleeds, by), often(pens, pen => !bleeds(pen), by)]
      const known = pens.filter(pen => pen.traits[by] !== undefined)
      expect(told.groups.reduce((sum, one) => sum + one.counted.of, 0)).toBe(known.length)
      expect(told.all).toEqual({ hits: known.filter(bleeds).length, of: known.length })
      for (const { value, counted, rate } of told.groups) {
        const own = known.filter(pen => pen.traits[by] === value)
        expect(counted).toEqual({ hits: own.filter(bleeds).length, of: own.length })
        expect(rate.value).toBeCloseTo(counted.hits / counted.of, 9)
      }
      for (const one of told.differences) {
        const other = turned.differences.find(each => each.value === one.value)!
        expect(other.by.value).toBeCloseTo(-one.by.value, 9)
        expect(other.likelihood).toBeCloseTo(one.likelihood, 9)
      }
    }), { numRuns: 40 })
  })
  it('what cannot be told yet takes a pen more at the least: 3 of 3 against 1 of 4', () => {
    const cells = [{ value: 'a', hits: 3, of: 3 }, { value: 'b', hits: 1, of: 4 }].map(one => ({ ...one, class: null, method: null }))
    // Fisher by hand: the tables with 4 hits of 7 that are no likelier than this one, (1 + 4) / 35 [ours].
    expect(howOften(cells, 'tool').differences[0]).toMatchObject({ sureness: 'not yet', more: 1 })
    expect(howOften(cells, 'tool').differences[0]!.likelihood).toBeCloseTo(5 / 35, 9)
  })
  it('pens that tell nothing are left out', () => {
    const pens = logOf({ pens: 20, rate: () => 0.5, seed: 2 })
    const { groups } = often(pens, pen => (pen.traits.tool === 'skew' ? bleeds(pen) : undefined), 'fitting')
    expect(groups.reduce((sum, one) => sum + one.counted.of, 0)).toBe(pens.filter(pen => pen.traits.tool === 'skew').length)
  })
})

describe('how much', () => {
  it('is the figure in the middle of each group, and by how much it is over that of the others', () => {
    const pens = logOf({ pens: 80, rate: () => 0, seed: 5 }).map((pen): ToldPen =>
      (pen.traits.tool === 'gouge' ? { ...pen, figures: { minutes: pen.figures.minutes! + 120 } } : pen))
    const measured = (of: readonly ToldPen[], name: FigureName) =>
      of.map(one => ({ value: one.traits.tool!, figure: one.figures[name] ?? NaN }))
    const told = howMuch(measured(pens, 'minutes'))
    const gouge = told.find(one => one.value === 'gouge')!
    expect(gouge.over!.low).toBeGreaterThan(60)
    expect(gouge.over!.high).toBeLessThan(180)
    expect(gouge.median!.low <= gouge.middle && gouge.middle <= gouge.median!.high).toBe(true)
    expect(howMuch(measured(pens, 'film of a coat'))).toEqual([])
    expect(howMuch(measured(pens.slice(0, 3), 'minutes')).every(one => one.median === undefined)).toBe(true)
  })
})

const looksAt = (pens: readonly ToldPen[]) =>
  KINDS.flatMap(of => traits.map(trait => ({ of, trait, cells: cellsOf(pens, pen => pen.defects.includes(of), trait) })))

describe('what stands out', () => {
  it('of 200 logs with no effect at all at most one in ten announces anything', () => {
    let announces = 0
    for (let seed = 1; seed <= 200; seed++) {
      const { uniform } = chance(seed)
      const rates = new Map(KINDS.map(kind => [kind, 0.05 + 0.35 * uniform()]))
      if (noticed(looksAt(logOf({ pens: 80, seed: seed * 31, rate: (_, kind) => rates.get(kind)! }))).length) announces++
    }
    expect(announces).toBeLessThanOrEqual(20)
  })
  it('names what is there, and of what: foam that makes white spots three times as often', () => {
    let named = 0
    for (let seed = 1; seed <= 20; seed++) {
      const rate = ({ applicator }: ToldPen['traits'], kind: DefectKind) => (kind === 'white dots' && applicator === 'foam' ? 0.6 : 0.2)
      const [first] = noticed(looksAt(logOf({ pens: 120, seed, rate })))
      if (first?.of === 'white dots' && first.trait === 'applicator') named++
    }
    expect(named).toBeGreaterThanOrEqual(16)
  })
  it('never points at who made them, however much they differ; whoever asks is told', () => {
    const pens = logOf({ pens: 120, seed: 3, rate: () => 0.2 }).map((pen, index): ToldPen =>
      ({ ...pen, traits: { ...pen.traits, who: index % 2 ? 'one' : 'another' }, defects: index % 2 ? ['chip'] : [] }))
    expect(noticed(looksAt(pens)).filter(one => one.trait === 'who')).toEqual([])
    const told = howOften(cellsOf(pens, pen => pen.defects.includes('chip'), 'who'), 'who')
    expect(told.differences[0]).toMatchObject({ sureness: 'sure' })
  })
  it('what is new comes first; what stood out before keeps its day, however its figures move', () => {
    const rate = ({ applicator, tool }: ToldPen['traits'], kind: DefectKind) =>
      (kind === 'white dots' && applicator === 'foam') || (kind === 'chip' && tool === 'gouge') ? 0.8 : 0.1
    const found = noticed(looksAt(logOf({ pens: 200, seed: 5, rate }))).slice(0, 2)
    expect(found.map(one => one.of).sort()).toEqual(['chip', 'white dots'])
    const before = [{ ...found[0]!, likelihood: 0.5, since: '2019-01-01' }]
    const told = newestFirst(found, before, '2019-02-02')
    expect(told.map(one => [one.of, one.since])).toEqual([[found[1]!.of, '2019-02-02'], [found[0]!.of, '2019-01-01']])
    expect(told[1]!.likelihood).toBe(found[0]!.likelihood)
    expect(newestFirst(found, [], '2019-02-02').map(one => one.of)).toEqual(found.map(one => one.of))
  })
  it('few pens tell nothing', () => expect(noticed(looksAt(logOf({ pens: 6, seed: 1, rate: () => 0.5 })))).toEqual([]))
})

describe('a trial', () => {
  it('takes so many pens that what is there is found four times in five', () => {
    for (const [one, other] of [[0.6, 0.3], [0.1, 0.5], [0.8, 0.5]] as const) {
      const pens = pensForTrial(one, other)
      const { uniform } = chance(pens)
      let found = 0
      for (let trial = 0; trial < 400; trial++) {
        const hits = (rate: number) => Array.from({ length: pens }, () => uniform() < rate).filter(Boolean).length
        const cells = ([['a', one], ['b', other]] as const).map(([value, rate]) =>
          ({ value, class: null, method: null, hits: hits(rate), of: pens }))
        if (surest(howOften(cells, 'tool'))!.sureness !== 'not yet') found++
      }
      // Fisher's test is stricter than what the number was worked out by.
      expect(found / 400).toBeGreaterThan(0.68)
      expect(found / 400).toBeLessThan(0.93)
    }
  })
  it('takes more for a smaller difference, half as often where they are alike, and never fewer than four', () => {
    expect(pensForTrial(0.3, 0.6)).toBe(pensForTrial(0.6, 0.3))
    expect(pensForTrial(0.3, 0.45)).toBeGreaterThan(pensForTrial(0.3, 0.6))
    expect(pensForTrial(0.4, 0.4)).toBe(pensForTrial(0.4, 0.2))
    expect(pensForTrial(0, 1)).toBe(4)
    expect(pensForTrial(0, 0)).toBe(200)
    expect(() => pensForTrial(-0.1, 0.5)).toThrow(RangeError)
  })
  it('draws two of each pair of pens, either first about as often, the same again for the same trial (property)', () => {
    const ways = ['a', 'b'] as const
    fc.assert(fc.property(fc.nat(), fc.nat(200), (seed, pair) => {
      const both = [wayAt(ways, seed, 2 * pair), wayAt(ways, seed, 2 * pair + 1)]
      expect([...both].sort()).toEqual(['a', 'b'])
      expect(wayAt(ways, seed, 2 * pair)).toBe(both[0])
    }))
    const first = Array.from({ length: 2000 }, (_, pair) => wayAt(ways, 7, 2 * pair)).filter(way => way === 'a').length
    expect(Math.abs(first - 1000)).toBeLessThan(120)
    const others = Array.from({ length: 2000 }, (_, seed) => wayAt(ways, seed, 0)).filter(way => way === 'a').length
    expect(Math.abs(others - 1000)).toBeLessThan(120)
  })
})

describe('how a figure goes from pen to pen', () => {
  it('has bounds of 2.66 mean moving ranges: by hand', () => {
    // Ranges 2, 4, 2, 4, 2, 4, 2: 20 / 7 on the mean.
    const told = controlOf([10, 12, 8, 10, 14, 12, 8, 10])!
    expect(told.middle).toBeCloseTo(10.5, 9)
    expect(told.high - told.middle).toBeCloseTo(2.6596 * (20 / 7), 3)
    expect(told.out).toEqual([])
    expect(controlOf([1, 2, 3, 4, 5, 6, 7])).toBeUndefined()
  })
  it('calls chance out hardly ever, and a pen that is far off nearly always', () => {
    const { normal } = chance(3)
    let [falsely, found] = [0, 0]
    for (let log = 0; log < 200; log++) {
      const values = Array.from({ length: 40 }, () => 60 + 5 * normal())
      falsely += controlOf(values)!.out.length
      if (controlOf([...values, 90])!.out.includes(40)) found++
    }
    expect(falsely / 8000).toBeLessThan(0.012)
    expect(found).toBeGreaterThan(190)
  })
})
