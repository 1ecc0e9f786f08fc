import { eventAt, planFor } from '../../tests/support/inputs'
import type { Entry } from './event'
import { isReadable } from './readable'
import { replay } from './replay'

const plan = planFor()
const step = plan.steps.find(one => one.kind === 'polish')!.id
const extra = (item: unknown) =>
  eventAt(1, 1, { kind: 'extra', payload: { work: 'level', with: 'P-360', step, item } } as Entry)

describe('what something was done with', () => {
  it.each([
    ['an abrasive of a known grain', { id: 'P-360', scale: 'P', mark: 360, wet: true, dry: true }, true],
    ['a product of a known role', { id: 'x', role: 'spray lacquer', name: 'X' }, true],
    ['nothing', undefined, true],
    ['null', null, false],
    ['a text', 'P-360', false],
    ['no id', { scale: 'P', mark: 360 }, false],
    ['a scale that nobody knows', { id: 'x', scale: 'Q', mark: 360 }, false],
    ['a grade that its scale has not', { id: 'x', scale: 'P', mark: 361 }, false],
    ['a role that nobody knows', { id: 'x', role: 'constructor' }, false],
  ])('%s', (_name, item, readable) => {
    expect(isReadable(extra(item))).toBe(readable)
    // Whatever it is, the rest of the log counts.
    const done = eventAt(0, 2, { kind: 'done', payload: { step: 'cut' } })
    expect(replay(plan, [done, extra(item)]).steps.find(one => one.step.id === 'cut')!.status).toBe('done')
  })
})
