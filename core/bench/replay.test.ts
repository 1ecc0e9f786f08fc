import fc from 'fast-check'
import { eventAt, idOf, momentAt, planFor } from '../../tests/support/inputs'
import { coatCount } from '../plan'
import type { BenchEvent, Entry } from './event'
import { replay } from './replay'

const plan = planFor()
const stepIds = plan.steps.map(step => step.id)
const at = (id: string): number => stepIds.indexOf(id)
/** Everything up to and with a step, one entry every ten minutes. */
const workedTo = (id: string): BenchEvent[] =>
  stepIds.slice(0, at(id) + 1).map((step, index) => eventAt(index * 600, index + 1, { kind: 'done', payload: { step } }))
const undo = (seconds: number, number: number, ...targets: number[]) =>
  eventAt(seconds, number, { kind: 'undo', payload: { entries: targets.map(idOf) } })

/** Any log of two devices: steps done or left out, defects, undos of anything, undos of undos, and of what is not there. */
const anyLog: fc.Arbitrary<BenchEvent[]> = fc
  .array(
    fc.record({
      what: fc.constantFrom('done', 'done', 'done', 'skip', 'defect', 'undo', 'undo'),
      step: fc.nat(stepIds.length - 1),
      target: fc.nat(32),
      seconds: fc.nat(500),
      device: fc.constantFrom('shelf', 'tablet'),
    }),
    { maxLength: 30 },
  )
  .map(rows =>
    rows.map(({ what, step, target, seconds, device }, index) => {
      const entry: Entry
        = what === 'undo'
          ? { kind: 'undo', payload: { entries: [idOf(target)] } }
          : what === 'defect'
            ? { kind: 'defect', payload: { kind: 'chip', barrel: 'only', fromTip: step, size: 0.5, step: null } }
            : { kind: what as 'done', payload: { step: stepIds[step]! } }
      return eventAt(seconds, index, entry, device)
    }),
  )

it('gives the same state for any order and any repetition of the same events (property)', () => {
  fc.assert(
    fc.property(
      anyLog.chain(log => fc.tuple(fc.constant(log), fc.shuffledSubarray(log, { minLength: log.length }), fc.subarray(log))),
      ([log, shuffled, again]) => {
        expect(replay(plan, [...shuffled, ...again])).toEqual(replay(plan, log))
      },
    ),
    { numRuns: 200 },
  )
})

it('an entry and its undo leave everything as it was, but for the log (property)', () => {
  fc.assert(
    fc.property(anyLog, fc.nat(stepIds.length - 1), (log, step) => {
      const entry = eventAt(1000, 900, { kind: 'done', payload: { step: stepIds[step]! } })
      const { log: logBefore, takeBack: _a, putBack: _b, held: _h, ...before } = replay(plan, log)
      const { log: logAfter, takeBack: _c, putBack: _d, held: _i, ...after } = replay(plan, [...log, entry, undo(1001, 901, 900)])
      expect({ ...after, begun: true }).toEqual({ ...before, begun: true })
      expect(logAfter).toHaveLength(logBefore.length + 2)
    }),
  )
})

describe('a pen at the bench', () => {
  it('has not begun without entries, and names its first step', () => {
    expect(replay(plan, [])).toMatchObject({ begun: false, finished: false, next: { id: 'parts' }, waits: [], takeBack: [], putBack: null })
  })

  it('counts coats, and the same coat from two devices once', () => {
    const log = [...workedTo('coat.2'), eventAt(9000, 500, { kind: 'done', payload: { step: 'coat.2' } }, 'tablet')]
    const state = replay(plan, log)
    expect(state.coats).toEqual({ on: 2, planned: coatCount(plan) })
    expect(state.next?.id).toBe('coat.3')
    expect(state.log.filter(entry => entry.repeated).map(entry => entry.event.id)).toEqual([idOf(500)])
  })

  it('counts a wait from the log, not from a timer', () => {
    const log = workedTo('coat.1')
    const coated = log.at(-1)!.at
    const [wait] = replay(plan, log).waits
    expect(wait).toMatchObject({ since: 'coat.1', before: 'coat.2', purpose: 'next coat', from: coated })
    expect(Date.parse(wait!.until) - Date.parse(coated)).toBe(75_000)
  })

  it('goes past a step left out, and is finished when none is open', () => {
    const skipped = replay(plan, [...workedTo('turn'), eventAt(9000, 500, { kind: 'skip', payload: { step: stepIds[at('turn') + 1]! } })])
    expect(skipped.next?.id).toBe(stepIds[at('turn') + 2])
    expect(replay(plan, workedTo('check'))).toMatchObject({ finished: true, next: null, waits: [] })
  })

  it('keeps entries of steps that a newer plan no longer has', () => {
    const state = replay(plan, [eventAt(0, 1, { kind: 'done', payload: { step: 'sand.P-999' } })])
    expect(state.offPlan.map(event => event.id)).toEqual([idOf(1)])
  })

  it('notes a chip where it is, open until it is settled', () => {
    const chip = eventAt(10, 1, { kind: 'defect', payload: { kind: 'chip', barrel: 'only', fromTip: 12.5, size: 0.6, step: 'turn' } })
    const mended = eventAt(20, 2, { kind: 'settle', payload: { defect: idOf(1), how: 'mended' } })
    expect(replay(plan, [chip]).defects).toMatchObject([
      { id: idOf(1), kind: 'chip', barrel: 'only', fromTip: 12.5, size: 0.6, step: 'turn', at: momentAt(10), status: 'open', mends: [] },
    ])
    expect(replay(plan, [mended, chip]).defects[0]).toMatchObject({ status: 'mended', settledAt: momentAt(20) })
    expect(replay(plan, [chip, mended, undo(30, 3, 2)]).defects[0]!.status).toBe('open')
  })
})

