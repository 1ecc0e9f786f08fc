import fc from 'fast-check'
import { materials, methods, repairRows } from '../../../reference'
import { methodOf, planFor } from '../../../tests/support/inputs'
import { thinnest } from '../../film'
import type { Plan } from '../model'
import { leastFilm } from '../model'
import { trace } from '../trace'
import { mendOptions } from './options'
import { endOfRepair, withRepairs } from './repaired'

const sandThrough = (step: string) => ({
  defect: 'd1',
  key: 'd1',
  kind: 'sand-through' as const,
  way: 'more coats' as const,
  barrel: 'only' as const,
  fromTip: 20,
  size: 3,
  step,
})
const ids = (plan: Plan) => plan.steps.map(step => step.id)
const staged = (change = {}) => planFor('apple', 'click-8', { method: methodOf('ca-thin-staged'), ...change })
const covers = (plan: Plan, at: string) =>
  withRepairs(plan, [sandThrough(at)]).steps.filter(step => step.kind === 'coat' && step.mend).length

it('a sand-through at the first levelling: coats go on before it is levelled again, and all that was planned still comes', () => {
  const plan = staged()
  const mended = withRepairs(plan, [sandThrough('level.after.4')])
  const at = ids(mended).indexOf('level.after.4')
  expect(
    mended.steps
      .slice(0, at)
      .filter(step => step.mend)
      .map(step => step.kind),
  ).toEqual(Array.from({ length: covers(plan, 'level.after.4') }, () => 'coat'))
  expect(mended.steps.filter(step => !step.mend)).toEqual(plan.steps)
  // The place counts as mended once the levelling that comes over it is done.
  expect(endOfRepair(mended, 'd1')!.id).toBe('level.after.4')
  expect(endOfRepair(plan, 'd1')).toBeUndefined()
  const unlevelled = { ...mended, steps: mended.steps.filter(step => step.kind !== 'level') }
  expect(endOfRepair(unlevelled, 'd1')).toEqual(unlevelled.steps.findLast(step => step.mend))
})

it('found late in the polish ladder, it is levelled and polished again from there', () => {
  const plan = staged()
  const at = plan.steps.findLast(step => step.kind === 'smooth')!.id
  const mended = withRepairs(plan, [sandThrough(at)])
  const added = mended.steps.filter(step => step.mend)
  expect(added.map(step => step.kind)).toEqual([...added.filter(step => step.kind === 'coat').map(() => 'coat'), 'level'])
  expect(ids(mended).indexOf(added.at(-1)!.id)).toBe(ids(mended).indexOf(at) - 1)
  expect(endOfRepair(mended, 'd1')).toEqual(added.at(-1))
})

it('late costs more coats than early, for planned ones no longer go over it; and it works less often', () => {
  const plan = staged()
  const level = plan.steps.findLast(step => step.kind === 'level')!.id
  expect(covers(plan, level)).toBeGreaterThan(covers(plan, 'level.after.4'))
  const chance = (step: string) =>
    mendOptions(plan, repairRows, {
      defect: { id: 'd', kind: 'sand-through', barrel: 'only', fromTip: 20, size: 3 },
      key: 'd',
      underWay: step,
      turned: true,
      tried: [],
    }).find(one => one.way === 'more coats')!.chance
  expect(chance(level)).toBeLessThan(chance('level.after.4'))
})

it('without anything that builds a film there is nothing to cover it with', () => {
  const bare = planFor('apple', 'click-8', { shelf: { abrasives: [], products: [] } })
  expect(withRepairs(bare, [sandThrough('clean')])).toEqual(bare)
})

it('wherever it is found, the mended place ends with the film wanted (property)', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...methods.filter(method => method.family === 'CA film')),
      fc.constantFrom(...materials.map(one => one.id)),
      fc.nat(60),
      fc.double({ min: 12, max: 45, noNaN: true }),
      (method, material, pick, depth) => {
        const plan = planFor(material, 'click-8', { method, wishes: { tool: 'skew', film: 'gloss', depth } })
        const levels = plan.steps.filter(step => step.kind === 'level' || step.kind === 'smooth')
        const mended = withRepairs(plan, [sandThrough(levels[pick % levels.length]!.id)])
        const spot = trace(mended).steps.at(-1)!.after.spot!
        expect(thinnest(spot)).toBeGreaterThanOrEqual(leastFilm(plan.inputs).value - 1e-6)
        expect(trace(mended).filmThinnest.value).toBeLessThanOrEqual(thinnest(trace(mended).steps.at(-1)!.after.film) + 1e-9)
      },
    ),
    { numRuns: 40 },
  )
})
