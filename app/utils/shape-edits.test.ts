import { makePlan, trace } from '#core/plan'
import { inputs } from '../../tests/support/inputs'
import { asKind, pointsOf, withNewPoint, withPoint } from './shape-edits'

const lower = trace(makePlan(inputs('apple', 'twist-10'))).size.barrels[0]!
const shape = { kind: 'free' as const, points: [{ part: 0.1, diameter: 11 }, { part: 0.3, diameter: 12 }] }

it('a free outline begins as the barrel is, so that changing the kind moves nothing', () => {
  const off = (at: number, part: number) => Math.abs(at - part * lower.barrel.tubeLength)
  const points = pointsOf(asKind(lower, 'free'))
  expect(points).toHaveLength(3)
  for (const { part, diameter } of points) {
    const near = lower.finished.points.reduce((a, b) => (off(b.at, part) < off(a.at, part) ? b : a))
    expect(diameter).toBeCloseTo(near.diameter, 2)
  }
})

it('one point more lies in the middle of the widest gap', () => {
  expect(pointsOf(withNewPoint({ ...lower, shape })).at(-1)?.part).toBeCloseTo(0.65, 2)
})

it('moves one point and leaves the others', () => {
  expect(pointsOf(withPoint(shape, 1, { diameter: 13 }))).toEqual([{ part: 0.1, diameter: 11 }, { part: 0.3, diameter: 13 }])
  expect(pointsOf(withPoint(shape, 0, null))).toEqual([{ part: 0.3, diameter: 12 }])
})
