import fc from 'fast-check'
import { eventAt, methodOf, momentAt, planFor } from '../../tests/support/inputs'
import { withRepairs } from '../plan'
import { boardOf } from './board'
import { mayGo } from './may-go'

const plan = planFor('apple', 'click-8', { method: methodOf('ca-thin-staged') })
const ids = plan.steps.map(step => step.id)
const DAY = 86_400
/** Everything before a step is done, a minute apart, the last of it at second 0. */
const doneTo = (step: string) => {
  const before = ids.slice(0, ids.indexOf(step))
  return before.map((id, index) => eventAt((index - before.length + 1) * 60, index + 1, { kind: 'done', payload: { step: id } }))
}
const at = (seconds: number, step: string) => mayGo(boardOf(plan, doneTo(step)), momentAt(seconds))!
const seconds = (moment: string) => (Date.parse(moment) - Date.parse(momentAt(0))) / 1000
const cure = boardOf(plan, []).traced.steps.at(-1)!.wait!.length.value

it('of a pen that is not begun it is what the plan says, from now; of one that is over, nothing', () => {
  const { traced } = boardOf(plan, [])
  const go = mayGo(boardOf(plan, []), momentAt(0))!
  expect(seconds(go.at)).toBeCloseTo(traced.untilHandOver.value - traced.steps.at(-1)!.handsOn.value, 2)
  expect(go.before).toBe('check')
  const all = ids.map((id, index) => eventAt(index * 60, index + 1, { kind: 'done', payload: { step: id } }))
  expect(mayGo(boardOf(plan, all), momentAt(0))).toBeNull()
})
it('a pressed pen goes once its film has cured from its last coat, whatever the hour; cured, it goes now', () => {
  const lastCoat = boardOf(plan, doneTo('check')).state.steps.findLast(one => one.step.kind === 'coat')!
  const cured = seconds((lastCoat as { at: string }).at) + cure
  expect(seconds(at(3600, 'check').at)).toBeCloseTo(cured, 2)
  expect(seconds(at(8 * 3600, 'check').at)).toBeCloseTo(cured, 2)
  expect(at(2 * DAY, 'check')).toEqual({ at: momentAt(2 * DAY), work: 0 })
})
it('touched up with a drop of CA once all has cured, it waits for that drop: not the eight hours less that pressing would take', () => {
  const repair = { defect: 'd', key: 'd', kind: 'chip', way: 'touch up', barrel: 'only', fromTip: 5, size: 1, step: 'check' } as const
  const mended = boardOf(withRepairs(plan, [repair]), doneTo('check'))
  const go = mayGo(mended, momentAt(2 * DAY))!
  const [touch, look] = ['fix', 'look again'].map(kind => mended.traced.steps.find(one => one.step.kind === kind)!)
  expect(seconds(go.at)).toBeCloseTo(2 * DAY + touch!.handsOn.value + cure + look!.handsOn.value, 1)
  expect(go.before).toBe(look!.step.id)
})
it('later never makes it earlier, and nothing goes before its last wait is over (property)', () => {
  fc.assert(
    fc.property(fc.constantFrom(...ids), fc.nat(3 * DAY), fc.nat(DAY), (step, now, more) => {
      const [one, later] = [at(now, step), at(now + more, step)]
      expect(later.at >= one.at).toBe(true)
      expect(one.at >= momentAt(now)).toBe(true)
      const wait = boardOf(plan, doneTo(step)).state.waits.find(each => each.before === 'check')
      if (wait) expect(one.at >= wait.until).toBe(true)
      // Work that is left is in it.
      expect(seconds(one.at) - now).toBeGreaterThanOrEqual(one.work - 1e-3)
    }),
    { numRuns: 80 },
  )
})
