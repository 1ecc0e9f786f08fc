import fc from 'fast-check'
import { asPlan } from '../../../schemas'
import { defects as catalogue, repairRows } from '../../../reference'
import { anyInputs } from '../../../tests/support/wishes'
import { unitWords } from '../../units'
import { makePlan } from '../make'
import { phases, type Plan } from '../model'
import { leastFilm } from '../model'
import { trace } from '../trace'
import { stepWords } from '../say'
import { mendOptions } from './options'
import { stageAt, type ChosenRepair } from './place'
import { withRepairs } from './repaired'

const rank = (plan: Plan) => plan.steps.map(step => phases.indexOf(step.phase))
const metric = unitWords('metric')

/** Any defect that can be found at any step of any plan. */
const anyDefect = fc
  .tuple(anyInputs, fc.nat(80), fc.nat(40), fc.double({ min: 0.05, max: 12, noNaN: true }))
  .map(([inputs, pick, kinds, size]) => {
    const plan = makePlan(inputs)
    const step = plan.steps[pick % plan.steps.length]!
    const stage = stageAt(plan, step.id)
    const fit = catalogue.filter(entry => entry.stages.includes(stage))
    return { plan, step, stage, kind: fit[kinds % fit.length]!.kind, barrel: inputs.fitting.barrels.at(-1)!.id, size }
  })

it('whatever is found wherever, every way offered leaves a valid plan in which all that was done stands where it stood (property)', () => {
  fc.assert(
    fc.property(anyDefect, ({ plan, step, kind, barrel, size }) => {
      const defect = { id: 'd', kind, barrel, fromTip: 5, size }
      const found = mendOptions(plan, repairRows, { defect, key: 'd', underWay: step.id, turned: false, tried: [] })
      expect(found.length).toBeGreaterThan(0)
      expect(found.filter(one => one.recommended)).toEqual([found[0]])
      for (const way of found) {
        const chosen: ChosenRepair = { kind, barrel, fromTip: 5, size, defect: 'd', way: way.way, key: 'd', step: step.id }
        const mended = withRepairs(plan, [chosen])
        const ids = mended.steps.map(one => one.id)
        expect(new Set(ids).size).toBe(ids.length)
        expect(mended.steps.filter(one => !one.mend)).toEqual(plan.steps)
        expect([...rank(mended)].sort((a, b) => a - b)).toEqual(rank(mended))
        const at = plan.steps.indexOf(step)
        const before = ['blank', 'turn'].includes(stageAt(plan, step.id)) ? 0 : at
        expect(mended.steps.slice(0, before)).toEqual(plan.steps.slice(0, before))
        expect(withRepairs(mended, [chosen])).toEqual(mended)
        expect(asPlan(JSON.parse(JSON.stringify(mended)))).toEqual(JSON.parse(JSON.stringify(mended)))
        const traced = trace(mended)
        for (const one of traced.steps)
          expect(Object.values(stepWords(mended, one, metric, traced)).join(' ')).not.toMatch(/undefined|NaN|Infinity/)
        for (const value of [way.handsOn, way.span, way.wood, way.film, way.expected, way.chance]) expect(Number.isFinite(value)).toBe(true)
        expect(way.chance).toBeGreaterThan(0)
        // What is sanded out is made up for; what is stripped or cut again ends as it was planned.
        const planned = trace(plan).filmThinnest.value
        const wanted = Math.min(planned, leastFilm(plan.inputs).value)
        if (['level out', 'level coarser', 'bury', 'recoat', 'more coats', 'sand back and cover'].includes(way.way))
          expect(traced.filmThinnest.value).toBeGreaterThanOrEqual(wanted - 1e-6)
        if (['strip', 'new blank', 'new pair', 'true it'].includes(way.way)) expect(traced.filmThinnest.value).toBeCloseTo(planned, 6)
      }
    }),
    { numRuns: 150 },
  )
})

it('two defects at once, and a mend that fails and is tried another way, still leave a valid plan (property)', () => {
  fc.assert(
    fc.property(anyDefect, fc.nat(60), fc.nat(30), fc.nat(10), ({ plan, step, kind, barrel, size }, later, other, pick) => {
      const options = (now: Plan, id: string, key: string, what: typeof kind, underWay: string) =>
        mendOptions(now, repairRows, { defect: { id, kind: what, barrel, fromTip: 5, size }, key, underWay, turned: true, tried: [] })
      const choose = (now: Plan, id: string, key: string, what: typeof kind, underWay: string) => {
        const found = options(now, id, key, what, underWay)
        const way = found[pick % found.length]!
        return withRepairs(now, [{ defect: id, key, kind: what, barrel, fromTip: 5, size, way: way.way, step: underWay }])
      }
      const once = choose(plan, 'a', 'a', kind, step.id)
      // The second is found at any step from there on, those of the first mend among them; the third is the first one again, failed.
      const at = once.steps.findIndex(one => one.id === step.id || one.mend)
      const second = once.steps[at + (later % (once.steps.length - at))]!
      const fit = catalogue.filter(entry => entry.stages.includes(stageAt(once, second.id)))
      const twice = choose(once, 'b', 'b', fit[other % fit.length]!.kind, second.id)
      const third = choose(twice, 'a', 'a.2', kind, twice.steps.find(one => one.id === step.id)!.id)
      for (const now of [twice, third]) {
        expect(new Set(now.steps.map(one => one.id)).size).toBe(now.steps.length)
        expect(now.steps.filter(one => !one.mend)).toEqual(plan.steps)
        expect([...rank(now)].sort((a, b) => a - b)).toEqual(rank(now))
        expect(Number.isFinite(trace(now).untilHandOver.value)).toBe(true)
      }
    }),
    { numRuns: 100 },
  )
})
