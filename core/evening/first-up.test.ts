import fc from 'fast-check'
import { firstUp, planEvenings, type EveningPen, type EveningProblem, type Work } from './index'
import { compareCosts } from './problem'

const work = (step: string, hands: number, change: Partial<Work> = {}): Work => ({ step, hands, wait: 0, setUp: null, ...change })
const pen = (id: string, pieces: readonly Work[], change: Partial<EveningPen> = {}): EveningPen => ({ id, work: pieces, ...change })
const evening = [{ from: 0, to: 100 }, { from: 1000, to: 1100 }]
const first = (pens: readonly EveningPen[], change: Partial<EveningProblem> = {}) => {
  const problem = { pens, hours: evening, changes: {}, ...change }
  return firstUp(problem, planEvenings(problem).blocks)
}

describe('what comes first, and why', () => {
  it('nothing, or the only one there is', () => {
    expect(first([])).toBeUndefined()
    expect(first([pen('a', [work('1', 10)])])).toEqual({ pen: 'a', begins: 0, why: { kind: 'only' }, order: ['a'] })
  })
  it('the shorter one, by what the sum of finishing times would be worse', () => {
    // 10 and 40 as planned, 30 and 40 the other way round.
    expect(first([pen('a', [work('1', 30)]), pen('b', [work('1', 10)])]))
      .toMatchObject({ pen: 'b', why: { kind: 'else', goal: 'finished', by: 20 }, order: ['b', 'a'] })
  })
  it('a promise, a latest time, a wish, a change that is saved', () => {
    const long = pen('long', [work('1', 60)], { due: 70 })
    expect(first([long, pen('b', [work('1', 50)])])).toMatchObject({ pen: 'long', why: { goal: 'late', by: 1 } })
    const bound = pen('bound', [work('1', 60), work('2', 10, { latest: 0 })])
    expect(first([bound, pen('b', [work('1', 20, { by: 0 })])])).toMatchObject({ pen: 'b', why: { goal: 'pinned', by: 1 } })
    const two = [pen('a', [work('1', 10)]), pen('b', [work('1', 30)])]
    expect(first(two, { first: [{ pen: 'b', step: '1' }] })).toMatchObject({ pen: 'b', why: { kind: 'wished' } })
    const setUp = { kind: 'bit', which: '7' }
    expect(first([pen('a', [work('1', 10)]), pen('b', [work('1', 10, { setUp })])], { setUp, changes: { bit: 5 }, grain: 1000 }))
      .toMatchObject({ why: { kind: 'as good as any' } })
  })
  it('hands turn to it before its change, and an order that could be bettered is as good as any', () => {
    const setUp = { kind: 'bit', which: '7' }
    expect(first([pen('a', [work('1', 10, { setUp })])], { changes: { bit: 5 } })).toMatchObject({ begins: 0 })
    const problem = { pens: [pen('a', [work('1', 30)]), pen('b', [work('1', 10)])], hours: evening, changes: {} }
    const { blocks } = planEvenings({ ...problem, first: [{ pen: 'a', step: '1' }] })
    expect(firstUp(problem, blocks)).toMatchObject({ pen: 'a', why: { kind: 'as good as any' } })
  })
  it('no other first is better than it says (property)', () => {
    const anyPens = fc.array(fc.array(fc.tuple(fc.integer({ min: 1, max: 30 }), fc.constantFrom(0, 20)), { minLength: 1, maxLength: 2 }), {
      minLength: 2, maxLength: 3,
    })
    fc.assert(fc.property(anyPens, (all) => {
      const pens = all.map((pieces, at) => pen(String(at), pieces.map(([hands, wait], step) => work(String(step), hands, { wait }))))
      const problem = { pens, hours: evening, changes: {} }
      const { blocks, costs, proven } = planEvenings(problem)
      const told = firstUp(problem, blocks)!
      expect(told.pen).toBe(blocks[0]!.pen)
      if (!proven || told.why.kind !== 'else') return
      const { goal, by } = told.why
      expect(by).toBeGreaterThan(0)
      // The best with any other first is at least as good as the best of those that were tried.
      const others = pens.filter(one => one.id !== told.pen)
        .map(({ id, work: pieces }) => planEvenings({ ...problem, first: [{ pen: id, step: pieces[0]!.step }] }).costs)
      for (const other of others) expect(compareCosts(costs, other)).toBeLessThanOrEqual(0)
      expect(Math.min(...others.map(other => other[goal]))).toBeLessThanOrEqual(costs[goal] + by + 1e-6)
    }), { numRuns: 15 })
  })
})
