import fc from 'fast-check'
import { simulate, type SimulatedTurner } from '../../tests/support/turner'
import { learnSanding, type SandingObservation } from './learn'

const grit = (change: Partial<SandingObservation>): SandingObservation =>
  ({ depth: 15, capacity: 34.6, tau: 12.4, notYet: [], gone: 32, before: 1, each: 1, ...change })

it('answers the default while nothing is logged, and says that nothing is sure', () => {
  const learnt = learnSanding([])
  expect(learnt).toMatchObject({ observations: 0 })
  expect(learnt.rate.likely).toBeCloseTo(1, 6)
  expect(learnt.capacity.likely).toBeCloseTo(1, 6)
  expect(learnt.overhead.likely).toBeCloseTo(25, 6)
})

it('one answer moves it a little, the next as much as the same; “not yet” late never makes it quicker (property)', () => {
  fc.assert(
    fc.property(fc.double({ min: 20, max: 120, noNaN: true }), fc.double({ min: 5, max: 30, noNaN: true }), (seconds, depth) => {
      const planned = (one: SandingObservation[]) => {
        const { rate, overhead } = learnSanding(one)
        return (12.4 / rate.likely) * -Math.log(1 - 15 / 34.6) + overhead.likely
      }
      const usual = planned([])
      expect(planned([grit({ depth, notYet: [seconds], gone: null })])).toBeGreaterThanOrEqual(usual - 1e-6)
      const moved = planned([grit({ depth, gone: seconds })])
      expect(moved).toBeGreaterThan(usual / 2)
      expect(moved).toBeLessThan(usual * 2)
    }),
    { numRuns: 30 },
  )
})
it('one phone call in the middle is not taken for slowness', () => {
  const usual = Array.from({ length: 12 }, (_, index) => grit({ gone: 30 + (index % 5) }))
  const [without, withIt] = [learnSanding(usual), learnSanding([...usual, grit({ gone: 400 })])]
  expect(Math.abs(withIt.overhead.likely - without.overhead.likely)).toBeLessThan(2)
  expect(withIt.rate.likely / without.rate.likely).toBeGreaterThan(0.85)
})
it('it grows surer, and where the paper is tapped on sanding and changing are told apart', () => {
  const slowHands = (tapped: boolean) => learnSanding(Array.from({ length: 30 }, (_, index) => {
    const paper = 7 + (index % 4)
    return grit({ depth: 15, gone: tapped ? paper + 25 : paper + 50, before: tapped ? 0.5 : 1 })
  }))
  const known = ({ rate: { high, low } }: ReturnType<typeof learnSanding>) => Math.log(high / low)
  expect(known(slowHands(false))).toBeLessThan(known(learnSanding([grit({})])))
  const width = ({ overhead: { high, low } }: ReturnType<typeof learnSanding>) => Math.log(high / low)
  expect(slowHands(true).overhead.likely).toBeGreaterThan(35)
  expect(width(slowHands(false))).toBeLessThan(width(learnSanding([])))
})

// The turners. Everything a turner is was written down apart from the model (tests/support/turner).
const stopping: SimulatedTurner['stops'][] = ['when gone', 'as planned']
describe.each(stopping)('simulated turners who stop %s, 20 pens, plans feeding back', (stops) => {
  const turners = [0.5, 1, 2].flatMap(rate => [10, 25, 45].map((overhead) => {
    const outcomes = [simulate({ rate, overhead, stops, taps: false }, 20, 1000)]
    return { rate, overhead, outcomes }
  }))
  it('plans take 0.85 to 1.2 of the time needed in the median', () => {
    for (const { rate, overhead, outcomes } of turners) {
      const ratios = outcomes.flatMap(one => one.ratios).sort((a, b) => a - b)
      const ratio = ratios[Math.floor(ratios.length / 2)]!
      expect({ rate, overhead, ratio, right: ratio >= 0.85 && ratio <= 1.2 }).toMatchObject({ right: true })
    }
  })
  it('ranges of nine in ten hold the truth in at least 80 of 100', () => {
    const all = turners.flatMap(({ rate, overhead, outcomes }) => outcomes.map(({ learnt }) => ({ rate, overhead, learnt })))
    const part = (held: (one: (typeof all)[number]) => boolean) => all.filter(held).length / all.length
    expect(part(({ rate, learnt }) => rate >= learnt.rate.low && rate <= learnt.rate.high)).toBeGreaterThanOrEqual(0.8)
    const within = (value: number, { low, high }: { low: number, high: number }) => value >= low && value <= high
    expect(part(({ overhead, learnt }) => within(overhead, learnt.overhead))).toBeGreaterThanOrEqual(0.8)
    expect(part(({ learnt }) => learnt.capacity.low <= 1 && learnt.capacity.high >= 1)).toBeGreaterThanOrEqual(0.8)
  })
  it.each(turners)('and for each turner by itself: rate $rate, change $overhead s', ({ rate, overhead }) => {
    const turner = { rate, overhead, stops, taps: false }
    const all = Array.from({ length: 10 }, (_, seed) => simulate(turner, 20, 300 + seed, 'at the end').learnt)
    const truth = { rate, overhead, capacity: 1 }
    for (const key of ['rate', 'overhead', 'capacity'] as const)
      expect(all.filter(learnt => learnt[key].low <= truth[key] && truth[key] <= learnt[key].high).length).toBeGreaterThanOrEqual(8)
  })
})
