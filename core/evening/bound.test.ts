import { leastFrom } from './bound'
import { beginning, take } from './course'
import type { EveningPen, EveningProblem, Work } from './index'
import { taskOf } from './task'

const work = (hands: number, which?: string, change: Partial<Work> = {}): Work =>
  ({ step: 's', hands, wait: 0, setUp: which ? { kind: 'bit', which } : null, ...change })
const pen = (id: string, pieces: readonly Work[], change: Partial<EveningPen> = {}): EveningPen => ({ id, work: pieces, ...change })
/** The least after some pens were taken up. */
const least = (pens: readonly EveningPen[], taken: readonly number[] = [], change: Partial<EveningProblem> = {}) => {
  const task = taskOf({ pens, hours: [{ from: 0, to: 1000 }], changes: { bit: 6 }, ...change })
  const course = beginning(task)
  for (const one of taken) take(task, course, one)
  return leastFrom(task, course)
}

describe('the least that the rest of an evening comes to, by hand', () => {
  const three = [pen('a', [work(10, '7')]), pen('b', [work(20, '7')]), pen('c', [work(30)])]
  it('a change that two need is made once: that is what the best order does, from anywhere in it', () => {
    // The bit, a, b, c: finished at 16, 36 and 66.
    const best = { finished: 16 + 36 + 66, hands: 6 }
    expect(least(three)).toMatchObject(best)
    expect(least(three, [0])).toMatchObject(best)
    expect(least(three, [0, 1])).toMatchObject(best)
    // What stands already has to be put there by nobody.
    expect(least(three, [], { setUp: { kind: 'bit', which: '7' } })).toMatchObject({ finished: 10 + 30 + 60, hands: 0 })
  })
  it('what every one needs of its own counts for all of them together', () => {
    expect(least([pen('f', [work(10, '7')]), pen('g', [work(10, '9')]), pen('h', [work(10)])]))
      .toMatchObject({ finished: 10 + 26 + 42, hands: 12 })
  })
  it('what is not needed any more is not counted', () => {
    const pens = [pen('d', [work(5, '7'), work(10)]), pen('e', [work(5, '8'), work(10)]), pen('f', [work(10, '7')])]
    // After 22 s the bit 8 stands, and only one pen needs the bit 7 again.
    expect(least(pens, [0, 1])).toMatchObject({ finished: 32 + 42 + 58, hands: 18 })
  })
  it('a pen alone: its waits, its changes between and before its work, what has to be there, what runs by itself after it', () => {
    const alone = (pieces: readonly Work[], change: Partial<EveningProblem> = {}) => least([pen('a', pieces)], [], change).finished
    expect(alone([work(5), work(5, undefined, { wait: 40 }), work(5)])).toBe(55)
    expect(alone([work(5, '7'), work(5, '8'), work(5, '7')])).toBe(3 * 5 + 3 * 6)
    // While nothing is needed the next bit may be set up for another pen.
    expect(alone([work(5, '7'), work(5), work(5, '8')])).toBe(6 + 15 + 6)
    // A bit is set up while something waits.
    expect(alone([work(5, '7'), work(5, '8', { wait: 40 })])).toBe(6 + 5 + 40 + 5)
    expect(alone([work(5, undefined, { from: 70 })])).toBe(75)
    expect(least([pen('a', [work(5)], { after: 100 })]).finished).toBe(105)
    // Eight seconds do not fit into the three that are left of the evening.
    expect(alone([work(5), work(8)], { hours: [{ from: 0, to: 8 }, { from: 50, to: 60 }] })).toBe(58)
  })
  it('late: what cannot be kept by itself, and of the rest as many as hours do not hold, the lightest of them', () => {
    const pens = [
      pen('a', [work(10)], { due: 10, weight: 3 }), pen('b', [work(10)], { due: 12, weight: 1 }),
      pen('c', [work(10)], { due: 5, weight: 2 }),
    ]
    expect(least(pens).late).toBe(1 + 2)
    expect(least(pens.slice(0, 2)).late).toBe(1)
    // What runs by itself after it has to be over by then too.
    expect(least([pen('a', [work(10)], { due: 20 }), pen('b', [work(10)], { due: 20 })]).late).toBe(0)
    expect(least([pen('a', [work(10)], { due: 20 }), pen('b', [work(10)], { due: 20, after: 5 })]).late).toBe(0)
    expect(least([pen('a', [work(10)], { due: 20, after: 2 }), pen('b', [work(10)], { due: 20, after: 5 })]).late).toBe(1)
    expect(least(pens.slice(0, 2), [1]).late).toBe(3)
  })
  it('how late the latest is: by due days, less what runs by itself', () => {
    const pens = [pen('a', [work(10)], { due: 5 }), pen('b', [work(10)], { due: 12, after: 3 })]
    // First a, five too late, then b: 23 in place of 12.
    expect(least(pens).lateness).toBe(11)
    expect(least([pen('a', [work(10)], { due: 4 }), pen('b', [work(10)])]).lateness).toBe(6)
    // What was finished late stays so.
    expect(least(pens, [1, 0]).lateness).toBe(15)
  })
  it('what is late costs more by its weight', () => {
    expect(least([pen('a', [work(10)], { due: 4, weight: 2 })]).finished).toBe(10 + 2 * 6)
    expect(least([pen('a', [work(10)], { due: 4, weight: 2 })], [], { grain: 25 }).finished).toBe(25 + 2 * 21)
  })
  it('with a helper: two things at once, changes counted once each', () => {
    const pens = [pen('f', [work(10, '7')]), pen('g', [work(10, '9')])]
    // Their changes may stand on the hands of either: no pen is known to be finished later than alone.
    const helped = (taken: number[]) => least(pens, taken, { helpers: [[{ from: 0, to: 1000 }]] })
    expect(helped([])).toMatchObject({ finished: 10 + 16, hands: 12 })
    // Once one of them has done one, the other change is left, and makes it 16 s for both.
    expect(helped([0])).toMatchObject({ finished: 16 + 16, hands: 12 })
  })
})
