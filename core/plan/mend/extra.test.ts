import { eventAt, methodOf, momentAt, planFor } from '../../../tests/support/inputs'
import { replay } from '../../bench'
import { stepId, type Plan } from '../model'
import { withExtra } from './extra'

const extraCoatId = (key: string) => stepId.ofMend('more', key)
const withExtraCoat = (to: Plan, { product: what, ...rest }: { key: string, product: string, step: string | null }) =>
  withExtra(to, { ...rest, work: 'coat', with: what })
const plan = planFor('apple', 'click-8', { method: methodOf('ca-medium-only') })
const coat = plan.steps.find(step => step.kind === 'coat')!
const before = plan.steps.slice(0, plan.steps.indexOf(coat))
const log = [
  ...before.map((step, index) => eventAt(index - 500, index, { kind: 'done', payload: { step: step.id } })),
  eventAt(0, 300, { kind: 'done', payload: { step: 'coat.1' } }),
]
const product = coat.kind === 'coat' ? coat.product.id : ''

it('a coat more goes before the step under way, put on as the planned ones are, and waits for the coat before it', () => {
  const more = withExtraCoat(plan, { key: 'e', product, step: 'coat.2' })
  const at = more.steps.findIndex(step => step.id === extraCoatId('e'))
  expect(more.steps[at - 1]!.id).toBe('coat.1')
  expect(more.steps[at + 1]!.id).toBe('coat.2')
  expect(more.steps[at]).toMatchObject({
    kind: 'coat', phase: 'coat', product: { id: product }, gate: { purpose: 'next coat', since: 'coat' }, mend: 'e', barrels: ['only'],
    accelerated: true, speed: 500, applicator: 'foam', soak: false,
  })
  // Told twice it is one coat.
  expect(withExtraCoat(more, { key: 'e', product, step: 'coat.2' })).toBe(more)
})
it('the next coat waits from the one that went on beside the plan, not from the one before', () => {
  const entry = eventAt(60, 301, { kind: 'coat', payload: { product, step: 'coat.2' } })
  const { waits, next, coats } = replay(plan, [...log, entry])
  expect(next!.id).toBe('coat.2')
  expect(coats.on).toBe(2)
  const wait = waits.find(one => one.before === 'coat.2')
  expect(wait).toMatchObject({ since: extraCoatId(entry.id), from: momentAt(60), until: momentAt(82) })
})
it('after everything it goes to the end; a product that is nowhere adds none', () => {
  expect(withExtraCoat(plan, { key: 'e', product, step: null }).steps.at(-1)).toMatchObject({ id: extraCoatId('e'), phase: 'assemble' })
  expect(withExtraCoat(plan, { key: 'e', product: 'honey', step: 'coat.2' })).toBe(plan)
})
it('one that the plan has no coat of is put on as such products are', () => {
  const other = withExtraCoat(plan, { key: 'e', product: 'carnauba-wax', step: 'coat.2' }).steps.find(step => step.mend === 'e')
  expect(other).toMatchObject({ kind: 'coat', accelerated: false, speed: 0, applicator: 'towel' })
})
