import { inputs, methodOf, planFor, without } from '../../../tests/support/inputs'
import { makePlan, type PlanInputs } from '..'
import { planDifference } from './difference'
import { judgeSpeed, stepSpeed } from './speeds'
import { trace } from '../trace'

const plan = (change: Partial<PlanInputs> = {}, material = 'apple') =>
  makePlan(inputs(material, 'click-8', { method: methodOf('ca-thin-first'), ...change }))
const base = plan()
const wishes = (more: object) => ({ wishes: { tool: 'skew' as const, film: 'gloss' as const, ...more } })

describe('what another plan would change', () => {
  it('nothing where nothing is', () => expect(planDifference(base, plan())).toEqual([]))
  it('grits that go and come, on the wood and on the film', () => {
    expect(planDifference(base, plan(wishes({ refuse: ['P-320'] })))).toEqual(['without P320', 'with P400'])
    expect(planDifference(base, plan({ shelf: without('pad-1800') })).join()).toMatch(/^without .*pad 1800 on the film,with .* on the film/)
  })
  it('coats by their count, and when it is ready', () => {
    const thin = plan(wishes({ depth: 15 }))
    const count = (of: typeof base) => of.steps.filter(step => step.kind === 'coat').length
    expect(planDifference(base, thin)).toContain(`${count(thin)} coats, not ${count(base)}`)
    const cold = plan({ climate: { celsius: 11, humidity: 55 } })
    // Waits are 1.4 times as long in air ten degrees colder; nothing else is another.
    expect(planDifference(base, cold)).toEqual([expect.stringMatching(/^ready 1\d h .* later$/)])
    expect(planDifference(cold, base)).toEqual([expect.stringMatching(/^ready 1\d h .* sooner$/)])
  })
  it('what else a turner would notice, in a word', () => {
    const other = (from: typeof base, to: typeof base) => planDifference(from, to).includes('other products or settings')
    expect(other(base, plan({ shelf: without('accelerator') }))).toBe(true)
    expect(other(base, plan(wishes({ glue: 'CA overnight' })))).toBe(true)
    expect(other(plan({}, 'oily-exotic'), plan({ shelf: without('alcohol') }, 'oily-exotic'))).toBe(true)
    expect(other(base, plan({ climate: { celsius: 22, humidity: 55 } }))).toBe(false)
    const sealed = { ...base, steps: base.steps.map(step => (step.kind === 'polish' ? { ...step, id: 'polish.again' } : step)) }
    expect(other(base, sealed)).toBe(true)
    // One thing of one step each: another bottle, with or without accelerator, another way of cleaning or gluing.
    const changed = (is: (step: (typeof base.steps)[number]) => boolean, how: object) => ({
      ...base,
      steps: base.steps.map(step => (is(step) ? ({ ...step, ...how } as typeof step) : step)),
    })
    const coat = base.steps.find(step => step.kind === 'coat')!
    const medium = { ...coat.product, id: 'medium-ca' }
    expect(other(base, changed(step => step.id === coat.id, { product: medium }))).toBe(true)
    expect(other(base, changed(step => step.id === coat.id, { accelerated: !coat.accelerated }))).toBe(true)
    expect(other(base, changed(step => step.id === coat.id, { id: 'coat.other' }))).toBe(false)
    expect(other(base, changed(step => step.kind === 'clean', { how: 'alcohol' }))).toBe(true)
    expect(other(base, changed(step => step.kind === 'tube', { accelerated: true }))).toBe(true)
    expect(other(base, changed(step => step.kind === 'tube', { product: { id: 'another-glue' } }))).toBe(true)
    expect(other(base, changed(step => step.kind === 'turn', { apart: true }))).toBe(false)
  })
})

describe('the speed of a step', () => {
  const whole = trace(base)
  const step = (id: string) => base.steps.find(one => one.id.startsWith(id))!
  const judge = (id: string, speed: number) => judgeSpeed(base, step(id), whole, speed)
  it('as read is within its window, too slow or too fast, with the bound and why', () => {
    expect(judge('sand', 1000)!.within).toBe(true)
    expect(judge('coat.1', 500)).toMatchObject({ within: true })
    const fast = judge('coat.1', 3000)!
    expect(fast.within).toBe(false)
    expect(fast.says).toMatch(/^Too fast for .*: \d+ at the most\. .+\.$/)
    expect(judge('sand', 100)!.says).toMatch(/^Too slow for sanding: \d+ at the least\. .+\.$/)
  })
  it('standing is right where it should stand, and is told where it should not', () => {
    expect(judge('level', 0)).toEqual({ within: true, says: 'Lathe stands' })
    expect(judge('level', 500)).toEqual({ within: false, says: 'Lathe off for this step' })
    expect([19, 20].map(speed => judge('level', speed)!.within)).toEqual([true, false])
    expect(judge('sand', 5)).toEqual({ within: true, says: 'Lathe stands' })
    expect(judge('parts', 500)).toBeUndefined()
  })
  it('at the drill is the fastest of its bit, which no window forbids; a faster one is not', () => {
    const drill = stepSpeed(base, step('drill'), whole)!
    expect(drill).toMatchObject({ operation: 'drilling', within: true })
    expect(drill.spindle.value).toBe(whole.size.barrels[0]!.drilling.fast.value)
    const narrow = planFor('apple', 'twist-7')
    const fast = stepSpeed(narrow, narrow.steps.find(one => one.kind === 'drill')!, trace(narrow))!
    // A 7 mm bit runs at the 500 rev/min that is the window's own bound.
    expect([fast.spindle.value, fast.within]).toEqual([500, true])
    expect(fast.surface.value).toBeCloseTo((Math.PI * 7 * 500) / 1000, 6)
  })
})
