import fc from 'fast-check'
import { eventAt, methodOf, momentAt, planFor } from '../../tests/support/inputs'
import type { BenchEvent } from './event'
import { atAnotherTime, canBeMoved, onAnotherPen, swapped, type Logged, type PutRight } from './put-right'
import { replay } from './replay'

const [A, B] = ['00000000-0000-4000-8000-00000000000a', '00000000-0000-4000-8000-00000000000b']
const plan = planFor('apple', 'click-8', { method: methodOf('ca-thin-staged') })
const other = planFor('pear', 'click-8', { method: methodOf('ca-thin-staged') })
let number = 0
const on = (pen: string, seconds: number, entry: Parameters<typeof eventAt>[2]): BenchEvent =>
  ({ ...eventAt(seconds, ++number, entry), pen })
const doneTo = (pen: string, of: typeof plan, step: string, from = 0) =>
  of.steps.slice(0, of.steps.findIndex(one => one.id === step)).map((one, index) =>
    on(pen, from + index * 60, { kind: 'done', payload: { step: one.id } }))

/** Both logs once it is put right, as the store enters it. */
function after(pens: readonly Logged[], put: PutRight, at = 90_000): Logged[] {
  if ('cannot' in put) throw new Error(`cannot: ${put.why}`)
  return pens.map((one) => {
    const back = put.takeBack.filter(each => each.pen === one.pen)
    const undos = back.map(each => on(one.pen, at, { kind: 'undo', payload: { entries: each.entries } }))
    const anew = put.anew.filter(each => each.pen === one.pen).map((each): BenchEvent =>
      ({ ...on(one.pen, 0, each.entry), barrels: each.barrels, at: each.at }))
    return { ...one, events: [...one.events, ...undos, ...anew] }
  })
}
const states = ({ plan: of, events }: Logged) => {
  const { steps, measured, remarks } = replay(of, events)
  return {
    steps: steps.map(one => [one.step.id, one.status, one.status === 'open' ? '' : one.at]),
    measured: measured.map(({ id: _, ...rest }) => rest),
    remarks: remarks.map(({ id: _, ...rest }) => rest),
  }
}

describe('an entry that was made wrongly', () => {
  const a: Logged = { pen: A, plan, events: doneTo(A, plan, 'coat.2') }
  const b: Logged = { pen: B, plan: other, events: doneTo(B, other, 'coat.1', 5) }
  it('at another time: its step was done then, and all else stands', () => {
    const last = a.events.at(-1)!
    const [now] = after([a], atAnotherTime(a, last, momentAt(5000))) as [Logged]
    expect(replay(plan, now.events).steps.find(one => one.step.id === 'coat.1')).toMatchObject({ status: 'done', at: momentAt(5000) })
    expect(replay(plan, now.events).next!.id).toBe('coat.2')
  })
  it('on another pen: there it is the coat that was next by then', () => {
    const last = a.events.at(-1)!
    const [wasA, isB] = after([a, b], onAnotherPen(a, b, [last])) as [Logged, Logged]
    expect([replay(plan, wasA.events).next!.id, replay(other, isB.events).next!.id]).toEqual(['coat.1', 'coat.2'])
    expect(replay(other, isB.events).steps.find(one => one.step.id === 'coat.1')).toMatchObject({ at: last.at })
  })
  it('is not said of a step that is other work, and nothing is entered', () => {
    const early: Logged = { ...b, events: b.events.slice(0, 3) }
    const last = a.events.at(-1)!
    expect(onAnotherPen(a, early, [last])).toEqual({ cannot: last, why: 'no such step' })
  })
  it('cannot be moved by itself where others speak of it', () => {
    const noted = on(A, 4000, { kind: 'defect', payload: { kind: 'chip', barrel: 'only', fromTip: 5, size: 1, step: 'coat.2' } })
    const coat = on(A, 4100, { kind: 'extra', payload: { work: 'take off', with: null, step: 'coat.2' } })
    const again = on(A, 4200, { kind: 'done', payload: { step: `coat.1.${coat.id}` } })
    expect([canBeMoved(noted, [noted]), canBeMoved(coat, [coat]), canBeMoved(coat, [coat, again])]).toEqual([false, true, false])
    expect(atAnotherTime({ ...a, events: [...a.events, coat, again] }, coat, momentAt(1))).toMatchObject({ why: 'named' })
  })
  it('a diameter of a barrel that the other pen has not stays where it is', () => {
    const read = on(A, 4000, { kind: 'measure', payload: { barrel: 'only', fromTip: 5, diameter: 11, step: 'coat.2' } })
    const two: Logged = { pen: B, plan: planFor('pear', 'twist-7'), events: [] }
    expect(onAnotherPen({ ...a, events: [...a.events, read] }, two, [read])).toMatchObject({ why: 'other barrel' })
  })
})

it('two pens of one plan taken for one another: swapped, each has what the other had; swapped again, all is as it was (property)', () => {
  const from = momentAt(40_000)
  const base = (pen: string): Logged => ({ pen, plan, events: doneTo(pen, plan, 'clean') })
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.boolean(), fc.constantFrom('done', 'measure', 'remark')), { maxLength: 14 }), (doings) => {
      const pens = new Map([A, B].map(id => [id, base(id)]))
      doings.forEach(([first, kind], index) => {
        const pen = pens.get(first ? A : B)!
        const step = replay(plan, pen.events).next!.id
        const at = 40_000 + index * 30
        const entry = kind === 'done'
          ? on(pen.pen, at, { kind, payload: { step } })
          : kind === 'measure'
            ? on(pen.pen, at, { kind, payload: { barrel: 'only', fromTip: 5, diameter: 10 + index / 10, step } })
            : on(pen.pen, at, { kind: 'remark', payload: { text: `remark ${index}`, step } })
        pens.set(pen.pen, { ...pen, events: [...pen.events, entry] })
      })
      const [a, b] = [pens.get(A)!, pens.get(B)!]
      const [a2, b2] = after([a, b], swapped(a, b, from)) as [Logged, Logged]
      const since = (one: Logged) => {
        const { steps, ...rest } = states(one)
        return { ...rest, steps: steps.filter(([, , at]) => at! >= from) }
      }
      expect([since(a2), since(b2)]).toEqual([since(b), since(a)])
      const back = after([a2, b2], swapped(a2, b2, from), 95_000)
      expect(back.map(states)).toEqual([a, b].map(states))
    }),
    { numRuns: 60 },
  )
})
