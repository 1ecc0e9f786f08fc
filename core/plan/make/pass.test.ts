import { planFor } from '../../../tests/support/inputs'
import { isGrit } from '../model'
import { gritSpeed } from './pass'

// Two strokes a second of 50 mm each are 6 m/min: our own starting value [model], not from a source.
it('a levelling is done by hand on the stopped lathe at 6 m/min, bare grits at the spindle’s speed over the mean diameter', () => {
  const plan = planFor('apple', 'twist-7')
  const grits = plan.steps.filter(isGrit)
  const level = grits.find(step => step.kind === 'level')!
  expect(gritSpeed(plan.inputs, level).value).toBe(2 * 60 * 0.05)
  const sand = grits.find(step => step.kind === 'sand')!
  const ends = plan.inputs.fitting.barrels.flatMap(one => [one.tipEnd, one.clipEnd])
  const mean = ends.reduce((sum, mm) => sum + mm, 0) / ends.length
  const spindle = plan.inputs.method.speeds.sand
  expect(gritSpeed(plan.inputs, sand).value).toBeCloseTo((Math.PI * mean * spindle) / 1000, 6)
})
