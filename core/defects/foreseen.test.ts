import fc from 'fast-check'
import type { Cause, Evidence } from './cause'
import { timesAsOften } from './foreseen'

const cause = (id: string, prior: number, speaks: Record<string, number>): Cause =>
  ({ id, kind: 'chip', says: id, avoid: '', prior, speaks })
const holds = (evidence: string, is: boolean) => ({ evidence, holds: is })

it('a cause that speaks is as much likelier as its evidence holds oftener under it than at large (worked by hand)', () => {
  const [causes, evidence] = [[cause('dull', 1, { dull: 0.9 })], [{ id: 'dull', base: 0.2 }]]
  // Nine in ten of all chips have this cause, one in ten another that says nothing: 0.9 × 0.9/0.2 + 0.1 and 0.9 × 0.1/0.8 + 0.1.
  expect(timesAsOften('chip', causes, evidence, [holds('dull', true)])).toBeCloseTo(4.15, 9)
  expect(timesAsOften('chip', causes, evidence, [holds('dull', false)])).toBeCloseTo(0.2125, 9)
  expect(timesAsOften('chip', causes, evidence, [])).toBeCloseTo(1, 9)
  expect(timesAsOften('bleed', causes, evidence, [holds('dull', true)])).toBeCloseTo(1, 9)
})
it('over pens on which everything holds as often as at large it is 1 on the mean, whatever the tables say (property)', () => {
  const part = fc.double({ min: 0.05, max: 0.95, noNaN: true })
  const ids = ['a', 'b', 'c']
  const anyCause = fc.record({
    prior: fc.integer({ min: 1, max: 9 }), speaks: fc.record({ a: part, b: part, c: part }, { requiredKeys: [] }),
  })
  fc.assert(fc.property(fc.array(anyCause, { maxLength: 4 }), fc.tuple(part, part, part), (all, bases) => {
    const causes = all.map(({ prior, speaks }, index) => cause(`cause ${index}`, prior, speaks as Record<string, number>))
    const evidence = ids.map((id, index): Evidence => ({ id, base: bases[index]! }))
    const mean = Array.from({ length: 8 }, (_, bits) => ids.map((id, index) => holds(id, Boolean(bits & (1 << index)))))
      .reduce((sum, pen) => sum + timesAsOften('chip', causes, evidence, pen)
      * pen.reduce((so, one, index) => so * (one.holds ? bases[index]! : 1 - bases[index]!), 1), 0)
    expect(mean).toBeCloseTo(1, 9)
  }))
})
it('what was judged in the shop moves the causes: one that was never behind a chip there counts less', () => {
  const causes = [cause('dull', 1, { dull: 0.9 }), cause('knot', 1, { knot: 0.9 })]
  const evidence = [{ id: 'dull', base: 0.2 }, { id: 'knot', base: 0.2 }]
  const dull = (history: Record<string, number>) => timesAsOften('chip', causes, evidence, [holds('dull', true)], history)
  expect(dull({ knot: 20 })).toBeLessThan(dull({}))
  expect(dull({ dull: 20 })).toBeGreaterThan(dull({}))
})
