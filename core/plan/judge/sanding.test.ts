import fc from 'fast-check'
import { grainSize } from '../../abrasives'
import { abrasives, usualAbrasives } from '../../../reference'
import { inputs, planFor, usualShelf, without } from '../../../tests/support/inputs'
import type { PlanInputs } from '../model'
import { makePlan } from '../make'
import { gritAtWork, waysOnFrom } from './grit-at-work'
import { ladderReasons, proposals } from './proposals'
import { reviewOf } from './review'
import { trace } from '../trace'

const wishes = (change: Partial<PlanInputs['wishes']>): Partial<PlanInputs> => ({
  wishes: { tool: 'round carbide', film: 'gloss', ...change },
})
const grits = (change: Partial<PlanInputs> = {}) =>
  makePlan(inputs('apple', 'click-8', change)).steps.flatMap(step => (step.kind === 'sand' ? [step.abrasive.id] : []))
const reviewed = (change: Partial<PlanInputs>) => {
  const plan = makePlan(inputs('apple', 'click-8', change))
  return reviewOf(plan, trace(plan))
}

it('what is worked out is usable in its own review, for every tool and wood of the reference (property)', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('skew' as const, 'round carbide' as const, 'square carbide' as const, 'gouge' as const),
      fc.constantFrom('apple', 'oak', 'holly', 'walnut', 'unknown'),
      (tool, material) => {
        const plan = planFor(material, 'twist-7', { wishes: { tool, film: 'gloss' } })
        const { usable, findings, left } = reviewOf(plan, trace(plan))
        expect(findings.filter(one => one.kind !== 'pointless')).toEqual([])
        expect(usable).toBe(true)
        expect(left.depth).toBeLessThanOrEqual(8 + 1e-9)
      },
    ),
  )
})

it('a ladder of one’s own stands in its order, grits that left the shelf fall out of it', () => {
  expect(grits(wishes({ ladder: ['P-600', 'P-150', 'P-320'] }))).toEqual(['P-600', 'P-150', 'P-320'])
  expect(grits({ ...wishes({ ladder: ['P-150', 'P-320', 'P-600'] }), shelf: without('P-320') })).toEqual(['P-150', 'P-600'])
  const backward = reviewed(wishes({ ladder: ['P-600', 'P-150', 'P-320'] }))
  expect(backward.findings.map(one => one.kind)).toContain('backward')
  expect(backward.usable).toBe(false)
})

it('grits insisted on are in it, grits refused are not, and a jump of one’s own holds', () => {
  expect(grits(wishes({ insist: ['P-180', 'P-500'] }))).toEqual(expect.arrayContaining(['P-180', 'P-500']))
  const best = grits(wishes({}))
  expect(grits(wishes({ refuse: [best[1]!] }))).not.toContain(best[1])
  const jumps = (ids: string[]) => ids.slice(1).map((id, index) => grain(ids[index]!) / grain(id))
  const grain = (id: string) => grainSize('P', Number(id.slice(2)))
  expect(Math.max(...jumps(grits(wishes({ jump: 1.5 })).filter(id => id.startsWith('P-'))))).toBeLessThanOrEqual(1.5 + 1e-9)
  expect(grits(wishes({ jump: 0 })).length).toBeLessThanOrEqual(best.length)
})

it('traces scratches that a grit of one’s own ladder leaves behind, instead of forgetting them', () => {
  const plan = makePlan(inputs('apple', 'click-8', wishes({ tool: 'gouge', ladder: ['pad-6000'] })))
  const { steps } = trace(plan)
  const after = steps.find(one => one.step.kind === 'sand')!.after
  expect(after.wood.scratches.map(one => one.origin)).toEqual(['gouge', 'pad 6000'])
  expect(after.wood.scratches[0]!.depth).toBeGreaterThan(30)
})

it('offers the quickest first, one of few grits, one of small jumps; all different and usable', () => {
  const offers = proposals(inputs('apple', 'click-8', wishes({ tool: 'gouge' })))
  const of = (name: string) => offers.find(one => one.name === name)
  expect(offers[0]!.name).toBe('best for my shelf')
  expect(new Set(offers.map(one => one.ids.join())).size).toBe(offers.length)
  expect(offers.filter(one => one.name === 'next best').every(one => one.seconds >= offers[0]!.seconds - 1e-9)).toBe(true)
  expect(of('the short one')!.ids.length).toBeLessThanOrEqual(offers[0]!.ids.length)
  expect(of('the careful one')!.ids.length).toBeGreaterThan(of('the short one')!.ids.length)
})

