import { planEvenings, type EveningPen, type EveningProblem } from '../core/evening'
import { must } from '../core/sure'
import { say } from '../scripts/lib/say'
import { chance } from '../tests/support/chance'
import { show } from './measure'

const HOUR = 3600
const CASES = 12
/** Pens by steps, over so many evenings; courses looked at for a proof. */
const CROWDS = [
  { pens: 4, steps: 8, evenings: 2, most: 200_000 },
  { pens: 6, steps: 15, evenings: 4, most: 100_000 },
  { pens: 14, steps: 20, evenings: 7, most: 0 },
  { pens: 40, steps: 20, evenings: 28, most: 0 },
]
const KINDS = ['bit', 'paper', 'bottle', 'bushings'] as const

/** A crowd of pens that never was: hands of minutes, waits of none, minutes, hours and a night. */
function problemOf(crowd: (typeof CROWDS)[number], seed: number): EveningProblem {
  const { uniform } = chance(seed)
  const pick = <T>(all: readonly T[]): T => must(all[Math.floor(uniform() * all.length)], 'there is one')
  const pens = Array.from({ length: crowd.pens }, (_, index): EveningPen => ({
    id: String(index),
    work: Array.from({ length: crowd.steps }, (_, step) => {
      const kind = pick(KINDS)
      return {
        step: String(step), hands: 60 + 540 * uniform(), wait: step ? pick([0, 0, 0, 180, 600, 2 * HOUR, 8 * HOUR]) : 0,
        setUp: { kind, which: pick(['1', '2', '3']) },
      }
    }),
    ...(uniform() < 0.4 ? { due: (1 + Math.floor(uniform() * crowd.evenings)) * 24 * HOUR } : {}),
  }))
  const hours = Array.from({ length: crowd.evenings }, (_, day) => ({ from: day * 24 * HOUR, to: day * 24 * HOUR + 2.5 * HOUR }))
  return { pens, hours, changes: { bit: 60, paper: 15, bottle: 20, bushings: 90 } }
}

/** Plans for evenings: how long they take, how many are proven, and how far the rest is from what no order can better. */
export function eveningBench(): void {
  for (const crowd of CROWDS) {
    const spans: number[] = []
    const over: number[] = []
    let proven = 0
    for (let seed = 1; seed <= CASES; seed++) {
      const problem = problemOf(crowd, seed)
      const start = performance.now()
      const plan = planEvenings(problem, { most: crowd.most, changes: 2000, wanted: ['finished'] })
      spans.push(performance.now() - start)
      over.push(100 * (plan.costs.finished / plan.least.finished - 1))
      proven += Number(plan.proven)
    }
    show(`${crowd.pens} pens of ${crowd.steps} steps over ${crowd.evenings} evenings`, spans)
    show('  over the bound, %', over)
    say(`  proven ${proven} of ${CASES}`)
  }
}
