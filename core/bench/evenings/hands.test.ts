import fc from 'fast-check'
import { chance } from '../../../tests/support/chance'
import { momentAt } from '../../../tests/support/inputs'
import type { StepKind } from '../../plan'
import type { Saved } from '../together/operation'
import { changesWith, learnHands, type StepDone } from './hands'
import { CHANGES } from './set-up'

/** Steps of one kind each with what they need, as they are planned. */
const WORK: readonly { kind: StepKind, planned: number, saves: Saved, which: number }[] = [
  { kind: 'drill', planned: 90, saves: 'bit', which: 3 },
  { kind: 'turn', planned: 400, saves: 'bushings', which: 3 },
  { kind: 'sand', planned: 60, saves: 'paper', which: 5 },
  { kind: 'coat', planned: 40, saves: 'bottle', which: 2 },
]

interface Turner {
  factor: number
  changes: Partial<Record<Saved, number>>
  spread?: number
  seed?: number
}

/** A turner with a pace and changes of his own at work on several pens by turns, evening after evening; what each pen's own log tells. */
function worked(count: number, own: Turner): StepDone[] {
  const { uniform, normal } = chance(own.seed ?? 1)
  let now = 0
  let stands = ''
  const last = [0, 0, 0, 0]
  return Array.from({ length: count }, (_, index): StepDone => {
    if (index % 40 === 0) {
      now += 20 * 3600
      stands = ''
      last.fill(now)
    }
    const { kind, planned, saves, which } = WORK[Math.floor(uniform() * WORK.length)]!
    const setUp = { kind: saves, which: String(Math.floor(uniform() * which)) }
    const key = `${setUp.kind} ${setUp.which}`
    if (key !== stands) now += own.changes[saves] ?? CHANGES[saves]
    stands = key
    now += own.factor * planned * Math.exp((own.spread ?? 0.2) * normal())
    const pen = Math.floor(uniform() * last.length)
    const seconds = now - last[pen]!
    last[pen] = now
    return { by: null, kind, at: momentAt(now), seconds, said: false, planned, setUp, mended: false }
  })
}

describe('how long hands take', () => {
  it('of nothing it knows nothing, and the starting values stand', () => {
    expect(learnHands([])).toEqual({ paces: {}, changes: {} })
    expect(changesWith()).toEqual(CHANGES)
  })
  it('finds pace and changes of a turner who works on four pens by turns (simulated)', () => {
    const changes = { ...CHANGES, bit: 300, bushings: 20, paper: 30, bottle: 45 }
    for (const seed of [1, 2, 3]) {
      const found = learnHands(worked(1500, { factor: 1.4, changes, seed }))
      for (const { kind, saves } of WORK) {
        expect([kind, Math.abs(Math.log(found.paces[kind]!.factor / 1.4)) < 0.15]).toEqual([kind, true])
        // The change that comes before the longest work is the least sure: its step differs by minutes.
        const within = saves === 'bushings' ? 60 : saves === 'bit' ? 40 : 10
        const { seconds } = found.changes[saves]!
        expect([saves, seconds, Math.abs(seconds - changes[saves]) < within]).toEqual([saves, seconds, true])
      }
    }
  })
  it('a few changes move it little, many much; the order in which they are told is nothing (property)', () => {
    const slow = { factor: 1, changes: { bit: 360 } }
    const of = (count: number) => learnHands(worked(count, slow)).changes.bit!
    expect(Math.abs(of(12).seconds - CHANGES.bit)).toBeLessThan(Math.abs(of(1200).seconds - CHANGES.bit))
    expect(of(1200).changes).toBeGreaterThan(of(12).changes)
    const all = worked(60, slow)
    fc.assert(fc.property(fc.shuffledSubarray(all, { minLength: all.length }), shuffled =>
      expect(learnHands(shuffled)).toEqual(learnHands(all))), { numRuns: 10 })
  })
  it('hands that were on another pen meanwhile are not counted', () => {
    const step = (kind: StepKind, at: number, seconds: number): StepDone =>
      ({ by: null, kind, at: momentAt(at), seconds, said: false, planned: 60, setUp: null, mended: false })
    // Each pen's own log tells two minutes, of which one was on the other.
    const byTurns = Array.from({ length: 60 }, (_, index) => step('turn', 60 * (index + 1), index ? 120 : 60))
    expect(learnHands(byTurns).paces.turn!.factor).toBeCloseTo(1, 6)
    expect(learnHands(byTurns.map(one => ({ ...one, said: true }))).paces.turn!.factor).toBeGreaterThan(1.7)
  })
  it('two who work at once, each on pens of their own, take no time from one another (simulated)', () => {
    const changes = { ...CHANGES, bit: 300 }
    const of = (by: string, seed: number) => worked(900, { factor: 1.4, changes, seed }).map(one => ({ ...one, by }))
    const both = [...of('one', 4), ...of('another', 5)]
    const [apart, asOne] = [learnHands(both), learnHands(both.map(one => ({ ...one, by: null })))]
    expect(Math.abs(Math.log(apart.paces.turn!.factor / 1.4))).toBeLessThan(0.15)
    expect(Math.abs(apart.changes.bit!.seconds - 300)).toBeLessThan(40)
    expect(asOne.paces.turn!.factor).toBeLessThan(1.1)
  })
  it('the first of an evening tells nothing of a change: what was set up is not known', () => {
    const first = Array.from({ length: 30 }, (_, day): StepDone => ({
      by: null, kind: 'drill', at: momentAt(day * 86_400), seconds: 200, said: false, planned: 90, mended: false,
      setUp: { kind: 'bit', which: String(day) },
    }))
    expect(learnHands(first)).toEqual({ changes: {}, paces: {} })
  })
  it('what took an hour was no change', () => {
    const odd = worked(400, { factor: 1, changes: {} })
    const strange = odd.map((one, index) => (index % 50 === 7 ? { ...one, seconds: one.seconds + 3600 } : one))
    expect(learnHands(strange).changes.bit!.seconds).toBeLessThan(2 * CHANGES.bit)
  })
})