it('says what each grit is worth, what a missing one would cost, and which to buy', () => {
  const bare = { ...usualShelf, abrasives: usualShelf.abrasives.filter(one => ['P-150', 'P-320', 'P-600'].includes(one.id)) }
  const reasons = ladderReasons(inputs('apple', 'click-8', { shelf: bare, ...wishes({ jump: 2.5 }) }), abrasives)!
  expect(reasons.steps.every(one => one.costs >= 0)).toBe(true)
  expect(reasons.steps.find(one => one.id === 'P-600')!.costs).toBe(Infinity)
  expect(reasons.buy && !bare.abrasives.some(one => one.id === reasons.buy!.id)).toBeTruthy()
  const none = ladderReasons(inputs('apple', 'click-8', { shelf: { ...bare, abrasives: [] } }), abrasives)
  expect(none).toBeUndefined()
  expect(usualAbrasives.length).toBeGreaterThan(10)
})

it('a worn sheet takes longer, an own cut rate shorter', () => {
  const seconds = (change: Partial<PlanInputs>) => {
    const plan = makePlan(inputs('apple', 'click-8', { ...wishes({ ladder: ['P-150', 'P-320', 'P-600'] }), ...change }))
    const traced = trace(plan)
    return gritAtWork(
      plan,
      traced,
      plan.steps.find(step => step.kind === 'sand')!,
    )!.seconds
  }
  const worn = { ...usualShelf, abrasives: usualShelf.abrasives.map(one => ({ ...one, worn: 0.4 })) }
  expect(seconds({ shelf: worn })).toBeGreaterThan(seconds({}))
  expect(seconds({ own: { rate: 2, capacity: 1 } })).toBeCloseTo(seconds({}) / 2, 6)
})

it('after “not yet” the ways on come cheapest first, out of what the shelf has', () => {
  const plan = planFor('apple', 'click-8')
  const step = plan.steps.filter(one => one.kind === 'sand').at(-1)!
  if (step.kind !== 'sand') throw new Error('Should sand.')
  const ways = waysOnFrom(plan, trace(plan), step, 6)
  expect(ways.length).toBeGreaterThan(1)
  expect(ways.map(one => one.seconds)).toEqual([...ways.map(one => one.seconds)].sort((a, b) => a - b))
})

it('says what stays when a grit is stopped at half its time: less than half, since it cuts best while it is fresh', () => {
  const plan = planFor('apple', 'click-8')
  const traced = trace(plan)
  for (const step of plan.steps.filter(one => one.kind === 'sand')) {
    const { seconds, leftAtHalf } = gritAtWork(plan, traced, step)!
    const removes = traced.steps.find(one => one.step.id === step.id)!.grit!.removes.value
    // r(t / 2) / r(t) = 1 / (1 + e^(-t / 2τ)), which lies between a half and one.
    expect(leftAtHalf).toBeGreaterThan(0)
    expect(leftAtHalf).toBeLessThan(removes / 2 + 1e-9)
    expect(seconds).toBeGreaterThan(0)
  }
})

it('what is worth buying is not on the shelf already, and can be used on bare wood', () => {
  const there = ['P-80', 'P-150', 'P-220', 'P-320', 'P-600']
  const few = { ...usualShelf, abrasives: abrasives.filter(one => there.includes(one.id)) }
  const bare = inputs('apple', 'click-8', { shelf: few, wishes: { tool: 'gouge', film: 'gloss' } })
  const offered = (ids: string[], change = {}) =>
    ladderReasons(bare, abrasives.filter(one => ids.includes(one.id)).map(one => ({ ...one, ...change })))!.buy
  expect(offered(['P-360'])).toEqual({ id: 'P-360', saves: expect.any(Number) })
  expect(offered(there)).toBeUndefined()
  expect(offered(['P-360'], { dry: false, wet: true })).toBeUndefined()
})