describe('undo', () => {
  const done = eventAt(0, 1, { kind: 'done', payload: { step: 'cut' } })
  const status = (...log: BenchEvent[]) => replay(plan, log).steps[at('cut')]!.status

  it('takes an entry back; undoing the undo puts it in force; and so on', () => {
    expect(status(done)).toBe('done')
    expect(status(done, undo(1, 2, 1))).toBe('open')
    expect(status(done, undo(1, 2, 1), undo(2, 3, 2))).toBe('done')
    expect(status(done, undo(1, 2, 1), undo(2, 3, 2), undo(3, 4, 3))).toBe('open')
  })
  it('twice on the same entry needs both undone', () => {
    expect(status(done, undo(1, 2, 1), undo(1, 3, 1), undo(2, 4, 2))).toBe('open')
  })
  it('offers the last entry, then the one before it, and putting back only right after an undo', () => {
    const log = [done, eventAt(5, 2, { kind: 'done', payload: { step: 'drill' } })]
    expect(replay(plan, log)).toMatchObject({ takeBack: [idOf(2)], putBack: null })
    const back = [...log, undo(6, 3, 2)]
    expect(replay(plan, back)).toMatchObject({ takeBack: [idOf(1)], putBack: idOf(3) })
    expect(replay(plan, [...back, eventAt(7, 4, { kind: 'done', payload: { step: 'drill' } })]).putBack).toBeNull()
  })
  it('puts back as many as were taken back, the last first, and then no more (property)', () => {
    const some = fc.integer({ min: 1, max: 8 })
    fc.assert(fc.property(some, some, some, (many, takes, puts) => {
      const log: BenchEvent[] = plan.steps.slice(0, many).map((step, index) =>
        eventAt(index, index + 1, { kind: 'done', payload: { step: step.id } }))
      const statesOf = () => replay(plan, log).steps.map(one => one.status)
      const states = [statesOf()]
      for (let taken = 0; taken < Math.min(takes, many); taken++) {
        const { takeBack } = replay(plan, log)
        log.push(eventAt(100 + log.length, 100 + log.length, { kind: 'undo', payload: { entries: takeBack } }))
        states.push(statesOf())
      }
      for (let put = 0; put < puts; put++) {
        const { putBack } = replay(plan, log)
        states.pop()
        expect(putBack === null).toBe(states.length === 0)
        if (putBack === null) break
        log.push(eventAt(100 + log.length, 100 + log.length, { kind: 'undo', payload: { entries: [putBack] } }))
        expect(statesOf()).toEqual(states.at(-1))
      }
    }))
  })
  it('takes back both entries of a coat that two devices entered', () => {
    const log = [
      eventAt(0, 1, { kind: 'done', payload: { step: 'coat.1' } }),
      eventAt(2, 2, { kind: 'done', payload: { step: 'coat.1' } }, 'tablet'),
    ]
    expect(replay(plan, log).takeBack).toEqual([idOf(1), idOf(2)])
  })
  it('goes as deep as anyone cares to press, in a blink', () => {
    const presses = Array.from({ length: 20_000 }, (_, index) => undo(index + 1, index + 2, index + 1))
    expect(status(done, ...presses)).toBe('done')
    expect(status(done, ...presses.slice(1))).toBe('done')
    expect(status(done, ...presses.slice(0, -1))).toBe('open')
  })
  it('in a ring takes nothing back, and does not hang', () => {
    expect(status(done, undo(1, 2, 3), undo(2, 3, 2), undo(3, 4, 4))).toBe('done')
    expect(replay(plan, [done, undo(1, 2, 3), undo(2, 3, 2)]).log.every(entry => entry.inForce)).toBe(true)
  })
})
