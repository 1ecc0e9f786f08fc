import fc from 'fast-check'
import { planEvenings, type Costs, type EveningPen, type EveningProblem, type Goal, type Work } from './index'
import { compareCosts, goals } from './problem'

const HOUR = 3600
const work = (hands: number, change: Partial<Work> = {}): Work => ({ step: 's', hands, wait: 0, setUp: null, ...change })
const pen = (id: string, pieces: readonly Work[], change: Partial<EveningPen> = {}): EveningPen => ({ id, work: pieces, ...change })
const tonight = [{ from: 0, to: 1000 * HOUR }]
const solved = (pens: readonly EveningPen[], wanted: readonly Goal[]) =>
  planEvenings({ pens, hours: tonight, changes: {} }, { wanted, changes: 20 })
const order = ({ blocks }: ReturnType<typeof planEvenings>) => blocks.map(block => block.pen)

const anyJob = fc.record({ hands: fc.integer({ min: 1, max: 40 }), due: fc.integer({ min: 1, max: 120 }) })
const anyJobs = fc.array(anyJob, { minLength: 1, maxLength: 7 })
const pensOf = (jobs: readonly { hands: number, due: number }[]) =>
  jobs.map(({ hands, due }, at) => pen(String(at), [work(hands)], { due }))
const unpromised = (jobs: readonly { hands: number }[]) => jobs.map(({ hands }, at) => pen(String(at), [work(hands)]))

describe('without waits and changes, as is proved elsewhere', () => {
  it('the least lateness is that of the order by due days (Jackson 1955)', () => {
    fc.assert(fc.property(anyJobs, (jobs) => {
      let [now, most] = [0, 0]
      for (const { hands, due } of [...jobs].sort((a, b) => a.due - b.due)) {
        now += hands
        most = Math.max(most, now - due)
      }
      const { costs, proven } = solved(pensOf(jobs), ['lateness'])
      expect([costs.lateness, proven]).toEqual([most, true])
    }))
  })
  it('the fewest late pens are those of Moore’s rule (1968)', () => {
    fc.assert(fc.property(anyJobs, (jobs) => {
      const kept: number[] = []
      let now = 0
      for (const { hands, due } of [...jobs].sort((a, b) => a.due - b.due)) {
        kept.push(hands)
        now += hands
        if (now > due) now -= kept.splice(kept.indexOf(Math.max(...kept)), 1)[0]!
      }
      const { costs, proven } = solved(pensOf(jobs), ['late'])
      expect([costs.late, proven]).toEqual([jobs.length - kept.length, true])
    }))
  })
  it('the least sum of finishing times is that of the shortest first (Smith 1956)', () => {
    fc.assert(fc.property(anyJobs, (jobs) => {
      let [now, sum] = [0, 0]
      for (const { hands } of [...jobs].sort((a, b) => a.hands - b.hands)) sum += now += hands
      const { costs, proven } = solved(unpromised(jobs), ['finished'])
      expect([costs.finished, proven]).toEqual([sum, true])
    }))
  })
})

const anyWork = fc.record({
  step: fc.constant('s'),
  hands: fc.integer({ min: 1, max: 12 }),
  wait: fc.constantFrom(0, 0, 3, 9, 30),
  setUp: fc.constantFrom(null, { kind: 'bit', which: '7' }, { kind: 'bit', which: '8' }, { kind: 'paper', which: 'P320' }),
})
const anyPen = (most: number) => fc.record({
  id: fc.constant('p'),
  work: fc.array(anyWork, { minLength: 1, maxLength: most }),
  after: fc.constantFrom(0, 0, 20),
  due: fc.option(fc.integer({ min: 5, max: 90 }), { nil: undefined }),
  weight: fc.constantFrom(1, 1, 3),
})
const anyHours = fc.constantFrom(
  [{ from: 0, to: 1000 }], [{ from: 0, to: 20 }, { from: 40, to: 60 }, { from: 80, to: 100 }], [{ from: 5, to: 30 }, { from: 31, to: 50 }],
)
const problemWith = (pens: number, most: number): fc.Arbitrary<EveningProblem> => fc.record({
  pens: fc.array(anyPen(most), { minLength: 1, maxLength: pens }).map(all => all.map((one, at) => ({ ...one, id: String(at) }))),
  hours: anyHours,
  changes: fc.record({ bit: fc.constantFrom(0, 4), paper: fc.constantFrom(0, 2) }),
  setUp: fc.constantFrom(undefined, { kind: 'bit', which: '8' }),
  grain: fc.constantFrom(0, 0, 7),
}).map(({ setUp, ...rest }) => ({ ...rest, ...(setUp ? { setUp } : {}) }))

