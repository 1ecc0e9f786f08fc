import fc from 'fast-check'
import { eventAt, idOf, momentAt, planFor } from '../../tests/support/inputs'
import { defects as catalogue, repairRows } from '../../reference'
import { mendOptions, stageAt } from '../plan'
import { inOrder, type BenchEvent, type Entry } from './event'
import { replay } from './replay'

const plan = planFor('plum-holly', 'twist-7')
const HOUR = 3_600_000
const done = (step: string): Entry => ({ kind: 'done', payload: { step } })
/** An entry as a device whose clock is ahead stamped it. */
const stamped = (event: BenchEvent, ahead: number): BenchEvent => ({
  ...event,
  at: new Date(Date.parse(event.at) + ahead).toISOString(),
  ahead,
})

describe('clocks that run wrong', () => {
  it('an entry of a clock an hour ahead stands where it happened, and its wait counts from then', () => {
    const [first, second] = [eventAt(0, 1, done('coat.1')), eventAt(30, 2, done('coat.2'))]
    const log = [stamped(first, HOUR), second]
    expect(inOrder(log).map(event => [event.id, event.at])).toEqual([
      [first.id, momentAt(0)],
      [second.id, momentAt(30)],
    ])
    expect(replay(plan, log).steps.find(one => one.step.id === 'coat.1')).toMatchObject({ status: 'done', at: momentAt(0) })
  })
  it('of two copies the one that knows its clock stands, whichever came first', () => {
    const event = eventAt(0, 1, done('coat.1'))
    const known = stamped(event, -HOUR)
    const { ahead: _, ...unknown } = known
    expect(inOrder([known, unknown])).toEqual(inOrder([unknown, known]))
    expect(inOrder([unknown, known])[0]!.at).toBe(momentAt(0))
  })
  it('put right twice is put right once', () => {
    const log = inOrder([stamped(eventAt(5, 1, done('cut')), HOUR)])
    expect(inOrder(log)).toEqual(log)
  })
})

/**
 * Any course of two devices on one pen: what is next is done or left out, defects are noted, answered, mended in any way offered, told
 * to show still, taken back; one of the clocks is wrong.
 */
const anyCourse = fc
  .array(
    fc.record({
      what: fc.constantFrom('done', 'done', 'done', 'done', 'skip', 'defect', 'repair', 'failed', 'left', 'coat', 'undo', 'again'),
      pick: fc.nat(1000),
      tablet: fc.boolean(),
    }),
    { maxLength: 45 },
  )
  .map((rows) => {
    const log: BenchEvent[] = []
    rows.forEach(({ what, pick, tablet }, index) => {
      const state = replay(plan, log)
      const step = state.next?.id ?? null
      const stage = stageAt(state.plan, step)
      const defect = state.defects[pick % Math.max(1, state.defects.length)]
      const fit = catalogue.filter(entry => entry.stages.includes(stage))
      const ways = defect ? mendOptions(state.plan, repairRows, { defect, key: 'x', underWay: step, turned: true, tried: [] }) : []
      const entry = ((): Entry | undefined => {
        switch (what) {
          case 'done':
          case 'skip':
            return step === null ? undefined : { kind: what, payload: { step } }
          case 'defect':
            return fit.length
              ? {
                  kind: 'defect',
                  payload: {
                    kind: fit[pick % fit.length]!.kind,
                    barrel: pick % 2 ? 'lower' : 'upper',
                    fromTip: pick % 50,
                    size: 0.1 + (pick % 9),
                    step,
                  },
                }
              : undefined
          case 'repair':
            return defect && ways.length
              ? { kind: 'repair', payload: { defect: defect.id, way: ways[pick % ways.length]!.way, step } }
              : undefined
          case 'failed':
          case 'left':
            return defect && { kind: 'settle', payload: { defect: defect.id, how: what } }
          case 'coat':
            return { kind: 'coat', payload: { product: 'thin-ca', step } }
          case 'undo':
            return state.takeBack.length ? { kind: 'undo', payload: { entries: state.takeBack } } : undefined
          // The other device says the same step is done.
          case 'again':
            return log.findLast(one => one.kind === 'done')
        }
      })()
      if (entry)
        log.push(
          stamped(
            eventAt(index * 40, index, { kind: entry.kind, payload: entry.payload } as Entry, tablet ? 'tablet' : 'shelf'),
            tablet ? HOUR : 0,
          ),
        )
    })
    return log
  })

it('two devices, any order, repetition and interleaving: the same state, ids apart, and nothing done is lost (property)', () => {
  fc.assert(
    fc.property(
      anyCourse.chain(log => fc.tuple(fc.constant(log), fc.shuffledSubarray(log, { minLength: log.length }), fc.subarray(log))),
      ([log, shuffled, again]) => {
        const state = replay(plan, log)
        expect(replay(plan, [...again, ...shuffled])).toEqual(state)
        const ids = state.steps.map(one => one.step.id)
        expect(new Set(ids).size).toBe(ids.length)
        // The planned steps stand in the mended plan as they were planned, in their order.
        expect(state.plan.steps.filter(step => !step.mend)).toEqual(plan.steps)
        // Whatever was entered as done and not taken back is a step that is over, or is kept as entered for a step that a mend no
        // longer has.
        const over = new Set(state.steps.filter(one => one.status !== 'open').map(one => one.step.id))
        const off = new Set(state.offPlan.map(event => ('step' in event.payload ? event.payload.step : '')))
        for (const { event, inForce } of state.log)
          if (inForce && event.kind === 'done') expect(over.has(event.payload.step) || off.has(event.payload.step)).toBe(true)
        // Played again on the plan as it was mended, the log gives the same steps: a stored version of it is no other plan.
        expect(replay(state.plan, log).plan.steps).toEqual(state.plan.steps)
      },
    ),
    { numRuns: 60 },
  )
})

it('an extra coat stands before what was under way, counts as on, and can be taken back', () => {
  const log = ['coat.1', 'coat.2'].map((step, index) => eventAt(index * 100, index, done(step)))
  const more = eventAt(300, 9, { kind: 'coat', payload: { product: 'thin-ca', step: 'coat.3' } })
  const [before, after] = [replay(plan, log), replay(plan, [...log, more])]
  expect(after.coats).toEqual({ on: before.coats.on + 1, planned: before.coats.planned + 1 })
  const ids = after.plan.steps.map(step => step.id)
  expect(ids[ids.indexOf('coat.3') - 1]).toBe(`more.${more.id}`)
  expect(after.waits.find(wait => wait.before === 'coat.3')!.from).toBe(momentAt(300))
  expect(replay(plan, [...log, more, eventAt(310, 10, { kind: 'undo', payload: { entries: [idOf(9)] } })]).plan).toEqual(plan)
})
