import fc from 'fast-check'
import { leastAssignment } from './assignment'
import { playEvenings, planEvenings, planning, tightest, type EveningPen, type EveningProblem, type Work } from './index'
import { compareCosts } from './problem'

const work = (step: string, hands: number, change: Partial<Work> = {}): Work => ({ step, hands, wait: 0, setUp: null, ...change })
const pen = (id: string, pieces: readonly Work[], change: Partial<EveningPen> = {}): EveningPen => ({ id, work: pieces, ...change })
const evening = [{ from: 0, to: 100 }, { from: 1000, to: 1100 }]
const order = (problem: EveningProblem) => planEvenings(problem).blocks.map(one => `${one.pen}${one.step}`)

describe('what the turner wants', () => {
  const pens = [pen('a', [work('1', 10), work('2', 10)]), pen('b', [work('1', 30), work('2', 30)])]
  const problem: EveningProblem = { pens, hours: evening, changes: {} }
  it('without a wish the shorter pen is first', () => expect(order(problem)).toEqual(['a1', 'a2', 'b1', 'b2']))
  it('this first: with all that stands before it on its pen', () => {
    expect(order({ ...problem, first: [{ pen: 'b', step: '2' }] })).toEqual(['b1', 'b2', 'a1', 'a2'])
    expect(order({ ...problem, first: [{ pen: 'b', step: '1' }] })).toEqual(['b1', 'a1', 'a2', 'b2'])
  })
  it('not tonight: what may not be begun before then lies in the next evening', () => {
    const later = pens.map(one => (one.id === 'a' ? { ...one, work: one.work.map(piece => ({ ...piece, from: 1000 })) } : one))
    const { blocks } = planEvenings({ ...problem, pens: later })
    expect(blocks.map(one => [one.pen, one.begins])).toEqual([['b', 0], ['b', 30], ['a', 1000], ['a', 1010]])
  })
  it('these together: one after the other, once all of them can be', () => {
    const wished = order({ ...problem, together: [[{ pen: 'a', step: '2' }, { pen: 'b', step: '2' }]] })
    expect(Math.abs(wished.indexOf('a2') - wished.indexOf('b2'))).toBe(1)
  })
  it('by then: what cannot be held is counted, and put before promises', () => {
    const by = (when: number) => planEvenings({ ...problem, pens: [pens[0]!, pen('b', [work('1', 30, { by: when }), work('2', 30)])] })
    expect([by(0).costs.pinned, by(0).blocks[0]!.pen]).toEqual([0, 'b'])
    const both = planEvenings({ pens: ['a', 'b'].map(id => pen(id, [work('1', 30, { by: 0 })])), hours: evening, changes: {} })
    expect(both.costs.pinned).toBe(1)
  })
  it('wishes that bar one another, or name what was done, bar nothing (property)', () => {
    const anyPiece = fc.record({ pen: fc.constantFrom('a', 'b', 'gone'), step: fc.constantFrom('1', '2', 'gone') })
    const anyWishes = fc.record({ first: fc.array(anyPiece, { maxLength: 3 }), together: fc.array(fc.array(anyPiece), { maxLength: 3 }) })
    fc.assert(fc.property(anyWishes, (wishes) => {
      expect(planEvenings({ ...problem, ...wishes }, { changes: 20 }).blocks).toHaveLength(4)
    }), { numRuns: 60 })
  })
})

