import { planEvenings, type EveningPen, type EveningProblem, type Work } from './index'
import { byRanks, stretchesOf, type Ranking } from './ranks'
import { taskOf } from './task'

const work = (hands: number, change: Partial<Work> = {}): Work => ({ step: 's', hands, wait: 0, setUp: null, ...change })
const bit = (which: string) => ({ setUp: { kind: 'bit', which } })
const pen = (id: string, pieces: readonly Work[], change: Partial<EveningPen> = {}): EveningPen =>
  ({ id, work: pieces.map((one, at) => ({ ...one, step: String(at) })), ...change })
const HOUR = 3600
/** The order of a ranking; ranks are those of the pens, or of their stretches. */
function order(pens: readonly EveningPen[], ranks: readonly number[], change: Partial<Ranking & EveningProblem> = {}): string {
  const { patience = 0, like = 0, night = 0, ...given } = change
  const task = taskOf({ pens, hours: [{ from: 0, to: 3 * HOUR }, { from: 24 * HOUR, to: 27 * HOUR }], changes: { bit: 60 }, ...given })
  const ranking = { ranks: Float64Array.from(ranks), patience, like, night }
  return byRanks(task, stretchesOf(task), ranking).order.map(one => pens[one]!.id).join('')
}

describe('the order of a ranking, by hand', () => {
  const [a, b, c] = ['a', 'b', 'c'].map(id => pen(id, [work(100), work(100)])) as [EveningPen, EveningPen, EveningPen]
  it('of what is ready the least rank first, of equal ones what came to the line first', () => {
    expect(order([a, b, c], [2, 0, 1])).toBe('bbccaa')
    expect(order([a, b, c], [1, 1, 0])).toBe('ccaabb')
  })
  it('what waits lets others pass; it is stood by for no longer than there is patience', () => {
    const waits = pen('a', [work(100), work(100, { wait: 50 })])
    expect(order([waits, b], [0, 1])).toBe('abab')
    expect(order([waits, b], [0, 1], { patience: 49 })).toBe('abab')
    expect(order([waits, b], [0, 1], { patience: 50 })).toBe('aabb')
    // If nothing else can be done, it is stood by for whatever it is; of two the one that hands can turn to first.
    const [long, longer] = [pen('a', [work(1), work(1, { wait: 700 })]), pen('b', [work(1), work(1, { wait: 600 })])]
    expect(order([long, longer], [0, 1])).toBe('abba')
  })
  it('so long a wait parts a pen’s work into stretches with ranks of their own', () => {
    const parted = pen('a', [work(10), work(10, { wait: 1801 }), work(10)])
    const task = taskOf({ pens: [parted, b], hours: [{ from: 0, to: HOUR }], changes: {} })
    expect([[...stretchesOf(task).of], stretchesOf(task).pens]).toEqual([[0, 1, 1, 2, 2], [0, 0, 1]])
    // The second stretch of a comes after what is left of b, though its first came before all.
    const busy = pen('b', [work(1900), work(100)])
    expect(order([parted, busy], [0, 2, 1])).toBe('abbaa')
    expect(order([parted, busy], [0, 0, 1])).toBe('abaab')
  })
  it('what needs nothing changed goes ahead by so many ranks', () => {
    const [seven, eight] = [pen('a', [work(10, bit('7'))]), pen('b', [work(10, bit('8'))])]
    const there = { setUp: { kind: 'bit', which: '8' } }
    expect(order([seven, eight], [0, 1], there)).toBe('ab')
    expect(order([seven, eight], [0, 1], { ...there, like: 0.9 })).toBe('ab')
    expect(order([seven, eight], [0, 1], { ...there, like: 1.1 })).toBe('ba')
  })
  it('what the night goes on with goes ahead by so many ranks', () => {
    const glued = pen('b', [work(10), work(10, { wait: 7201 })])
    expect(order([a, glued], [0, 1, 1])).toBe('aabb')
    expect(order([a, glued], [0, 1, 1], { night: 1.1 })).toBe('baab')
    expect(order([a, pen('b', [work(10), work(10, { wait: 1700 })])], [0, 1], { night: 1.1 })).toBe('aabb')
  })
  it('what is near to its latest time comes before all else', () => {
    const before = pen('a', [work(10), work(10, { wait: 20 })])
    const coats = (latest: number) => order([before, pen('b', [work(25), work(10, { latest })])], [0, 1])
    expect([coats(1799), coats(1800)]).toEqual(['abba', 'abab'])
  })
})

it('an order that is looked for longer is better by far than the first that comes to mind (ten pens, six pieces each, ten draws)', () => {
  let state = 7
  const chance = () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647
  const among = <One>(...all: One[]) => all[Math.floor(chance() * all.length)]!
  const gaps = Array.from({ length: 10 }, () => {
    const pens = Array.from({ length: 10 }, (_, at) => pen(`${at}`, Array.from({ length: 6 }, () =>
      work(60 + Math.floor(chance() * 600), { wait: among(0, 0, 120, 1200, 5 * HOUR), ...bit(among('7', '8', '9', '10')) }))))
    const hours = Array.from({ length: 12 }, (_, day) => ({ from: day * 24 * HOUR, to: (day * 24 + 2) * HOUR }))
    const problem: EveningProblem = { pens, hours, changes: { bit: 240 } }
    const [first, later] = [0, 600].map(changes => planEvenings(problem, { changes, most: 0 }))
    return { first: first!.costs.finished / first!.least.finished - 1, later: later!.costs.finished / later!.least.finished - 1 }
  })
  const sum = (of: 'first' | 'later') => gaps.reduce((all, one) => all + one[of], 0)
  for (const { first, later } of gaps) expect(later).toBeLessThanOrEqual(first + 1e-9)
  expect(sum('later')).toBeLessThan(0.8 * sum('first'))
})
