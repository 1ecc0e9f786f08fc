import fc from 'fast-check'
import { chance } from '../../tests/support/chance'
import { nextPen, play, type Job } from './order'

const coat = (pen: string, wait: number, coats: number, handsOn = 15, between = 75): Job => ({
  pen,
  pieces: Array.from({ length: coats }, (_, index) => ({ wait: index ? between : wait, handsOn })),
})
const ladder = (pen: string, grits: number, then = 0): Job => ({
  pen,
  pieces: [...Array.from({ length: grits }, () => ({ wait: 0, handsOn: 60 })), ...(then ? [{ wait: then, handsOn: 30 }] : [])],
})

it('a coat that starts a wait goes before a long ladder that starts none', () => {
  expect(nextPen([ladder('L', 5), coat('C', 0, 4)])).toMatchObject({
    pen: 'C',
    in: 0,
    why: { kind: 'short work, long wait', work: 15, wait: 75 },
  })
})
it('a coat that is ready in a moment is waited for, when a grit begun now would keep it standing', () => {
  const found = nextPen([
    {
      pen: 'T',
      pieces: [
        { wait: 0, handsOn: 300 },
        { wait: 600, handsOn: 20 },
      ],
    },
    coat('C', 5, 6),
  ])!
  expect(found).toMatchObject({ pen: 'C', in: 5, why: { kind: 'soon' } })
})
it('what must not be put off goes first, whatever else there is', () => {
  const oil: Job = { pen: 'O', pieces: [{ wait: 0, handsOn: 30, latest: 10 }] }
  expect(nextPen([coat('C', 0, 5), oil])).toMatchObject({ pen: 'O', why: { kind: 'must', within: 10 } })
})
it('alone it is the only one; with nothing left there is none', () => {
  expect(nextPen([ladder('L', 2)])).toMatchObject({ pen: 'L', why: { kind: 'only' } })
  expect(nextPen([{ pen: 'X', pieces: [] }])).toBeUndefined()
})

describe('worked by hand', () => {
  const [L, C]: [Job, Job] = [{ pen: 'L', pieces: [{ wait: 0, handsOn: 300 }] }, coat('C', 0, 2)]
  // C first: 0 to 15, L to 315, and the last coat keeps nobody waiting. L first: C stands for 300 s.
  it('what the coat first saves', () => {
    expect([play([L, C], 'C').standing, play([L, C], 'L').standing]).toEqual([0, 300])
    expect(nextPen([L, C])).toEqual({
      pen: 'C',
      in: 0,
      why: { kind: 'short work, long wait', work: 15, wait: 75, saves: 300 },
      order: ['C', 'L'],
    })
  })
  // C first: 5 to 20, and T stands for 20 s. T first: C stands from 5 to 300.
  it('what standing by for five seconds saves', () => {
    const T: Job = { pen: 'T', pieces: [{ wait: 0, handsOn: 300 }, { wait: 600, handsOn: 20 }] }
    expect(nextPen([T, coat('C', 5, 2)])).toMatchObject({ in: 5, why: { kind: 'soon', in: 5, saves: 275 } })
  })
  // C first: 0 to 15, five seconds past what must begin by 10, which count ten times. O first: C stands for 30 s.
  it('what stands past its latest time', () => {
    const O: Job = { pen: 'O', pieces: [{ wait: 0, handsOn: 30, latest: 10 }] }
    expect([play([C, O], 'C').standing, play([C, O], 'O').standing]).toEqual([50, 30])
    const inTime: Job = { pen: 'O', pieces: [{ wait: 0, handsOn: 30, latest: 15 }] }
    expect(play([C, inTime], 'C').standing).toBe(0)
    expect(nextPen([{ pen: 'O', pieces: [{ wait: 0, handsOn: 30, latest: -4 }] }])!.why).toEqual({ kind: 'must', within: 0 })
    expect(nextPen([{ pen: 'O', pieces: [{ wait: 5, handsOn: 30, latest: 10 }] }])!.why).toEqual({ kind: 'only' })
  })
  it('of two that are as good the one with less to do, then the first by its name', () => {
    expect(nextPen([ladder('A', 5), ladder('B', 2)])).toMatchObject({ pen: 'B', why: { kind: 'last hand' } })
    for (const jobs of [[coat('B', 0, 3), coat('A', 0, 3)], [coat('A', 0, 3), coat('B', 0, 3)]])
      expect(nextPen(jobs)).toMatchObject({ pen: 'A', why: { kind: 'as good as any' } })
  })
  // The wait that is told is the next one, with the work before it; the one before the first piece is told as standing by.
  it('the work up to the next wait', () => {
    const pieces = [{ wait: 0, handsOn: 20 }, { wait: 0, handsOn: 30 }, { wait: 60, handsOn: 5 }, { wait: 90, handsOn: 5 }]
    expect(nextPen([{ pen: 'D', pieces }, L])!.why).toMatchObject({ work: 50, wait: 60, saves: 300 })
  })
  it('a saving of less than five seconds is none', () => {
    const short = (handsOn: number): Job => ({ pen: 'L', pieces: [{ wait: 0, handsOn }] })
    expect([5, 4.9].map(handsOn => nextPen([short(handsOn), C])!.why.kind)).toEqual(['short work, long wait', 'as good as any'])
  })
})

