import { leastByProgram } from '../../tests/support/evening-model'
import { PROVEN, smallEvenings } from '../../tests/support/evenings'
import { planEvenings } from './index'

const SLOW = 120_000

it('finds the optimum that an independent program proves: three pens, waits, changes, nights (HiGHS)', async () => {
  for (const seed of [1, 2, 3, 4]) {
    const problem = smallEvenings(seed, 3, 3)
    const { costs, proven, least } = planEvenings(problem, { wanted: ['finished'] })
    const best = await leastByProgram(problem)
    expect({ seed, proven, finished: Math.round(costs.finished) }).toEqual({ seed, proven: true, finished: Math.round(best!) })
    expect(least.finished).toBeLessThanOrEqual(best! + 1e-3)
  }
}, SLOW)

it.each(PROVEN)('the same of %j', async ({ seed, pens, pieces, changes }) => {
  const problem = smallEvenings(seed, pens, pieces, { changes })
  const { costs, proven, least } = planEvenings(problem, { wanted: ['finished'] })
  const best = await leastByProgram(problem)
  expect({ proven, finished: Math.round(costs.finished) }).toEqual({ proven: true, finished: Math.round(best!) })
  expect(least.finished).toBeLessThanOrEqual(best! + 1e-3)
}, SLOW)

it('with latest times it is never better than what the program proves, and mostly as good', async () => {
  let [alike, all] = [0, 0]
  for (const seed of [11, 12, 13, 14, 15]) {
    const problem = smallEvenings(seed, 3, 3, { latest: true })
    const { costs } = planEvenings(problem, { wanted: ['missed', 'finished'] })
    const best = await leastByProgram(problem)
    if (best === undefined || costs.missed) continue
    all++
    expect(costs.finished).toBeGreaterThanOrEqual(best - 1e-3)
    if (costs.finished <= best + 1e-3) alike++
  }
  expect(all).toBeGreaterThan(2)
  expect(alike).toBeGreaterThanOrEqual(all - 1)
}, SLOW)
