import fc from 'fast-check'
import { costsOf } from './course'
import { followed } from './follow'
import { planEvenings, type EveningPen, type EveningProblem, type Work } from './index'
import { compareCosts } from './problem'
import { taskOf } from './task'

const work = (step: string, hands: number, change: Partial<Work> = {}): Work => ({ step, hands, wait: 0, setUp: null, ...change })
const pen = (id: string, pieces: readonly Work[], change: Partial<EveningPen> = {}): EveningPen => ({ id, work: pieces, ...change })
const hours = [{ from: 0, to: 5000 }, { from: 60_000, to: 65_000 }]
const order = (problem: EveningProblem, taken: string, standsBy: number) => {
  const at = [...taken].map(id => problem.pens.findIndex(one => one.id === id))
  return followed(taskOf(problem), at, standsBy).order.map(one => problem.pens[one]!.id).join('')
}

describe('an order as people keep to it, by hand', () => {
  const pens = [pen('a', [work('1', 10), work('2', 10, { wait: 100 })]), pen('b', [work('1', 200), work('2', 10)])]
  it('what waits lets others pass, unless it is stood by for', () => {
    expect([99, 100].map(seconds => order({ pens, hours, changes: {} }, 'aabb', seconds))).toEqual(['abab', 'aabb'])
  })
  it('what may not be begun before a moment lets others pass; with nothing else there is, it is waited for', () => {
    const later = [pen('a', [work('1', 10, { from: 3000 }), work('2', 10)]), pens[1]!]
    expect(order({ pens: later, hours, changes: {} }, 'aabb', 60)).toBe('bbaa')
  })
  it('what is wanted first or in one go is so', () => {
    expect(order({ pens, hours, changes: {}, first: [{ pen: 'b', step: '1' }] }, 'aabb', 0)).toBe('baba')
    const together = [[{ pen: 'a', step: '2' }, { pen: 'b', step: '2' }]]
    expect(order({ pens, hours, changes: {}, together }, 'aabb', 0)).toBe('abab')
  })
})

describe('what another wish costs beside the order that is shown', () => {
  const anyPens = fc.array(
    fc.array(fc.tuple(fc.integer({ min: 60, max: 900 }), fc.constantFrom(0, 0, 400, 2400, 18_000)), { minLength: 2, maxLength: 6 }),
    { minLength: 3, maxLength: 6 },
  ).map(all => all.map((pieces, at) => pen(String(at), pieces.map(([hands, wait], step) =>
    work(String(step), hands, { wait, setUp: { kind: 'bit', which: String(step % 3) } })))))
  const aside = { changes: 60, most: 0, enough: 0 }
  const notBefore = ({ pens, ...rest }: EveningProblem, of: string, step: string, from: number): EveningProblem => ({
    ...rest,
    pens: pens.map(one =>
      (one.id === of ? { ...one, work: one.work.map(piece => (piece.step === step ? { ...piece, from } : piece)) } : one)),
  })
  it('nothing, where it lies so already; no more than by so much, where it is put off a little (property)', () => {
    fc.assert(fc.property(anyPens, fc.nat(), fc.integer({ min: 0, max: 600 }), (pens, nth, shift) => {
      const problem: EveningProblem = { pens, hours: [{ from: 0, to: 1e6 }], changes: { bit: 120 } }
      const shown = planEvenings(problem, { changes: 600, most: 0 })
      const { pen: of, step, begins } = shown.blocks[nth % shown.blocks.length]!
      const same = planEvenings(notBefore(problem, of, step, begins), { ...aside, shown: shown.blocks })
      expect(compareCosts(same.costs, shown.costs)).toBeLessThanOrEqual(0)
      // In hours without end all that follows can be put off as well.
      const later = planEvenings(notBefore(problem, of, step, begins + shift), { ...aside, shown: shown.blocks })
      expect(later.costs.finished).toBeLessThanOrEqual(shown.costs.finished + pens.length * shift + 1e-6)
    }), { numRuns: 40 })
  })
  it('no more than what comes of keeping to it, where others pass meanwhile (property)', () => {
    fc.assert(fc.property(anyPens, fc.nat(), fc.constantFrom(1200, 3000, 60_000), (pens, nth, shift) => {
      const problem: EveningProblem = { pens, hours, changes: { bit: 120 } }
      const shown = planEvenings(problem, { changes: 600, most: 0 })
      const { pen: of, step, begins } = shown.blocks[nth % shown.blocks.length]!
      const later = notBefore(problem, of, step, begins + shift)
      const taken = shown.blocks.map(block => pens.findIndex(one => one.id === block.pen))
      const { course } = followed(taskOf(later), taken, 60)
      expect(compareCosts(planEvenings(later, { ...aside, changes: 1, shown: shown.blocks }).costs, costsOf(course))).toBeLessThanOrEqual(0)
    }), { numRuns: 60 })
  })
})