/** The least standing of all ways to interleave the jobs, tried one and all: the same reckoning as the game, without its rule. */
function least(jobs: readonly Job[]): number {
  const go = (now: number, state: readonly { at: number, ready: number }[]): number => {
    let best = Infinity
    state.forEach(({ at, ready }, index) => {
      const { pieces } = jobs[index]!
      if (at >= pieces.length) return
      const begins = Math.max(now, ready)
      const waits = pieces.slice(at + 1).some(piece => piece.wait > 0)
      const ends = begins + pieces[at]!.handsOn
      const rest = go(
        ends,
        state.map((one, other) => (other === index ? { at: at + 1, ready: ends + (pieces[at + 1]?.wait ?? 0) } : one)),
      )
      best = Math.min(best, (waits ? begins - ready : 0) + rest)
    })
    return best === Infinity ? 0 : best
  }
  return go(
    0,
    jobs.map(job => ({ at: 0, ready: job.pieces[0]!.wait })),
  )
}

it('is never worse than any other pen to begin with, and close to the best of all orders tried one by one (property)', () => {
  const anyJob = fc.array(fc.record({ wait: fc.constantFrom(0, 0, 30, 90), handsOn: fc.integer({ min: 10, max: 90 }) }), {
    minLength: 1,
    maxLength: 3,
  })
  let [ours, best] = [0, 0]
  fc.assert(
    fc.property(fc.array(anyJob, { minLength: 1, maxLength: 3 }), (all) => {
      const jobs = all.map((pieces, index): Job => ({ pen: `P${index}`, pieces }))
      const chosen = nextPen(jobs)!
      const standing = play(jobs, chosen.pen).standing
      for (const job of jobs) expect(standing).toBeLessThanOrEqual(play(jobs, job.pen).standing + 1e-9)
      const bound = least(jobs)
      expect(standing).toBeGreaterThanOrEqual(bound - 1e-9)
      ours += standing
      best += bound
      expect(chosen.order.length).toBe(jobs.length)
    }),
    { numRuns: 300, seed: 4 },
  )
  // Played through over all of them it leaves pens standing little longer than the best of all orders would.
  expect(ours).toBeLessThanOrEqual(best * 1.01 + 1)
})

it('keeps what it finds on twenty evenings of six pens, where fewer courses are followed: pens stand no longer', () => {
  const { uniform } = chance(3)
  const pick = (all: readonly number[]) => all[Math.floor(uniform() * all.length)]!
  const standing = Array.from({ length: 20 }, () => {
    const pieces = () => Array.from({ length: 4 }, () => ({ wait: pick([0, 0, 30, 90, 300]), handsOn: 10 + Math.floor(uniform() * 80) }))
    const jobs = Array.from({ length: 6 }, (_, index): Job => ({ pen: `P${index}`, pieces: pieces() }))
    return play(jobs, nextPen(jobs)!.pen).standing
  })
  // Pen-seconds in all, as this search found them; they may only become fewer.
  expect(standing.reduce((sum, one) => sum + one, 0)).toBeLessThanOrEqual(16_282)
})
