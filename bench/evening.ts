import { boardOf, CHANGES, openWork, type BenchEvent } from '../core/bench'
import { planEvenings, planning, type EveningProblem, type Evenings } from '../core/evening'
import { must } from '../core/sure'
import { fittings, materials, methods } from '../reference'
import { say } from '../scripts/lib/say'
import { chance } from '../tests/support/chance'
import { eventAt, momentAt, planFor } from '../tests/support/inputs'
import { show } from './measure'

const HOUR = 3600
const DAY = 24 * HOUR
const CASES = 12
/** Pens with so many steps left each, over so many evenings: how long it may think, s, and courses looked at for a proof. */
const CROWDS = [
  { pens: 4, steps: 8, evenings: 4, thinks: 10, most: 10_000_000 },
  { pens: 6, steps: 15, evenings: 6, thinks: 2, most: 10_000_000 },
  { pens: 14, steps: 40, evenings: 7, thinks: 3, most: 0 },
  { pens: 40, steps: 40, evenings: 28, thinks: 5, most: 0 },
]

/** Pens of all woods, fittings and methods there are, worked until so many steps are left, in evenings of two and a half hours. */
export function crowdOf(pens: number, steps: number, evenings: number, seed: number): EveningProblem {
  const { uniform } = chance(seed)
  const pick = <T>(all: readonly T[]): T => must(all[Math.floor(uniform() * all.length)], 'there is one')
  const now = momentAt(HOUR)
  const made = Array.from({ length: pens }, (_, index) => {
    const plan = planFor(pick(materials).id, pick(fittings).id, { method: pick(methods) })
    const done = plan.steps.slice(0, Math.max(0, plan.steps.length - steps))
    const log = done.map((step, at): BenchEvent =>
      eventAt(HOUR - 61 * (done.length - at), 1 + at, { kind: 'done', payload: { step: step.id } }))
    const due = uniform() < 0.4 ? { due: momentAt(HOUR + (1 + Math.floor(uniform() * evenings)) * DAY) } : {}
    return openWork(String(index), boardOf(plan, log), now, due)
  })
  const hours = Array.from({ length: evenings }, (_, day) => ({ from: day * DAY, to: day * DAY + 2.5 * HOUR }))
  return { pens: made, hours, changes: CHANGES, grain: 1800 }
}

/** Plans for evenings: how long they take, how many are proven, and how far the rest is from what no order can better. */
export function eveningBench(): void {
  for (const crowd of CROWDS) {
    const first: number[] = []
    const over: number[] = []
    const spans: number[] = []
    const again: number[] = []
    let proven = 0
    for (let seed = 1; seed <= CASES; seed++) {
      const problem = crowdOf(crowd.pens, crowd.steps, crowd.evenings, seed)
      const start = performance.now()
      let plan: Evenings | undefined
      for (const one of planning(problem, { most: crowd.most })) {
        if (!plan) first.push(performance.now() - start)
        plan = one
        if (performance.now() - start > crowd.thinks * 1000) break
      }
      spans.push(performance.now() - start)
      const found = must(plan, 'there is an answer')
      over.push(100 * (found.costs.finished / found.least.finished - 1))
      proven += Number(found.proven)
      again.push(replan(problem, found))
    }
    show(`${crowd.pens} pens of ${crowd.steps} steps over ${crowd.evenings} evenings: the first answer`, first)
    show(`  until it was proven, or ${crowd.thinks} s`, spans)
    show('  sum of finishing times over the bound, %', over)
    show('  planned anew after an entry', again)
    say(`  proven ${proven} of ${CASES}`)
  }
}

/** What planning anew takes when the first piece was done and took twice as long. */
function replan({ pens, hours, ...rest }: EveningProblem, { blocks }: Evenings): number {
  const first = must(blocks[0], 'there is work')
  const took = first.begins + 2 * (first.ends - first.begins)
  const left = pens.map((pen) => {
    const work = pen.id === first.pen ? pen.work.slice(1) : pen.work
    return { ...pen, work, ...(pen.due === undefined ? {} : { due: pen.due - took }) }
  })
  const later = hours.flatMap(({ from, to }) => (to > took ? [{ from: Math.max(0, from - took), to: to - took }] : []))
  const start = performance.now()
  planEvenings({ ...rest, pens: left, hours: later }, { shown: blocks.slice(1), changes: 200, most: 0 })
  return performance.now() - start
}
