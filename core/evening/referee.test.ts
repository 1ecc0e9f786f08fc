import { chance } from '../../tests/support/chance'
import { leastByProgram } from '../../tests/support/evening-model'
import { planEvenings, type EveningProblem } from './index'

/** Small evenings with nights between, waits, changes, and latest times where it is said. */
function problemOf(seed: number, pens: number, pieces: number, latest: boolean): EveningProblem {
  const { uniform } = chance(seed)
  const whole = (least: number, most: number) => least + Math.floor(uniform() * (most - least + 1))
  const pick = <T>(all: readonly T[]): T => all[Math.floor(uniform() * all.length)]!
  return {
    pens: Array.from({ length: pens }, (_, pen) => ({
      id: String(pen),
      work: Array.from({ length: pieces }, (_, step) => {
        const wait = step ? pick([0, 0, 20, 60]) : 0
        const isBound = latest && step > 0 && uniform() < 0.4
        return {
          step: String(step), hands: whole(4, 20), wait, setUp: { kind: 'bit', which: pick(['7', '8']) },
          ...(isBound ? { latest: wait + whole(5, 40) } : {}),
        }
      }),
      after: pick([0, 50]),
    })),
    hours: [{ from: 0, to: 70 }, { from: 300, to: 360 }, { from: 600, to: 700 }],
    changes: { bit: pick([0, 6]) },
    setUp: { kind: 'bit', which: '7' },
  }
}
const SLOW = 120_000

it('finds the optimum that an independent program proves: three pens, waits, changes, nights (HiGHS)', async () => {
  for (const seed of [1, 2, 3, 4]) {
    const problem = problemOf(seed, 3, 3, false)
    const { costs, proven, least } = planEvenings(problem, { wanted: ['finished'] })
    const best = await leastByProgram(problem)
    expect({ seed, proven, finished: Math.round(costs.finished) }).toEqual({ seed, proven: true, finished: Math.round(best!) })
    expect(least.finished).toBeLessThanOrEqual(best! + 1e-3)
  }
}, SLOW)

it('with latest times it is never better than what the program proves, and mostly as good', async () => {
  let [alike, all] = [0, 0]
  for (const seed of [11, 12, 13, 14, 15]) {
    const problem = problemOf(seed, 3, 3, true)
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
