import fc from 'fast-check'
import { asPlan } from '../../schemas'
import { anyInputs } from '../../tests/support/wishes'
import { unitWords } from '../units'
import { checksFor } from './checks'
import { makePlan } from './make'
import { phases } from './plan'
import { remarks } from './remarks'
import { revisePlan } from './revise'
import { ladderReasons, proposals, reviewOf } from './sanding'
import { stepSpeed } from './speeds'
import { trace } from './trace'
import { stepWords } from './words'

const metric = unitWords('metric')
const rank = (phase: typeof phases[number]) => phases.indexOf(phase)

it('whatever is asked for, the plan keeps its order and its ids apart, and goes through the store unchanged (property)', () => {
  fc.assert(fc.property(anyInputs, (inputs) => {
    const plan = makePlan(inputs)
    expect(new Set(plan.steps.map(step => step.id)).size).toBe(plan.steps.length)
    expect(plan.steps.every((step, index) => index === 0 || rank(step.phase) >= rank(plan.steps[index - 1]!.phase))).toBe(true)
    expect(asPlan(JSON.parse(JSON.stringify(plan)))).toEqual(JSON.parse(JSON.stringify(plan)))
    expect(makePlan(inputs)).toEqual(plan)
  }), { numRuns: 60 })
})

it('all that follows from it is a number where a number belongs, and every step has its words (property)', () => {
  fc.assert(fc.property(anyInputs, (inputs) => {
    const plan = makePlan(inputs)
    const traced = trace(plan)
    for (const figure of [traced.handsOn, traced.untilHandOver, traced.filmLeft, traced.sandingTakes, traced.size.section, traced.size.mass, traced.size.away]) expect(Number.isFinite(figure.value)).toBe(true)
    for (const one of traced.steps) {
      expect(Object.values(stepWords(plan, one, metric, traced)).join(' ')).not.toMatch(/undefined|NaN|Infinity/)
      for (const check of checksFor(plan, one.step, traced, metric)) expect(`${check.ask} ${check.otherwise}`).not.toMatch(/undefined|NaN/)
      expect(stepSpeed(plan, one.step, traced)?.surface.value ?? 1).toBeGreaterThan(0)
    }
    for (const remark of remarks(plan, traced, metric)) expect(`${remark.says} ${remark.remedy}`).not.toMatch(/undefined|NaN|Infinity/)
  }), { numRuns: 60 })
})

it('its ladder can always be reviewed, and the offers beside it are whole ladders (property)', () => {
  fc.assert(fc.property(anyInputs, (inputs) => {
    const plan = makePlan(inputs)
    const { steps, findings, seconds } = reviewOf(plan, trace(plan))
    expect(steps).toHaveLength(plan.steps.filter(step => step.kind === 'sand').length)
    expect(seconds).toBeGreaterThanOrEqual(0)
    for (const finding of findings) expect(`${finding.says} ${finding.remedy}`).not.toMatch(/undefined|NaN|Infinity/)
    for (const offer of proposals(inputs)) expect(offer.ids.length * offer.seconds).toBeGreaterThan(0)
    const reasons = ladderReasons(inputs, [])
    if (reasons) expect(reasons.buy).toBeUndefined()
  }), { numRuns: 40 })
})

it('made anew for any other wishes with any part of it done, nothing done is lost or doubled (property)', () => {
  fc.assert(fc.property(anyInputs, anyInputs, fc.nat(40), (first, second, count) => {
    const plan = makePlan(first)
    const done = new Set(plan.steps.slice(0, count).map(step => step.id))
    const revised = revisePlan(plan, { ...second, fitting: first.fitting }, done)
    const ids = revised.steps.map(step => step.id)
    expect([...done].every(id => ids.includes(id))).toBe(true)
    expect(new Set(ids).size).toBe(ids.length)
  }), { numRuns: 60 })
})