describe('a helper', () => {
  const pens = [pen('a', [work('1', 40)]), pen('b', [work('1', 40)]), pen('c', [work('1', 40)])]
  it('takes up what the turner cannot at the same time, in their own hours', () => {
    const { blocks, costs, least } = planEvenings({ pens, hours: evening, helpers: [[{ from: 20, to: 100 }]], changes: {} })
    expect(blocks.map(one => [one.crew, one.begins])).toEqual([[0, 0], [1, 20], [0, 40]])
    expect(compareCosts(least, costs)).toBeLessThanOrEqual(0)
    // After the last hours of all nobody of them comes again before the others.
    const alone = planEvenings({ pens, hours: [{ from: 1000, to: 1200 }], helpers: [[{ from: 0, to: 50 }]], changes: {} })
    expect(alone.blocks.map(one => [one.crew, one.begins])).toEqual([[1, 0], [0, 1000], [0, 1040]])
  })
  it('makes nothing later, and no pair of hands does two things at once (property)', () => {
    const anyPens = fc.array(fc.array(fc.tuple(fc.integer({ min: 1, max: 30 }), fc.constantFrom(0, 20)), { minLength: 1, maxLength: 4 }), {
      minLength: 1, maxLength: 4,
    })
    fc.assert(fc.property(anyPens, (all) => {
      const these = all.map((pieces, at) => pen(String(at), pieces.map(([hands, wait], step) => work(String(step), hands, { wait }))))
      const one = planEvenings({ pens: these, hours: evening, changes: {} }, { changes: 50 })
      const two = planEvenings({ pens: these, hours: evening, helpers: [evening], changes: {} }, { changes: 50 })
      expect(two.least.finished).toBeLessThanOrEqual(one.least.finished + 1e-6)
      expect(two.least.finished).toBeLessThanOrEqual(two.costs.finished + 1e-6)
      for (const crew of [0, 1]) {
        const own = two.blocks.filter(block => block.crew === crew)
        own.slice(1).forEach((block, at) => expect(block.begins).toBeGreaterThanOrEqual(own[at]!.ends - 1e-6))
      }
    }), { numRuns: 40 })
  })
})

it('the least assignment is that of all there are (property)', () => {
  const orders = (of: readonly number[]): number[][] =>
    of.length ? of.flatMap(one => orders(of.filter(other => other !== one)).map(rest => [one, ...rest])) : [[]]
  const square = fc.integer({ min: 0, max: 5 }).chain(size =>
    fc.array(fc.array(fc.integer({ min: 0, max: 50 }), { minLength: size, maxLength: size }), { minLength: size, maxLength: size }))
  fc.assert(fc.property(square, (table) => {
    const sums = orders(table.map((_, at) => at)).map(each => each.reduce((sum, column, row) => sum + table[row]![column]!, 0))
    expect(leastAssignment(table)).toBe(Math.min(...sums))
  }))
})

