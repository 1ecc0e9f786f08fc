import fc from 'fast-check'
import type { Plan } from '../../core/plan'
import { withWishes } from '../../core/plan'
import { planFor } from '../../tests/support/inputs'
import { grown, keptBeside, type KeptVersion } from './plan-versions'

const asKept = (plan: Plan): unknown => JSON.parse(JSON.stringify(plan))
/** As the database answers it. */
const read = ({ body, patch }: KeptVersion, whole: unknown) =>
  grown({ body: body && JSON.parse(body), patch: patch && JSON.parse(patch), whole: patch && whole })

const usual = planFor()
const whole = { version: 1, body: asKept(usual) }

it('whatever another version has, it opens exactly as it was made, and no more is kept than the whole (property)', () => {
  const anyPlan = fc.record({
    material: fc.constantFrom('apple', 'oak', 'burr-resin', 'pear'),
    fitting: fc.constantFrom('click-8', 'twist-7', 'cap-9'),
    film: fc.constantFrom('close' as const, 'gloss' as const),
    depth: fc.integer({ min: 5, max: 60 }),
    drop: fc.array(fc.nat(40), { maxLength: 4 }),
    twice: fc.array(fc.nat(40), { maxLength: 3 }),
    // A key of that name is no plan’s, and what patches documents leaves it out.
    note: fc.jsonValue().filter(value => !JSON.stringify(value).includes('__proto__')),
  })
  fc.assert(fc.property(anyPlan, ({ material, fitting, film, depth, drop, twice, note }) => {
    const made = withWishes(planFor(material, fitting), { tool: 'skew', film, depth }, new Set())
    const steps = made.steps.flatMap((step, index) => (drop.includes(index) ? [] : twice.includes(index) ? [step, step] : [step]))
    const plan = { ...made, steps, note } as Plan
    const kept = keptBeside(plan, whole)
    const before = JSON.stringify(whole.body)
    expect(read(kept, whole.body)).toEqual(asKept(plan))
    // The whole one stays as it was for whoever reads it next.
    expect(JSON.stringify(whole.body)).toBe(before)
    expect((kept.body ?? kept.patch ?? '').length).toBeLessThanOrEqual(JSON.stringify(plan).length)
  }), { numRuns: 60 })
})

it('what a wish changes costs a small part of the whole; another wood and fitting are kept whole', () => {
  const size = JSON.stringify(usual).length
  for (const wishes of [{ film: 'close' }, { depth: 40 }, { finest: 2000 }] as const) {
    const kept = keptBeside(withWishes(usual, { tool: 'skew', film: 'gloss', ...wishes } as never, new Set()), whole)
    expect(kept.body).toBeNull()
    expect([wishes, kept.patch!.length < 0.2 * size]).toEqual([wishes, true])
  }
  // A step put in at the front moves the others and changes none of them.
  const first = usual.steps[0]!
  const longer = { ...usual, steps: [{ ...first, id: 'again' } as typeof first, ...usual.steps] }
  expect(keptBeside(longer, whole).patch!.length).toBeLessThan(2000)
  const other = planFor('burr-resin', 'twist-10', { shelf: { abrasives: [], products: [] } })
  expect(keptBeside(other, whole)).toMatchObject({ patch: null, whole: null })
  expect(keptBeside(usual, undefined)).toMatchObject({ patch: null, whole: null })
})

it('a version whose whole one is missing, or that does not fit it, is none', () => {
  const kept = keptBeside(withWishes(usual, { tool: 'skew', film: 'close' }, new Set()), whole)
  const patch = JSON.parse(kept.patch!)
  expect(grown({ body: null, patch, whole: null })).toBeUndefined()
  expect(grown({ body: null, patch: [{ op: 'replace', path: '/steps/99/id', value: 1 }], whole: whole.body })).toBeUndefined()
})
