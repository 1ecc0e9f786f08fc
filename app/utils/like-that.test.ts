import { methodOf, planFor, usualShelf, without } from '../../tests/support/inputs'
import { isKind, makePlan } from '../../core/plan'
import { methods } from '../../reference'
import { likeThat } from './like-that'

const own = planFor('apple', 'click-8', { method: methodOf('ca-thin-first') })
const other = planFor('damson', 'click-8', {
  method: methodOf('ca-medium-only'),
  wishes: {
    tool: 'gouge', film: 'gloss', depth: 80, shapes: { only: { kind: 'straight' } }, ends: [{ barrel: 'only', end: 'tip', diameter: 9 }],
  },
})
const grits = (plan: typeof own) => plan.steps.filter(isKind('sand')).map(step => step.abrasive.id)

it('takes over ladder, method and size: a plan made of it is worked as the other was', () => {
  const { method, sizing, missing } = likeThat(own, other, usualShelf, methods)
  expect([method, missing]).toEqual(['ca-medium-only', []])
  expect(sizing).toMatchObject({ depth: 80, shapes: { only: { kind: 'straight' } }, ends: [{ diameter: 9 }], ladder: grits(other) })
  // The tool is what it was turned with, and stays this pen's own.
  expect(sizing).not.toHaveProperty('tool')
  const made = makePlan({ ...own.inputs, method: methodOf(method), wishes: { tool: 'skew', film: 'gloss', ...sizing } })
  expect(grits(made)).toEqual(grits(other))
})
it('does without what cannot be had here, and names it', () => {
  const gone = grits(other)[1]!
  const { sizing, missing, method } = likeThat(own, other, without(gone), methods.filter(one => one.id !== 'ca-medium-only'))
  expect(sizing.ladder).toEqual(grits(other).filter(id => id !== gone))
  expect(missing).toHaveLength(2)
  expect(missing[1]).toBe(methodOf('ca-medium-only').name)
  expect(method).toBe('ca-thin-first')
})
it('ends and shapes of another set stay with it', () => {
  const two = planFor('apple', 'twist-7')
  const { sizing } = likeThat(two, other, usualShelf, methods)
  expect(sizing).not.toHaveProperty('ends')
  expect(sizing).not.toHaveProperty('shapes')
})
