import fc from 'fast-check'
import { makePlan, remarks, trace, type Plan, type PlanTrace } from '../core/plan'
import { isPad, isResin } from '../core/shelf'
import { anyInputs } from '../tests/support/wishes'
import { simulate, type SimulatedTurner } from '../tests/support/turner'

const SEEDS = 12
const PLANS = 5000

/** What is learnt of simulated turners, and what random plans have that nobody should plan. */
export function learnBench(): void {
  turners()
  anomalies()
}

function turners(): void {
  console.log('turner                          planned / needed: 10 %  median  90 %   held of 100: rate, capacity, change')
  for (const stops of ['when gone', 'as planned'] as const) {
    for (const rate of [0.5, 1, 2]) {
      for (const overhead of [10, 25, 45]) turner({ rate, overhead, stops, taps: false })
    }
  }
}

function turner(one: SimulatedTurner): void {
  const outcomes = Array.from({ length: SEEDS }, (_, seed) => simulate(one, 20, 5000 + seed))
  const ratios = outcomes.flatMap(outcome => outcome.ratios).sort((a, b) => a - b)
  const at = (part: number) => (ratios[Math.floor(part * ratios.length)] ?? 0).toFixed(2).padStart(7)
  const held = (truth: number, of: 'rate' | 'capacity' | 'overhead') =>
    Math.round((100 * outcomes.filter(({ learnt }) => learnt[of].low <= truth && truth <= learnt[of].high).length) / SEEDS)
  const name = `rate ${one.rate}, change ${one.overhead} s, stops ${one.stops}`
  const ranges = [held(one.rate, 'rate'), held(1, 'capacity'), held(one.overhead, 'overhead')].join(' ')
  console.log(`${name.padEnd(48)}${at(0.1)} ${at(0.5)} ${at(0.9)}   ${ranges}`)
}

/** What a plan should not have, or should at least say. */
const ANOMALIES: Record<string, (plan: Plan, traced: PlanTrace, says: string) => boolean> = {
  'more than three pieces of a grit': (_plan, { steps }) => steps.some(one => one.grit && one.grit.pieces > 3),
  'over five minutes on a grit, unsaid': (_plan, { steps }, says) =>
    steps.some(one => one.grit && one.grit.seconds > 300) && !/is sanded for|does not take out/.test(says),
  'a grit that does not do it, unsaid': (_plan, { steps }, says) =>
    steps.some(one => one.grit && !one.grit.reaches) && !/does not take/.test(says),
  'a stage over one in twenty': (_plan, { steps }) =>
    steps.some(one => one.step.kind === 'level' && one.step.phase === 'coat' && (one.risk?.edges ?? 0) > 0.05),
  'levelled down to the wood for certain, unsaid': (_plan, { steps }, says) =>
    steps.some(one => one.step.kind === 'level' && one.after.film.mean <= 0) && !/of film is sure/.test(says),
  'a finish without film levelled': ({ steps }, traced) =>
    steps.some(step => step.kind === 'level') && traced.steps.every(one => one.after.film.mean < 4),
  'film below nothing in the end': (_plan, { filmLeft }) => filmLeft.value < -1e-6,
  'a latest time before its wait': (_plan, { steps }) =>
    steps.some(({ wait }) => wait?.latest !== undefined && wait.latest.value < wait.length.value - 1e-6),
  'handed over within a day of CA': ({ steps }, traced) =>
    steps.some(step => step.kind === 'coat' && step.product.setsBy === 'moisture' && !step.product.label)
    && traced.steps.some(({ step, wait }) => step.kind === 'check' && wait !== undefined && wait.length.value < 86_400 - 1e-6),
  'no ladder, unsaid': ({ steps, inputs }, _traced, says) =>
    !steps.some(step => step.kind === 'sand') && !inputs.wishes.ladder && !/Nothing to sand|Nothing on the shelf/.test(says),
  'a pad before the finest paper on wood': ({ steps, inputs }) => {
    if (isResin(inputs.material) || inputs.wishes.ladder || inputs.wishes.insist?.length) return false
    const grits = steps.flatMap(step => (step.kind === 'sand' ? [step.abrasive] : []))
    const pad = grits.findIndex(isPad)
    return pad >= 0 && grits.slice(pad).some(one => !isPad(one))
  },
  'a time that is no number': (_plan, { handsOn, untilHandOver }) => ![handsOn, untilHandOver].every(one => Number.isFinite(one.value)),
}

function anomalies(): void {
  const found = new Map(Object.keys(ANOMALIES).map(name => [name, 0]))
  for (const inputs of fc.sample(anyInputs, { numRuns: PLANS, seed: 15 })) {
    const plan = makePlan(inputs)
    const traced = trace(plan)
    const says = remarks(plan, traced).map(one => one.says).join(' ')
    for (const [name, has] of Object.entries(ANOMALIES)) if (has(plan, traced, says)) found.set(name, (found.get(name) ?? 0) + 1)
  }
  console.log(`\nof ${PLANS} random plans`)
  for (const [name, count] of found) console.log(`${name.padEnd(52)} ${String(count).padStart(6)}`)
}
