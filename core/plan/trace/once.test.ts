import { planFor } from '../../../tests/support/inputs'
import { trace } from './course'
import { traceOnce } from './once'

it('the same plan with the same left out is traced once; another, or something else left out, gives its own', () => {
  const [plan, other] = [planFor('apple'), planFor('oak')]
  const coat = plan.steps.find(step => step.kind === 'coat')!.id
  const [first, without] = [traceOnce(plan), traceOnce(plan, new Set([coat]))]
  expect(first).toEqual(trace(plan))
  expect(without).toEqual(trace(plan, new Set([coat])))
  expect(without).not.toEqual(first)
  expect(traceOnce(plan)).toBe(first)
  expect(traceOnce(plan, new Set([coat]))).toBe(without)
  expect(traceOnce(other)).toEqual(trace(other))
  // Of many ways to leave something out the latest are kept.
  for (const step of plan.steps.slice(0, 3)) traceOnce(plan, new Set([step.id]))
  expect(traceOnce(plan)).not.toBe(first)
  expect(traceOnce(plan)).toEqual(first)
})
