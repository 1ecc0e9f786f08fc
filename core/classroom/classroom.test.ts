import fc from 'fast-check'
import { planFor } from '../../tests/support/inputs'
import { replay, type BenchEvent, type Entry } from '../bench'
import { AGREE, CLEAR, classStanding, type ClassWork } from './index'

const plan = planFor('damson', 'twist-7')
const START = Date.parse('2026-11-23T18:00:00.000Z')
const WORK: ClassWork = { looks: ['turn', 'sand', 'coat', 'buff'], cautions: [], tools: [], clearing: ['Shavings'], free: [], criteria: [] }
let count = 0
const entered = (entries: readonly Entry[]): BenchEvent[] => entries.map((entry, index) => ({
  ...entry, id: `entry ${++count}`, pen: 'pen', barrels: plan.steps[0]!.barrels, device: 'bench',
  at: new Date(START + index * 60_000).toISOString(),
}))
const done = (kind: string): Entry[] =>
  plan.steps.slice(0, plan.steps.findIndex(step => step.kind === kind)).map(step => ({ kind: 'done', payload: { step: step.id } }))
const all: Entry[] = plan.steps.map(step => ({ kind: 'done', payload: { step: step.id } }))
const gate = (name: string, how: 'agreed' | 'asked' | 'seen'): Entry => ({ kind: 'gate', payload: { gate: name, how } })
const standing = (entries: readonly Entry[], work = WORK) => classStanding(replay(plan, entered(entries)), work)

it('the parts may be checked; then tools and cautions are agreed to, before anything turns', () => {
  expect(standing([]).held).toBeNull()
  expect(standing(done('cut')).held).toEqual({ what: 'agree' })
  expect(standing([...done('cut'), gate(AGREE, 'agreed')]).held).toBeNull()
})
it('the teacher looks before the first step of a kind, once; asking is told with its time, a look opens it', () => {
  const before = [gate(AGREE, 'agreed'), ...done('turn')]
  expect(standing(before).held).toEqual({ what: 'look', gate: 'turn', since: null })
  const asked = standing([...before, gate('turn', 'asked')])
  expect(asked.held).toMatchObject({ what: 'look', gate: 'turn', since: expect.stringContaining('2026-11-23T18:') })
  expect(standing([...before, gate('turn', 'asked'), gate('turn', 'seen')]).held).toBeNull()
  // Another gate's look opens nothing here, nor does what somebody agrees to.
  expect(standing([...before, gate('sand', 'seen'), gate('turn', 'agreed')]).held).toMatchObject({ gate: 'turn' })
})
it('a kind that the plan has no step of holds nobody and is no look on its way', () => {
  expect(plan.steps.some(step => step.kind === 'buff')).toBe(false)
  expect(standing([]).looked).toEqual({ taken: 0, all: 3 })
})
it('what was done before the look stays too early, even when the teacher lets it pass after; the next gate counts', () => {
  const past = [gate(AGREE, 'agreed'), ...done('sand')]
  const early = standing([...past, gate('turn', 'seen')])
  expect(early.early.map(one => one.gate)).toEqual(['turn'])
  expect(early.held).toMatchObject({ what: 'look', gate: 'sand' })
  expect(early.looked).toEqual({ taken: 1, all: 3 })
})
it('at the end it is cleared up, where there is anything to clear', () => {
  const whole = [gate(AGREE, 'agreed'), ...all]
  expect(standing(whole).held).toEqual({ what: 'clear' })
  expect(standing([...whole, gate(CLEAR, 'agreed')]).held).toBeNull()
  expect(standing(whole, { ...WORK, clearing: [] }).held).toBeNull()
})
it('a look is not taken back by the last key, and one that is taken back by its own entry holds again', () => {
  const events = entered([gate(AGREE, 'agreed'), ...done('turn'), gate('turn', 'seen')])
  const last = events.findLast(event => event.kind === 'done')!
  expect(replay(plan, events).takeBack).toEqual([last.id])
  const seen = events.at(-1)!
  const undone: BenchEvent = { ...seen, id: 'undo', kind: 'undo', payload: { entries: [seen.id] } }
  expect(classStanding(replay(plan, [...events, undone]), WORK).held).toMatchObject({ gate: 'turn' })
})
it('whatever is entered: nobody who keeps to the gates is ever too early, and each step is held by one thing at most (property)', () => {
  const anyLooks = fc.array(fc.constantFrom('turn' as const, 'sand' as const, 'coat' as const, 'assemble' as const), { maxLength: 5 })
  fc.assert(fc.property(anyLooks,
    fc.nat(plan.steps.length), (looks, upTo) => {
      const work = { ...WORK, looks: [...new Set(looks)] }
      const entries: Entry[] = []
      for (let left = upTo; left > 0; left--) {
        const state = replay(plan, entered(entries))
        const { held } = classStanding(state, work)
        if (held?.what === 'agree') entries.push(gate(AGREE, 'agreed'))
        else if (held?.what === 'look') entries.push(gate(held.gate, 'asked'), gate(held.gate, 'seen'))
        else if (state.next) entries.push({ kind: 'done', payload: { step: state.next.id } })
      }
      expect(standing(entries, work).early).toEqual([])
    }), { numRuns: 40 })
})