/** What an order comes to, worked out apart from the model: moment by moment in whole seconds. */
function costsByHand({ pens, hours, changes, setUp, grain = 0 }: EveningProblem, taken: readonly number[]): Costs {
  const end = hours.at(-1)!.to
  const at = pens.map(() => 0)
  const ended = pens.map(() => 0)
  const costs = { missed: 0, pinned: 0, late: 0, lateness: 0, finished: 0, hands: 0 }
  let now = hours[0]!.from
  let there = setUp
  for (const one of taken) {
    const { work: pieces, after = 0, due, weight = 1 } = pens[one]!
    const piece = pieces[at[one]!]!
    const isSame = !piece.setUp || (there?.kind === piece.setUp.kind && there.which === piece.setUp.which)
    const change = isSame ? 0 : (changes[piece.setUp!.kind] ?? 0)
    let begins = Math.max(now, ended[one]! + piece.wait - change)
    // Whole in one evening: each second of it is in the hours, and none lies on both sides of a gap or of their end.
    const holds = (from: number) => {
      const to = from + change + piece.hands
      return hours.some(each => from >= each.from && to <= each.to) || from >= end
    }
    while (!holds(begins)) begins++
    // In one evening all that is not worked counts; from one to another, and after the last one, only the change.
    const isSameEvening = hours.every(each => (each.to < now) === (each.to <= begins))
    costs.hands += isSameEvening && now < end ? begins + change - now : change
    now = begins + change + piece.hands
    ended[one] = now
    at[one]!++
    if (piece.setUp) there = piece.setUp
    if (at[one] !== pieces.length) continue
    let counts = now + after
    while (grain && counts % grain) counts++
    costs.finished += counts
    if (due !== undefined && now + after > due) {
      costs.finished += weight * (counts - due)
      costs.late += weight
      costs.lateness = Math.max(costs.lateness, now + after - due)
    }
  }
  return costs
}

/** Every order of taking up pens. */
function everyOrder(counts: readonly number[]): number[][] {
  if (counts.every(count => !count)) return [[]]
  return counts.flatMap((count, one) =>
    count ? everyOrder(counts.map((other, at) => (at === one ? other - 1 : other))).map(rest => [one, ...rest]) : [])
}

it('with waits, changes and nights nothing is better than what is proven, of all orders of up to seven pieces', () => {
  const small = problemWith(3, 3).filter(({ pens }) => pens.reduce((sum, one) => sum + one.work.length, 0) <= 7)
  fc.assert(fc.property(small, (problem) => {
    const best = everyOrder(problem.pens.map(one => one.work.length))
      .map(taken => costsByHand(problem, taken)).sort((a, b) => compareCosts(a, b))[0]!
    const { costs, proven } = planEvenings(problem, { changes: 20 })
    expect(proven).toBe(true)
    expect({ ...costs, lateness: 0 }).toEqual({ ...best, lateness: 0 })
  }), { numRuns: 60 })
})

const latest = (problem: fc.Arbitrary<EveningProblem>) => fc.tuple(problem, fc.integer({ min: 1, max: 40 })).map(([one, by]) => ({
  ...one,
  pens: one.pens.map(each => ({ ...each, work: each.work.map((piece, at) => (at % 2 ? { ...piece, latest: piece.wait + by } : piece)) })),
}))

it('a plan holds: hands do one thing at a time, in their hours; no wait is cut; a latest time is kept or told (property)', () => {
  fc.assert(fc.property(fc.oneof(problemWith(5, 6), latest(problemWith(5, 6))), (problem) => {
    const { blocks, costs, least } = planEvenings(problem, { changes: 300, most: 2000 })
    expect(compareCosts(least, costs)).toBeLessThanOrEqual(0)
    for (const goal of goals) expect(least[goal]).toBeLessThanOrEqual(costs[goal] + 1e-6)
    expect(blocks).toHaveLength(problem.pens.reduce((sum, one) => sum + one.work.length, 0))
    blocks.forEach(({ begins, change }, at) => expect(begins - change).toBeGreaterThanOrEqual((blocks[at - 1]?.ends ?? 0) - 1e-6))
    for (const { begins, ends, change, inHours } of blocks)
      expect(inHours).toBe(problem.hours.some(one => begins - change >= one.from - 1e-6 && ends <= one.to + 1e-6))
    let missed = 0
    for (const { id, work: pieces } of problem.pens) {
      const own = blocks.filter(one => one.pen === id)
      own.forEach((block, at) => {
        const before = own[at - 1]?.ends ?? 0
        const { wait, hands, latest: by } = pieces[at]!
        expect(block.ends - block.begins).toBeCloseTo(hands, 6)
        expect(block.begins).toBeGreaterThanOrEqual(before + wait - 1e-6)
        const isMissed = by !== undefined && block.begins > before + by + 1e-6
        expect(block.missed).toBe(isMissed)
        missed += Number(isMissed)
      })
    }
    expect(costs.missed).toBe(missed)
  }), { numRuns: 60 })
})

