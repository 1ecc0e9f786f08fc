import { chance } from '../../tests/support/chance'
import { learnWait, type Touch } from './own-wait'

const felt = (part: number, how: Touch['felt'], times = 1): Touch[] => Array.from({ length: times }, () => ({ part, felt: how }))

it('answers the wait as it is while nothing was touched', () => {
  expect(learnWait([])).toMatchObject({ touches: 0, factor: { likely: expect.closeTo(1, 6) as number } })
})

it('tacky when the wait is over makes it longer, hard well before it shorter; more of either more', () => {
  const factor = (touches: Touch[]) => learnWait(touches).factor.likely
  const longer = [1, factor(felt(1, 'tacky')), factor(felt(1, 'tacky', 3)), factor(felt(1.4, 'tacky', 3))]
  expect([...longer].sort((a, b) => a - b)).toEqual(longer)
  expect(longer.at(-1)).toBeGreaterThan(1.4)
  const shorter = [1, factor(felt(0.5, 'hard')), factor(felt(0.5, 'hard', 4)), factor(felt(0.3, 'hard', 4))]
  expect([...shorter].sort((a, b) => b - a)).toEqual(shorter)
  expect(shorter.at(-1)).toBeLessThan(0.7)
})

it('what goes without saying teaches hardly anything', () => {
  expect(learnWait(felt(3, 'hard', 20)).factor.likely).toBeCloseTo(1, 1)
  expect(learnWait(felt(0.05, 'tacky', 20)).factor.likely).toBeCloseTo(1, 1)
})

it('one finger on the wrong pen does not turn it over', () => {
  const usual = [...felt(0.5, 'tacky', 8), ...felt(1, 'hard', 8)]
  const [without, withIt] = [learnWait(usual), learnWait([...usual, ...felt(0.02, 'hard')])]
  expect(Math.abs(Math.log(withIt.factor.likely / without.factor.likely))).toBeLessThan(0.06)
})

// Shops whose products need so many times the wait: hard at 0.7 of it in the middle, a quarter more or less; touched at any time.
it('ranges of nine in ten hold simulated shops in at least 80 of 100, and the middle lies within 15 % after forty touches', () => {
  const { normal, uniform } = chance(11)
  const shops = Array.from({ length: 120 }, () => {
    const factor = Math.exp(0.4 * normal())
    const touches = Array.from({ length: 40 }, (): Touch => {
      const part = 0.2 + 1.6 * uniform()
      return { part, felt: part > 0.7 * factor * Math.exp(0.25 * normal()) ? 'hard' : 'tacky' }
    })
    return { factor, learnt: learnWait(touches).factor }
  })
  const held = shops.filter(({ factor, learnt }) => factor >= learnt.low && factor <= learnt.high)
  expect(held.length / shops.length).toBeGreaterThanOrEqual(0.8)
  const off = shops.map(({ factor, learnt }) => Math.abs(Math.log(learnt.likely / factor))).sort((a, b) => a - b)
  expect(off[60]).toBeLessThan(Math.log(1.15))
})
