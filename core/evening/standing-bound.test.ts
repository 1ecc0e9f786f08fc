import fc from 'fast-check'
import { beginning } from './course'
import { planEvenings, type EveningPen, type EveningProblem, type Work } from './index'
import { LeastChanges } from './least-changes'
import { leastStanding } from './standing-bound'
import { taskOf } from './task'

const work = (step: string, hands: number, change: Partial<Work> = {}): Work => ({ step, hands, wait: 0, setUp: null, ...change })
const pen = (id: string, pieces: readonly Work[], change: Partial<EveningPen> = {}): EveningPen => ({ id, work: pieces, ...change })
const evenings = [{ from: 0, to: 100 }, { from: 1000, to: 1100 }, { from: 2000, to: 2300 }]
const standing = (problem: EveningProblem, finished: number) => {
  const task = taskOf(problem)
  return leastStanding(task, beginning(task), finished)
}

describe('the least that hands stand about', () => {
  const coats = pen('a', [work('1', 10), work('2', 10, { wait: 30 })])
  const problem = (...pens: EveningPen[]): EveningProblem => ({ pens, hours: evenings, changes: {} })
  it('is the wait that has to be in one evening, less the other work there is for it (by hand)', () => {
    expect(standing(problem(coats), 50)).toBe(30)
    expect(standing(problem(coats, pen('b', [work('1', 12)])), 50 + 22)).toBe(18)
    // With time to leave the second coat to the next evening nobody has to stand about.
    expect(standing(problem(coats), 1010)).toBe(0)
  })
  it('proves an order that has pens finished as soon as they can be, with no more of it (by hand)', () => {
    const { proven, costs, least } = planEvenings(problem(coats), { changes: 0, most: 0 })
    expect([proven, costs.hands, least.hands]).toEqual([true, 30, 30])
  })
  it('counts in later evenings too, from the first piece there', () => {
    const late = pen('a', [work('0', 5), work('1', 10, { wait: 500 }), work('2', 10, { wait: 30 })])
    expect(standing(problem(late), 1050)).toBe(30)
  })
  it('counts the changes between its pieces, and how long tonight is worked from where it stands (by hand)', () => {
    const bit = (which: string) => ({ kind: 'bit', which })
    const changed = pen('a', [work('1', 10, { setUp: bit('7') }), work('2', 10, { setUp: bit('8') }), work('3', 10, { setUp: bit('7') })])
    expect(standing({ pens: [changed], hours: evenings, changes: { bit: 6 } }, 48)).toBe(18)
    // Its first change, and then its waits, which are longer than the changes in them.
    const waits = pen('a', changed.work.map((one, at) => ({ ...one, wait: at ? 8 : 0 })))
    expect(standing({ pens: [waits], hours: evenings, changes: { bit: 6 } }, 52)).toBe(16 + 6)
    // Two that wait side by side have 20 s stood about: 10 of them are known, since one alone takes 50, and there is work for 40.
    const two = problem(coats, { ...coats, id: 'b' })
    expect(standing(two, 50 + 60)).toBe(10)
    // With so much time to lose in all, one of them may be left to the next evening.
    expect(standing(two, 50 + 1010)).toBe(0)
  })
  it('is not looked for before the hours begin, nor with a helper, nor after the last of them', () => {
    const later = { ...problem(coats), hours: [{ from: 50, to: 150 }, ...evenings.slice(1)] }
    expect(standing(later, 100)).toBe(30)
    expect(standing({ ...problem(coats), helpers: [evenings] }, 50)).toBe(0)
    expect(standing({ ...problem(coats), hours: [] }, 50)).toBe(0)
  })
  it('is never more than what a plan comes to that has pens finished as soon (property)', () => {
    const piece = fc.tuple(fc.integer({ min: 1, max: 30 }), fc.constantFrom(0, 0, 20, 60, 300), fc.constantFrom(null, '7', '8'))
    const pens = fc.array(fc.array(piece, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 3 })
    fc.assert(fc.property(pens, fc.constantFrom(0, 50), (all, grain) => {
      const these = all.map((pieces, at) => pen(String(at), pieces.map(([hands, wait, which], step) =>
        work(String(step), hands, { wait, setUp: which === null ? null : { kind: 'bit', which } }))))
      const given: EveningProblem = { pens: these, hours: evenings, changes: { bit: 6 }, grain }
      const { costs } = planEvenings(given, { changes: 60, most: 0 })
      expect(standing(given, costs.finished)).toBeLessThanOrEqual(costs.hands + 1e-6)
    }), { numRuns: 150 })
  })
})

describe('the least changes', () => {
  const of = (...setUps: number[][]) => new LeastChanges(setUps, [0, 10, 100, 1000])
  it('are the cheapest order of set-ups in which those of every pen are found (by hand)', () => {
    expect(of([1, 2], [1, 2]).from(Int32Array.of(0, 0), 0)).toBe(110)
    expect(of([1, 2], [2, 1]).from(Int32Array.of(0, 0), 0)).toBe(120)
    expect(of([1, 0, 1, 2], [3]).from(Int32Array.of(0, 0), 1)).toBe(1100)
    // What is done already needs nothing, and what stands is there.
    expect(of([1, 2, 3], [3]).from(Int32Array.of(2, 1), 0)).toBe(1000)
    expect(of([1, 2, 3], [3]).from(Int32Array.of(2, 0), 3)).toBe(0)
  })
})

it('without its latest times another order would be better: then none is proven', () => {
  // The second piece follows at once, and both do not fit before the break: the first has to wait for the next hours.
  const bound = pen('a', [work('1', 10), work('2', 50, { latest: 0 })])
  const hours = [{ from: 0, to: 55 }, { from: 100, to: 300 }]
  const problem: EveningProblem = { pens: [bound, pen('b', [work('1', 5), work('2', 5)])], hours, changes: {} }
  const { costs, proven, blocks } = planEvenings(problem, { wanted: ['missed', 'finished'], most: 20_000 })
  expect([costs.missed, proven, blocks.find(one => one.pen === 'a')!.begins]).toEqual([0, false, 100])
})