it('an evening more, quicker hands or a shorter wait make no proven plan worse (property)', () => {
  fc.assert(fc.property(problemWith(3, 3), (problem) => {
    const quick = { changes: 20 }
    const before = planEvenings(problem, quick)
    const end = problem.hours.at(-1)!.to
    const easier: EveningProblem[] = [
      { ...problem, hours: [...problem.hours, { from: end, to: end + 1000 }] },
      { ...problem, pens: problem.pens.map(one => ({ ...one, work: one.work.map(piece => ({ ...piece, hands: piece.hands / 2 })) })) },
      { ...problem, pens: problem.pens.map(one => ({ ...one, work: one.work.map(piece => ({ ...piece, wait: piece.wait / 2 })) })) },
    ]
    // Hours without work can grow where work is quicker.
    const wanted: Goal[] = ['missed', 'late', 'finished']
    for (const one of easier) {
      const after = planEvenings(one, quick)
      expect(before.proven && after.proven).toBe(true)
      expect(compareCosts(after.costs, before.costs, wanted)).toBeLessThanOrEqual(0)
    }
  }), { numRuns: 60 })
})

it('a coat whose next one has a latest time is not put on where nobody is there for that, but in the next evening', () => {
  const hours = [{ from: 0, to: 10 }, { from: 100, to: 120 }]
  const coats = [work(5), work(5, { wait: 10, latest: 30 })]
  const { blocks, costs } = planEvenings({ pens: [pen('a', coats)], hours, changes: {} })
  expect(blocks.map(one => one.begins)).toEqual([100, 115])
  expect(costs.missed).toBe(0)
  // Glue that nothing hangs on goes on before the turner leaves, and sets over night.
  const glue = planEvenings({ pens: [pen('a', [work(5), work(5, { wait: 60 })])], hours, changes: {} })
  expect(glue.blocks.map(one => one.begins)).toEqual([0, 100])
})

it('one bit for all, then the other: changes are saved where nothing else is lost', () => {
  const drill = (which: string) => [work(10, { setUp: { kind: 'bit', which } })]
  const pens = [pen('a', drill('7')), pen('b', drill('8')), pen('c', drill('7')), pen('d', drill('8'))]
  const { costs, blocks } = planEvenings({ pens, hours: tonight, changes: { bit: 60 }, setUp: { kind: 'bit', which: '7' } })
  expect([costs.hands, blocks.map(one => one.change)]).toEqual([60, [0, 0, 60, 0]])
})

it('a piece is left for the next evening where it fills a wait there, and loses nothing by it (by hand)', () => {
  const a = pen('a', [work(4), work(2, { wait: 30 }), work(7, { wait: 9 })], { due: 5 })
  const hours = [{ from: 0, to: 20 }, { from: 40, to: 60 }, { from: 80, to: 100 }]
  const { costs, proven } = planEvenings({ pens: [a, pen('b', [work(5), work(12)])], hours, changes: {} }, { changes: 20 })
  // Done tonight, the five seconds of b would leave nine to be stood about tomorrow, between 42 and 51.
  expect([costs.finished, costs.hands, proven]).toEqual([58 + 53 + 92, 4, true])
})

it('an evening that is worked to its end is over: nobody stands about until the next one', () => {
  const pens = [pen('a', [work(20), work(5)])]
  const { costs } = planEvenings({ pens, hours: [{ from: 0, to: 20 }, { from: 40, to: 60 }], changes: {} })
  expect([costs.finished, costs.hands]).toEqual([45, 0])
})

it('what no hours hold lies after them, and is told', () => {
  const { blocks } = planEvenings({ pens: [pen('a', [work(50)]), pen('b', [work(5)])], hours: [{ from: 0, to: 10 }], changes: {} })
  expect(blocks.map(one => [one.pen, one.inHours])).toEqual([['b', true], ['a', false]])
  expect(order(planEvenings({ pens: [], hours: [], changes: {} }))).toEqual([])
  expect(() => planEvenings({ pens: [], hours: [{ from: 5, to: 5 }], changes: {} })).toThrow(RangeError)
  expect(() => planEvenings({ pens: [], hours: [{ from: 0, to: 5 }, { from: 4, to: 8 }], changes: {} })).toThrow(RangeError)
  const of = (...pieces: Work[]) => () => planEvenings({ pens: [pen('a', [work(1)]), pen('b', pieces)], hours: [], changes: {} })
  for (const wrong of [of(work(-1)), of(work(1), work(Number.NaN)), of(work(1), work(1, { wait: -1 }))]) expect(wrong).toThrow(RangeError)
  expect(of(work(0))).not.toThrow()
})
