import fc from 'fast-check'
import { asPlan } from '../../schemas'
import { anyInputs } from '../../tests/support/wishes'
import { unitWords } from '../units'
import { checksFor, remarks, stepWords } from './say'
import { makePlan, revisePlan } from './make'
import { phases } from './model'
import { ladderReasons, proposals, reviewOf, stepSpeed } from './judge'
import { trace } from './trace'

const metric = unitWords('metric')
const rank = (phase: (typeof phases)[number]) => phases.indexOf(phase)

it('whatever is asked for, the plan keeps its order and its ids apart, and goes through the store unchanged (property)', () => {
  fc.assert(
    fc.property(anyInputs, (inputs) => {
      const plan = makePlan(inputs)
      expect(new Set(plan.steps.map(step => step.id)).size).toBe(plan.steps.length)
      expect(plan.steps.every((step, index) => index === 0 || rank(step.phase) >= rank(plan.steps[index - 1]!.phase))).toBe(true)
      expect(asPlan(JSON.parse(JSON.stringify(plan)))).toEqual(JSON.parse(JSON.stringify(plan)))
      expect(makePlan(inputs)).toEqual(plan)
    }),
    { numRuns: 60 },
  )
})

it('its times add up: hands-on is the sum, nothing begins before what it waits for, and it ends with the last step (property)', () => {
  fc.assert(
    fc.property(anyInputs, (inputs) => {
      const { steps, handsOn, untilHandOver } = trace(makePlan(inputs))
      expect(handsOn.value).toBeCloseTo(steps.reduce((sum, one) => sum + one.handsOn.value, 0), 6)
      expect(untilHandOver.value).toBeCloseTo(steps.at(-1)!.ends, 6)
      for (const [index, one] of steps.entries()) {
        expect(one.ends - one.begins).toBeCloseTo(one.handsOn.value, 6)
        expect(one.begins).toBeGreaterThanOrEqual((steps[index - 1]?.ends ?? 0) - 1e-6)
        const since = one.wait && steps.find(each => each.step.id === one.wait!.since)
        if (since) expect(one.begins).toBeGreaterThanOrEqual(since.ends + one.wait!.length.value - 1e-6)
      }
    }),
    { numRuns: 60 },
  )
})

it('what it takes off and puts on follows from its steps: the depth sanded, the film left, the square, the wood (property)', () => {
  fc.assert(
    fc.property(anyInputs, (inputs) => {
      const traced = trace(makePlan(inputs))
      const sanded = traced.steps.reduce((sum, one) => sum + (one.step.kind === 'sand' && !one.step.mend ? one.grit!.removes.value : 0), 0)
      expect(traced.sandingTakes.value).toBeCloseTo(sanded, 3)
      const end = traced.steps.at(-1)!.after.film
      expect(traced.filmLeft.value).toBeCloseTo(end.mean, 6)
      expect(traced.filmThinnest.value).toBeGreaterThanOrEqual(0)
      expect(traced.filmThinnest.value).toBeLessThanOrEqual(end.mean + 1e-9)
      for (const { finished, section } of traced.size.barrels) {
        const fattest = Math.max(...finished.points.map(point => point.diameter))
        // A square holds a round inside its faces once the bore has wandered, so √2 of it is over the corners.
        expect(section.side.value).toBeGreaterThanOrEqual(fattest + 2 * section.wander.value - 1e-9)
        expect(traced.size.section.value).toBeGreaterThanOrEqual(section.side.value)
      }
      // Wishes may leave no wood over the tube; else there is some to weigh.
      if (traced.size.barrels.every(one => one.wall.wall.value > 0)) expect(traced.size.mass.value).toBeGreaterThan(0)
      expect(traced.size.away.value).toBeGreaterThan(0)
    }),
    { numRuns: 60 },
  )
})

it('every step of it has whole words, checks and a speed (property)', () => {
  fc.assert(
    fc.property(anyInputs, (inputs) => {
      const plan = makePlan(inputs)
      const traced = trace(plan)
      const asks = (step: typeof plan.steps[number]) => checksFor(plan, step, traced, metric).flatMap(check => [check.ask, check.otherwise])
      const said = [
        ...traced.steps.flatMap(one => [...Object.values(stepWords(plan, one, metric, traced)), ...asks(one.step)]),
        ...remarks(plan, traced, metric).flatMap(remark => [remark.says, remark.remedy]),
      ]
      for (const one of said) expect(one).not.toMatch(/undefined|NaN|Infinity|^$/)
      for (const { step } of traced.steps) expect(stepSpeed(plan, step, traced)?.surface.value ?? 1).toBeGreaterThan(0)
    }),
    { numRuns: 40 },
  )
})

it('its ladder can always be reviewed, and the offers beside it are whole ladders (property)', () => {
  fc.assert(
    fc.property(anyInputs, (inputs) => {
      const plan = makePlan(inputs)
      const { steps, findings, seconds } = reviewOf(plan, trace(plan))
      expect(steps).toHaveLength(plan.steps.filter(step => step.kind === 'sand').length)
      expect(seconds).toBeGreaterThanOrEqual(0)
      for (const finding of findings) expect(`${finding.says} ${finding.remedy}`).not.toMatch(/undefined|NaN|Infinity/)
      for (const offer of proposals(inputs)) expect(offer.ids.length * offer.seconds).toBeGreaterThan(0)
      const reasons = ladderReasons(inputs, [])
      if (reasons) expect(reasons.buy).toBeUndefined()
    }),
    { numRuns: 40 },
  )
})

it('made anew for any other wishes with any part of it done, nothing done is lost or doubled (property)', () => {
  fc.assert(
    fc.property(anyInputs, anyInputs, fc.nat(40), (first, second, count) => {
      const plan = makePlan(first)
      const done = new Set(plan.steps.slice(0, count).map(step => step.id))
      const revised = revisePlan(plan, { ...second, fitting: first.fitting }, done)
      const ids = revised.steps.map(step => step.id)
      expect([...done].every(id => ids.includes(id))).toBe(true)
      expect(new Set(ids).size).toBe(ids.length)
    }),
    { numRuns: 60 },
  )
})
