import { boardOf, CHANGES, openWork, type BenchEvent } from '../core/bench'
import { planEvenings, planning, strideFor, type EveningProblem, type Evenings } from '../core/evening'
import { must } from '../core/sure'
import { fittings, materials, methods } from '../reference'
import { say } from '../scripts/lib/say'
import { chance } from '../tests/support/chance'
import { leastByProgram } from '../tests/support/evening-model'
import { PROVEN, PROVEN_SLOWLY, smallEvenings } from '../tests/support/evenings'
import { eventAt, momentAt, planFor } from '../tests/support/inputs'
import { show } from './measure'

const HOUR = 3600
const DAY = 24 * HOUR
const CASES = 12
/** An order that saves less of hands is not looked for, s. */
const WITHIN = 300
/** The screen is told of the first answer after so long, ms. */
const SOON = 60
/** Pens with so many steps left each, over so many evenings, and how long it may think, s. */
const CROWDS: readonly { pens: number, steps: number, evenings: number, thinks: number, stages?: boolean }[] = [
  { pens: 4, steps: 8, evenings: 4, thinks: 10 },
  { pens: 6, steps: 15, evenings: 6, thinks: 2 },
  { pens: 14, steps: 40, evenings: 7, thinks: 3 },
  { pens: 40, steps: 40, evenings: 28, thinks: 5 },
  { pens: 14, steps: 40, evenings: 7, thinks: 3, stages: true },
  { pens: 40, steps: 40, evenings: 28, thinks: 5, stages: true },
]

/**
 * Pens of all woods, fittings and methods there are, worked until so many steps are left, in evenings of two and a half hours; at all
 * stages, where that is said: any number of steps up to so many.
 */
export function crowdOf(pens: number, steps: number, evenings: number, seed: number, stages = false): EveningProblem {
  const { uniform } = chance(seed)
  const pick = <T>(all: readonly T[]): T => must(all[Math.floor(uniform() * all.length)], 'there is one')
  const now = momentAt(HOUR)
  const made = Array.from({ length: pens }, (_, index) => {
    const plan = planFor(pick(materials).id, pick(fittings).id, { method: pick(methods) })
    const left = stages ? 1 + Math.floor(uniform() * Math.min(steps, plan.steps.length)) : steps
    const done = plan.steps.slice(0, Math.max(0, plan.steps.length - left))
    const log = done.map((step, at): BenchEvent =>
      eventAt(HOUR - 61 * (done.length - at), 1 + at, { kind: 'done', payload: { step: step.id } }))
    const due = uniform() < 0.4 ? { due: momentAt(HOUR + (1 + Math.floor(uniform() * evenings)) * DAY) } : {}
    return openWork(String(index), boardOf(plan, log), now, due)
  })
  const hours = Array.from({ length: evenings }, (_, day) => ({ from: day * DAY, to: day * DAY + 2.5 * HOUR }))
  return { pens: made, hours, changes: CHANGES, grain: 1800 }
}

/** Plans for evenings: how long they take, how many are proven, and how far the rest is from what no order can better. */
export async function eveningBench(): Promise<void> {
  await refereed()
  for (const crowd of CROWDS) {
    const first: number[] = []
    const over: number[] = []
    const spans: number[] = []
    const again: number[] = []
    let [proven, soonest] = [0, 0]
    for (let seed = 1; seed <= CASES; seed++) {
      const problem = crowdOf(crowd.pens, crowd.steps, crowd.evenings, seed, crowd.stages)
      const start = performance.now()
      let plan: Evenings | undefined
      for (const one of planning(problem, { ...strideFor(problem), within: WITHIN })) {
        if (!plan) first.push(performance.now() - start)
        plan = one
        if (performance.now() - start > crowd.thinks * 1000) break
      }
      spans.push(performance.now() - start)
      const found = must(plan, 'there is an answer')
      over.push(100 * (found.costs.finished / found.least.finished - 1))
      proven += Number(found.proven)
      soonest += Number(found.costs.finished <= found.least.finished)
      again.push(replan(problem, found))
    }
    const who = `${crowd.pens} pens ${crowd.stages ? 'at all stages' : `of ${crowd.steps} steps`}`
    show(`${who} over ${crowd.evenings} evenings: the first answer`, first)
    show(`  until it was proven, or ${crowd.thinks} s`, spans)
    show('  sum of finishing times over the bound, %', over)
    show('  planned anew after an entry', again)
    say(`  proven ${proven} of ${CASES}; known that none has them ready sooner ${soonest}`)
  }
}

/** Small evenings that an independent program proves too: the same optimum, and how many times as long that takes. */
async function refereed(): Promise<void> {
  const times: number[] = []
  for (const { seed, pens, pieces, changes } of [...PROVEN, PROVEN_SLOWLY]) {
    const problem = smallEvenings(seed, pens, pieces, { changes })
    const start = performance.now()
    const { costs } = planEvenings(problem, { wanted: ['finished'] })
    const own = performance.now()
    const best = must(await leastByProgram(problem), 'it is proven')
    const program = performance.now()
    if (Math.abs(costs.finished - best) > 1e-3) throw new Error(`Of seed ${seed} the program finds ${best}, the core ${costs.finished}.`)
    times.push((program - own) / (own - start))
  }
  show('times as long an independent program takes to prove the same', times)
}

/** What planning anew takes when the first piece was done and took twice as long, until the screen is told of it. */
function replan({ pens, hours, ...rest }: EveningProblem, { blocks }: Evenings): number {
  const first = must(blocks[0], 'there is work')
  const took = first.begins + 2 * (first.ends - first.begins)
  const left = pens.map((pen) => {
    const work = pen.id === first.pen ? pen.work.slice(1) : pen.work
    return { ...pen, work, ...(pen.due === undefined ? {} : { due: pen.due - took }) }
  })
  const later = hours.flatMap(({ from, to }) => (to > took ? [{ from: Math.max(0, from - took), to: to - took }] : []))
  const start = performance.now()
  const problem = { ...rest, pens: left, hours: later }
  for (const _ of planning(problem, { ...strideFor(problem), shown: blocks.slice(1) }))
    if (performance.now() - start > SOON) break
  return performance.now() - start
}
