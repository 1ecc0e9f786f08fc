import fc from 'fast-check'
import { materials, methods } from '../../reference'
import { methodOf, planFor } from '../../tests/support/inputs'
import { asPlan } from '../../schemas'
import { thinnest } from '../film'
import { coverFor, endOfRepair, withRepairs } from './repaired'
import { phases, type Plan } from './plan'
import { leastFilm } from './targets'
import { trace } from './trace'

const sandThrough = (step: string) => ({ defect: 'd1', kind: 'sand-through' as const, way: 'more coats' as const, barrel: 'only' as const, fromTip: 20, size: 3, step })
const ids = (plan: Plan) => plan.steps.map(step => step.id)
const staged = (change = {}) => planFor('apple', 'click-8', { method: methodOf('ca-thin-staged'), ...change })

it('a sand-through at the first levelling: coats go on before it is levelled again, and all that was planned still comes', () => {
  const plan = staged()
  const mended = withRepairs(plan, [sandThrough('level.after.3')])
  const at = ids(mended).indexOf('level.after.3')
  expect(ids(mended).slice(0, at).filter(id => id.startsWith('cover.')).length).toBe(coverFor(plan, 'level.after.3')!.coats)
  expect(ids(mended).filter(id => !id.startsWith('cover.'))).toEqual(ids(plan))
  expect(endOfRepair(mended, 'd1')!.id).toBe('level.after.3')
  expect(coverFor(plan, 'level.after.3')!.early).toBe(true)
})

it('found late in the polish ladder, it is levelled and polished again from there', () => {
  const plan = staged()
  const at = plan.steps.findLast(step => step.kind === 'smooth')!.id
  const mended = withRepairs(plan, [sandThrough(at)])
  const added = mended.steps.filter(step => !ids(plan).includes(step.id))
  expect(added.map(step => step.kind)).toEqual([...added.filter(step => step.kind === 'coat').map(() => 'coat'), 'level', 'smooth'])
  expect(ids(mended).indexOf(added.at(-1)!.id)).toBe(ids(mended).indexOf(at) - 1)
  expect(coverFor(plan, at)!.early).toBe(false)
})

it('late costs more coats than early, for planned ones no longer go over it', () => {
  const plan = staged()
  const level = plan.steps.findLast(step => step.kind === 'level')!.id
  expect(coverFor(plan, level)!.coats).toBeGreaterThan(coverFor(plan, 'level.after.3')!.coats)
})

it('without anything that builds a film there is nothing to cover it with', () => {
  expect(coverFor(planFor('apple', 'click-8', { shelf: { abrasives: [], products: [] } }), 'clean')).toBeUndefined()
})

it('wherever it is found, the mended place ends with the film wanted, ids stay apart, the order holds, and choosing twice changes nothing (property)', () => {
  fc.assert(fc.property(fc.constantFrom(...methods.filter(method => method.family === 'CA film')), fc.constantFrom(...materials.map(one => one.id)), fc.nat(60), fc.double({ min: 12, max: 45, noNaN: true }), (method, material, pick, depth) => {
    const plan = planFor(material, 'click-8', { method, wishes: { tool: 'skew', film: 'gloss', depth } })
    const levels = plan.steps.filter(step => step.kind === 'level' || step.kind === 'smooth')
    const found = sandThrough(levels[pick % levels.length]!.id)
    const mended = withRepairs(plan, [found])
    expect(new Set(ids(mended)).size).toBe(mended.steps.length)
    const ranks = mended.steps.map(step => phases.indexOf(step.phase))
    expect([...ranks].sort((a, b) => a - b)).toEqual(ranks)
    const spot = trace(mended).steps.at(-1)!.after.spot!
    expect(thinnest(spot)).toBeGreaterThanOrEqual(leastFilm(plan.inputs).value - 1e-6)
    expect(trace(mended).filmThinnest.value).toBeLessThanOrEqual(thinnest(trace(mended).steps.at(-1)!.after.film) + 1e-9)
    expect(withRepairs(mended, [found])).toEqual(mended)
    expect(asPlan(JSON.parse(JSON.stringify(mended)))).toEqual(JSON.parse(JSON.stringify(mended)))
  }), { numRuns: 40 })
})