describe('planned anew after an entry', () => {
  const three = [pen('a', [work('1', 20), work('2', 20)]), pen('b', [work('1', 20), work('2', 20)]), pen('c', [work('1', 20)])]
  const problem: EveningProblem = { pens: three, hours: evening, changes: {} }
  const shown = [['b', '1'], ['b', '2'], ['a', '1'], ['a', '2'], ['c', '1']].map(([of, step]) => ({ pen: of!, step: step! }))
  it('keeps what was shown where another is better by no more than a little', () => {
    const best = planEvenings(problem)
    const kept = planEvenings(problem, { shown, enough: 200 })
    expect([kept.kept, kept.blocks.map(one => one.pen)]).toEqual([true, ['b', 'b', 'a', 'a', 'c']])
    expect(kept.costs.finished - best.costs.finished).toBeGreaterThan(0)
    expect(kept.proven).toBe(false)
    expect(planEvenings(problem, { shown, enough: 0 })).toMatchObject({ kept: false, costs: best.costs })
  })
  it('keeps it up to just so much, whatever it costs in hands too; never for a promise, a wish or a latest time', () => {
    const two = (change: Partial<Work> = {}, other: Partial<EveningPen> = {}): EveningProblem =>
      ({ pens: [pen('a', [work('1', 60)]), pen('b', [work('1', 20, change), ...(other.work ?? [])], other.due ? { due: other.due } : {})],
        hours: evening, changes: {} })
    const isKept = (problem: EveningProblem, enough: number) =>
      planEvenings(problem, { shown: [{ pen: 'a', step: '1' }, { pen: 'b', step: '1' }], enough }).kept
    // In the order shown they are finished at 60 and 80, in the other one at 20 and 80.
    expect([40, 39].map(enough => isKept(two(), enough))).toEqual([true, false])
    expect(isKept(two({}, { due: 30 }), 1e6)).toBe(false)
    expect(isKept(two({ by: 10 }), 1e6)).toBe(false)
    const coats = { work: [work('2', 90, { wait: 10, latest: 20 })] }
    const late = planEvenings(two({}, coats), { shown: ['b1', 'a1', 'b2'].map(([of, step]) => ({ pen: of!, step: step! })), enough: 1e6 })
    expect([late.kept, late.costs.missed]).toEqual([false, 0])
  })
  it('answers with it at once, and says by how much others may be better: what is left out of the proof, and what it is kept for', () => {
    const waits = pen('a', [work('1', 4), work('2', 2, { wait: 30 }), work('3', 7, { wait: 9 })], { due: 5 })
    const hours = [{ from: 0, to: 20 }, { from: 40, to: 60 }, { from: 80, to: 100 }]
    const given: EveningProblem = { pens: [waits, pen('b', [work('1', 5), work('2', 12)])], hours, changes: {} }
    const before = ['a1', 'b1', 'b2', 'a2', 'a3'].map(([of, step]) => ({ pen: of!, step: step! }))
    const of = (...[options]: Parameters<typeof planEvenings> extends [unknown, ...infer Rest] ? Rest : never) => {
      const { costs, kept, proven, within } = planEvenings(given, options)
      return [costs.finished, costs.hands, kept, proven, within]
    }
    // The best is finished at 203 in all, with 4 s stood about; what was shown at 221, with none.
    expect(of()).toEqual([203, 4, false, true, 0])
    expect(of({ within: 30 })).toEqual([203, 4, false, true, 30])
    expect(of({ shown: before, enough: 100 })).toEqual([221, 0, true, true, 100])
    expect(of({ shown: before, enough: 100, within: 30 })).toEqual([221, 0, true, true, 130])
    expect(of({ shown: before, enough: 17 })).toEqual([203, 4, false, true, 0])
    const [first] = planning(given, { shown: before })
    expect(first).toMatchObject({ kept: true, proven: false, within: 0, costs: { finished: 221 } })
    // What comes to no more than the bound is proven whatever was left out.
    const plain = { ...given, pens: given.pens.slice(1) }
    expect(planEvenings(plain, { within: 30 })).toMatchObject({ proven: true, within: 0 })
    expect(planEvenings(plain, { within: 30, shown: before })).toMatchObject({ kept: true, proven: true, within: 0 })
  })
  it('leaves out what was done meanwhile, puts what is new at the end, and gives it up for a promise', () => {
    const later = { ...problem, pens: [three[0]!, { ...three[1]!, work: three[1]!.work.slice(1) }, three[2]!, pen('d', [work('1', 5)])] }
    expect(planEvenings(later, { shown, enough: 1000 }).blocks.map(one => one.pen)).toEqual(['b', 'a', 'a', 'c', 'd'])
    const promised = { ...later, pens: later.pens.map(one => (one.id === 'd' ? { ...one, due: 10 } : one)) }
    expect(planEvenings(promised, { shown, enough: 1000 })).toMatchObject({ kept: false, costs: { late: 0 } })
  })
})

it('goes on bettering as long as one asks: never worse, and never under the bound (property)', () => {
  const anyPens = fc.array(
    fc.record({ pieces: fc.array(fc.tuple(fc.integer({ min: 1, max: 60 }), fc.constantFrom(0, 30, 900)), { minLength: 1, maxLength: 6 }),
      due: fc.option(fc.integer({ min: 50, max: 2000 }), { nil: undefined }) }),
    { minLength: 4, maxLength: 8 },
  )
  fc.assert(fc.property(anyPens, (all) => {
    const pens = all.map(({ pieces, due }, at) =>
      pen(
        String(at),
        pieces.map(([hands, wait], step) => work(String(step), hands, { wait, setUp: { kind: 'bit', which: String(step % 3) } })),
        due === undefined ? {} : { due },
      ))
    const three = [...evening, { from: 2000, to: 2100 }]
    let [count, last] = [0, Infinity]
    for (const plan of planning({ pens, hours: three, changes: { bit: 5 } }, { every: 50, most: 2000 })) {
      const cost = plan.costs.late * 1e9 + plan.costs.finished
      expect(cost).toBeLessThanOrEqual(last + 1e-6)
      expect(plan.costs.finished).toBeGreaterThanOrEqual(plan.least.finished - 1e-6)
      last = cost
      if (count++ > 6) break
    }
  }), { numRuns: 25 })
})

