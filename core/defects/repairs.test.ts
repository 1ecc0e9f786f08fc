import fc from 'fast-check'
import { defects, repairRows } from '../../reference'
import { chance as chanceOf } from '../../tests/support/chance'
import { defectKinds, workStages } from './defect'
import { chanceRange, repairs, type RepairPlace } from './repairs'

const place: RepairPlace = { stage: 'turn', material: 'wood', hasCa: true, film: true, coatsToCome: true, twoBarrels: false, toTurnOff: 0 }
const ways = (kind: (typeof defectKinds)[number], size: number, change: Partial<RepairPlace> = {}) =>
  repairs(repairRows, { kind, size }, { ...place, ...change }).map(one => one.way)

it('a chip that goes with the shavings is turned out, a small one filled, a large one means a new blank', () => {
  expect(ways('chip', 1, { toTurnOff: 2 })).toEqual(['turn it out', 'shavings and CA', 'new blank'])
  expect(ways('chip', 0.4)).toEqual(['thin CA', 'shavings and CA', 'new blank'])
  expect(ways('chip', 8)).toEqual(['new blank'])
  expect(ways('crack', 20)).toEqual(['new blank'])
})
it('resin takes clear CA, a hybrid either, and without CA only another barrel helps', () => {
  expect(ways('void', 1, { material: 'resin' })).toEqual(['clear CA', 'new blank'])
  expect(ways('void', 1, { material: 'both' })).toEqual(['shavings and CA', 'clear CA', 'new blank'])
  expect(ways('chip', 1, { hasCa: false })).toEqual(['new blank'])
})
it('late in the work what was filled early is buried, and a second barrel brings its pair along', () => {
  expect(ways('chip', 1, { stage: 'level' })).toEqual(['bury', 'new blank'])
  expect(ways('chip', 1, { stage: 'level', twoBarrels: true })).toEqual(['bury', 'new blank', 'new pair'])
})

it('covers every row of the catalogue at every stage where it can be found, each way with its reason and its source (property)', () => {
  for (const entry of defects)
    for (const stage of entry.stages)
      expect([
        entry.kind,
        stage,
        ways(entry.kind, entry.usual, { stage, toTurnOff: 1 }).filter(way => way !== 'new blank').length > 0,
      ]).toEqual([entry.kind, stage, true])
})

it('every row is offered somewhere: for one of its kinds, at one of its stages, in some size and material', () => {
  const both = [true, false]
  const places = (['wood', 'resin', 'both'] as const).flatMap(material =>
    both.flatMap(film => both.flatMap(coatsToCome => [0, 30].map(toTurnOff => ({ material, film, coatsToCome, toTurnOff })))),
  )
  for (const row of repairRows) {
    const offered = row.kinds.flatMap((kind) => {
      const found = defects.find(entry => entry.kind === kind)!.stages
      const stages = row.stages.filter(stage => found.includes(stage))
      const at = stages.flatMap(stage => places.map(one => ({ ...one, stage, twoBarrels: true })))
      return at.flatMap(one => [0.1, 0.4, 1, 3, 8, 20].flatMap(size => ways(kind, size, one)))
    })
    expect([row.way, row.kinds, offered.includes(row.way)]).toEqual([row.way, row.kinds, true])
    expect(row.source.mark).toBe('trade')
  }
})

it('the chance is the table’s until one’s own record says more, and a way that failed here is half as likely (property)', () => {
  const chance = (record: { worked: number, failed: number }, tried: number) =>
    repairs(
      repairRows,
      { kind: 'chip', size: 1 },
      place,
      () => record,
      Array.from({ length: tried }, () => 'shavings and CA' as const),
    ).find(one => one.way === 'shavings and CA')!.chance
  // 0.85 counts as six mends: with four that failed (0.85 · 6) / 10.
  expect(chance({ worked: 0, failed: 4 }, 0)).toBeCloseTo(0.51, 10)
  expect(chance({ worked: 0, failed: 0 }, 1)).toBeCloseTo(0.425, 10)
  fc.assert(
    fc.property(fc.nat(50), fc.nat(50), fc.nat(3), (worked, failed, tried) => {
      const now = chance({ worked, failed }, tried)
      expect(now).toBeGreaterThan(0)
      expect(chance({ worked: worked + 1, failed }, tried)).toBeGreaterThan(now)
      expect(chance({ worked, failed: failed + 1 }, tried)).toBeLessThan(now)
    }),
  )
})

it('its range is that of a Beta with the table’s chance worth six mends, moved by one’s own (simulated)', () => {
  const range = (worked: number, failed: number) => {
    const all = repairs(repairRows, { kind: 'chip', size: 1 }, place, () => ({ worked, failed }))
    return chanceRange(all.find(one => one.way === 'shavings and CA')!)
  }
  const { uniform, normal } = chanceOf(3)
  // A Beta is the share of one of two gamma draws (Marsaglia and Tsang 2000 [mem]).
  const gamma = (shape: number): number => {
    if (shape < 1) return gamma(shape + 1) * uniform() ** (1 / shape)
    const d = shape - 1 / 3
    for (;;) {
      const z = normal()
      const v = (1 + z / Math.sqrt(9 * d)) ** 3
      if (v > 0 && Math.log(uniform()) < z ** 2 / 2 + d - d * v + d * Math.log(v)) return d * v
    }
  }
  for (const [worked, failed] of [[0, 0], [3, 2], [20, 30]] as const) {
    const [good, bad] = [0.85 * 6 + worked, 0.15 * 6 + failed]
    const drawn = Array.from({ length: 20_000 }, () => {
      const one = gamma(good)
      return one / (one + gamma(bad))
    }).sort((a, b) => a - b)
    const { low, likely, high } = range(worked, failed)
    const off = [low - drawn[1000]!, likely - drawn[10_000]!, high - drawn[19_000]!]
    expect(off.map(value => Math.abs(value) < 0.02)).toEqual([true, true, true])
  }
  expect(range(20, 30).high - range(20, 30).low).toBeLessThan(range(0, 0).high - range(0, 0).low)
})

it('any defect of any size at any stage has a way out (property)', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...defectKinds),
      fc.constantFrom(...workStages),
      fc.double({ min: 0.05, max: 60, noNaN: true }),
      (kind, stage, size) => {
        expect(ways(kind, size, { stage })).toContain('new blank')
      },
    ),
  )
})