describe('chances', () => {
  const certain: EveningProblem = {
    pens: [pen('a', [work('1', 40)], { due: 50 }), pen('b', [work('1', 40)], { due: 60 })], hours: evening, changes: {},
  }
  it('are none or all where nothing varies', () => {
    const { kept, byDue, finished } = playEvenings(certain, planEvenings(certain).blocks, { plays: 20 })
    expect([kept.get('a'), kept.get('b')]).toEqual([1, 0])
    expect(byDue).toEqual([{ due: 50, kept: 1, but: 0 }, { due: 60, kept: 0, but: 0 }])
    expect(finished.get('b')).toEqual(Array.from({ length: 20 }, () => 80))
  })
  it('of all promises for a time those that are given up do not count; a time with no others is not told', () => {
    const crowd = { ...certain, pens: [...certain.pens, pen('c', [work('1', 5)], { due: 60 })] }
    const { kept, byDue } = playEvenings(crowd, ['a', 'c', 'b'].map(id => ({ pen: id })), { plays: 20, givenUp: new Set(['b']) })
    expect(kept).toEqual(new Map([['a', 1], ['b', 0], ['c', 1]]))
    expect(byDue).toEqual([{ due: 50, kept: 1, but: 0 }, { due: 60, kept: 1, but: 1 }])
    expect(playEvenings(certain, planEvenings(certain).blocks, { plays: 5, givenUp: new Set(['b']) }).byDue).toHaveLength(1)
  })
  it('one pen alone: as often as a log-normal time lies under what there is (outside value: Φ(ln 1.5 / 0.4) = 0.845)', () => {
    const one: EveningProblem = { pens: [pen('a', [work('1', 40, { spread: 0.4 })], { due: 60 })], hours: evening, changes: {} }
    expect(playEvenings(one, [{ pen: 'a' }], { plays: 20_000 }).kept.get('a')).toBeCloseTo(0.845, 1.7)
    const mended: EveningProblem = { ...one, pens: [pen('a', [work('1', 40, { mend: { chance: 0.25, hands: 30 } })], { due: 60 })] }
    expect(playEvenings(mended, [{ pen: 'a' }], { plays: 20_000 }).kept.get('a')).toBeCloseTo(0.75, 1.7)
  })
  it('the air stretches waits and what runs by itself, alike for all of one play (outside value: Φ(ln 1.1 / 0.1) = 0.830)', () => {
    const hours = [{ from: 0, to: 1e6 }]
    const often = (pens: EveningPen[], options = {}) =>
      playEvenings({ pens, hours, changes: {} }, pens.flatMap(one => one.work.map(() => ({ pen: one.id }))), { plays: 20_000, ...options })
    const waits = (id: string) => pen(id, [work('1', 1), work('2', 1, { wait: 100 })], { due: 115 })
    expect(often([{ ...waits('a'), due: 112 }]).kept.get('a')).toBeCloseTo(0.83, 1.7)
    expect(often([pen('a', [work('1', 2)], { after: 100, due: 112 })]).kept.get('a')).toBeCloseTo(0.83, 1.7)
    expect(often([{ ...waits('a'), due: 122 }], { air: 0.2 }).kept.get('a')).toBeCloseTo(0.819, 1.7)
    // Two that wait in the same air are late together: not by chance of their own.
    const both = often([waits('a'), waits('b')])
    expect(both.byDue[0]!.kept).toBeCloseTo(Math.min(both.kept.get('a')!, both.kept.get('b')!), 2)
  })
  it('hands stand by five minutes for what was planned next, and go on with another where it takes longer', () => {
    const hours = [{ from: 0, to: 1e6 }]
    const ends = (wait: number) => {
      const pens = [pen('a', [work('1', 10), work('2', 10, { wait })]), pen('b', [work('1', 1000)])]
      const { finished } = playEvenings({ pens, hours, changes: {} }, ['a', 'a', 'b'].map(id => ({ pen: id })), { plays: 1, air: 0 })
      return [finished.get('a'), finished.get('b')].map(times => Math.round(times![0]!))
    }
    expect(ends(300)).toEqual([320, 1320])
    expect(ends(301)).toEqual([1020, 1010])
  })
  it('tells when a pen was finished in each play, the soonest first', () => {
    const one: EveningProblem = { pens: [pen('a', [work('1', 40, { spread: 0.4 })])], hours: evening, changes: {} }
    const times = [...playEvenings(one, [{ pen: 'a' }], { plays: 50 }).finished.get('a')!]
    expect(new Set(times).size).toBeGreaterThan(40)
    expect(times).toEqual([...times].sort((a, b) => a - b))
  })
  it('a quicker hand or a later day never make one worse (property)', () => {
    const anyTimes = fc.array(fc.integer({ min: 5, max: 30 }), { minLength: 1, maxLength: 5 })
    fc.assert(fc.property(anyTimes, fc.integer({ min: 20, max: 100 }), (times, due) => {
      const with_ = (part: number, day: number): EveningProblem => ({
        pens: times.map((hands, at) => pen(String(at), [work('1', hands * part, { spread: 0.3 })], { due: day })),
        hours: evening,
        changes: {},
      })
      const { blocks } = planEvenings(with_(1, due))
      const keptIn = (problem: EveningProblem) => playEvenings(problem, blocks, { plays: 200 }).byDue[0]!.kept
      expect(keptIn(with_(0.8, due))).toBeGreaterThanOrEqual(keptIn(with_(1, due)))
      expect(keptIn(with_(1, due + 20))).toBeGreaterThanOrEqual(keptIn(with_(1, due)))
    }), { numRuns: 40 })
  })
  // No theorem: of 74,000 pens of 30,000 such evenings 48 were better by a tenth or more, at most by 0.42, all together worse by 0.01.
  it('a pen more makes no other’s better, or seldom, where hands come free just in time (Graham 1969) (property)', () => {
    const better: number[] = []
    const piece = fc.tuple(fc.integer({ min: 60, max: 1800 }), fc.constantFrom(0, 0, 400, 2400, 18_000))
    const anyPen = fc.array(piece, { minLength: 1, maxLength: 4 })
    const anyDue = fc.integer({ min: 1000, max: 70_000 })
    const hours = [{ from: 0, to: 6000 }, { from: 60_000, to: 66_000 }]
    fc.assert(fc.property(fc.array(anyPen, { minLength: 1, maxLength: 4 }), anyPen, anyDue, (all, more, due) => {
      const pens = [...all, more].map((pieces, at) =>
        pen(String(at), pieces.map(([hands, wait], step) => work(String(step), hands, { wait, spread: 0.3 })), { due }))
      const finished = (these: EveningPen[]) => {
        const problem: EveningProblem = { pens: these, hours, changes: {} }
        const order = these.flatMap(one => one.work.map(() => ({ pen: one.id })))
        return playEvenings(problem, order, { plays: 100 }).kept
      }
      const [before, after] = [finished(pens.slice(0, -1)), finished(pens)]
      for (const one of pens.slice(0, -1)) better.push(after.get(one.id)! - before.get(one.id)!)
    }), { numRuns: 100 })
    expect(better.reduce((sum, one) => sum + one, 0) / better.length).toBeLessThan(0.005)
    expect(better.filter(one => one >= 0.1).length / better.length).toBeLessThan(0.03)
  })
  it('what endangers a promise most is what may be put off the least, and by when it must begin', () => {
    const pens = [pen('a', [work('1', 10), work('2', 10, { wait: 880 }), work('3', 10)], { due: 1070 }), pen('b', [work('1', 20)])]
    const problem: EveningProblem = { pens, hours: evening, changes: {} }
    const { blocks } = planEvenings(problem)
    const found = tightest(problem, blocks, 'a')!
    // Its wait runs over night; the two pieces of the second evening have fifty seconds to spare, its first has ninety.
    expect([found.step, found.begins]).toEqual(['2', 1000])
    expect(found.by).toBeCloseTo(1050, -1)
    expect(found.by).toBeLessThanOrEqual(1050)
    expect(tightest(problem, blocks, 'b')).toBeUndefined()
  })
})
