import fc from 'fast-check'
import { chance } from '../../../tests/support/chance'
import { eveningOf } from './evening'
import { bestWay } from './exact'
import type { Job } from './job'
import { bestNextPen, nextPen } from './next'

const coat = (pen: string, wait: number, coats: number, handsOn = 15, between = 75): Job => ({
  pen,
  pieces: Array.from({ length: coats }, (_, index) => ({ wait: index ? between : wait, handsOn })),
})
const ladder = (pen: string, grits: number, then = 0): Job => ({
  pen,
  pieces: [...Array.from({ length: grits }, () => ({ wait: 0, handsOn: 60 })), ...(then ? [{ wait: then, handsOn: 30 }] : [])],
})

/** How long pens stand when one is taken up first and the rest goes as well as it can, pen-seconds. */
function standingWith(jobs: readonly Job[], pen: string): number {
  const evening = eveningOf(jobs, 12)
  const none = { standing: Infinity, taken: [] }
  return bestWay(evening, [jobs.findIndex(job => job.pen === pen)], none)!.standing
}

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
    expect([standingWith([L, C], 'C'), nextPen([L, C])!.standing]).toEqual([0, 0])
    expect(nextPen([L, C])).toEqual({
      standing: 0,
      ahead: 12,
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
    expect([standingWith([C, O], 'C'), standingWith([C, O], 'O')]).toEqual([50, 30])
    const inTime: Job = { pen: 'O', pieces: [{ wait: 0, handsOn: 30, latest: 15 }] }
    expect(standingWith([C, inTime], 'C')).toBe(0)
    expect(nextPen([{ pen: 'O', pieces: [{ wait: 0, handsOn: 30, latest: -4 }] }])!.why).toEqual({ kind: 'must', within: 0 })
    expect(nextPen([{ pen: 'O', pieces: [{ wait: 5, handsOn: 30, latest: 10 }] }])!.why).toEqual({ kind: 'only' })
  })
  // What follows P0's first and P2's first must not fall together: the ten seconds of P1, put in before, keep it apart.
  it('a piece that keeps nobody waiting, put in before two waits that would end together', () => {
    const latest = 20
    const jobs: Job[] = [
      { pen: 'P0', pieces: [{ wait: 0, handsOn: 10 }, { wait: 90, handsOn: 10, latest }, { wait: 0, handsOn: 10, latest }] },
      { pen: 'P1', pieces: [{ wait: 0, handsOn: 10 }] },
      { pen: 'P2', pieces: [{ wait: 0, handsOn: 10 }, { wait: 90, handsOn: 22, latest }] },
    ]
    expect(bestNextPen(jobs)!.standing).toBeCloseTo(least(jobs, ['P0', 'P1', 'P2']), 6)
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

/** The least standing of all ways to interleave the jobs, tried one and all: the same reckoning, without any of its short cuts. */
function least(jobs: readonly Job[], firsts: readonly string[]): number {
  const go = (now: number, state: readonly { at: number, ready: number, latest: number }[]): number => {
    let best = Infinity
    state.forEach(({ at, ready, latest }, index) => {
      const { pen, pieces } = jobs[index]!
      if (at >= pieces.length || (now === 0 && !firsts.includes(pen))) return
      const begins = Math.max(now, ready)
      const waits = pieces.slice(at + 1).some(piece => piece.wait > 0)
      const ends = begins + pieces[at]!.handsOn
      const next = { at: at + 1, ready: ends + (pieces[at + 1]?.wait ?? 0), latest: ends + (pieces[at + 1]?.latest ?? Infinity) }
      const rest = go(ends, state.map((one, other) => (other === index ? next : one)))
      best = Math.min(best, (waits ? begins - ready : 0) + 10 * Math.max(0, begins - latest) + rest)
    })
    return best === Infinity ? 0 : best
  }
  return go(0, jobs.map(job => ({ at: 0, ready: job.pieces[0]!.wait, latest: job.pieces[0]!.latest ?? Infinity })))
}

const anyPiece = fc.record(
  { wait: fc.constantFrom(0, 0, 0, 15, 30, 90), handsOn: fc.integer({ min: 10, max: 90 }), latest: fc.constantFrom(20, 60, 120) },
  { requiredKeys: ['wait', 'handsOn'] },
)
/** Small evenings, with times that must not be passed where it says so. */
const anyEvening = (latest: boolean) =>
  fc.array(fc.array(anyPiece, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 3 }).map(all =>
    all.map((pieces, index): Job =>
      ({ pen: `P${index}`, pieces: latest ? pieces : pieces.map(({ wait, handsOn }) => ({ wait, handsOn })) })))

it.each([false, true])('is the best of all orders tried one by one; latest times: %p (property)', (latest) => {
  fc.assert(
    fc.property(anyEvening(latest), (jobs) => {
      const names = jobs.map(job => job.pen)
      const best = least(jobs, names)
      const found = bestNextPen(jobs)!
      expect(found.standing).toBeCloseTo(best, 6)
      expect([...found.order].sort()).toEqual([...names].sort())
      expect(found.order[0]).toBe(found.pen)
      // What it answers begins such a way; and the quick answer is one of the ways there are.
      expect(least(jobs, [found.pen])).toBeCloseTo(best, 6)
      expect(nextPen(jobs)!.standing).toBeGreaterThanOrEqual(best - 1e-6)
    }),
    { numRuns: 400 },
  )
})
it('what is saved is told against the best way that begins with another pen that could be begun now (property)', () => {
  fc.assert(
    fc.property(anyEvening(false), (jobs) => {
      const { pen, why, standing } = bestNextPen(jobs)!
      if (why.kind !== 'short work, long wait' && why.kind !== 'soon') return
      const others = jobs.filter(job => job.pen !== pen && job.pieces[0]!.wait <= 0).map(job => job.pen)
      expect(why.saves).toBeCloseTo(others.length ? Math.max(0, least(jobs, others) - standing) : 0, 6)
    }),
    { numRuns: 300 },
  )
})

const { uniform } = chance(3)
const pick = (all: readonly number[]) => all[Math.floor(uniform() * all.length)]!
/** A pen on its way through ladder, coats and pads, begun somewhere. */
function penOf(index: number): Job {
  const of = (count: number, piece: () => Job['pieces'][number]) => Array.from({ length: Math.floor(count) }, piece)
  const between = pick([60, 90, 120, 300, 900])
  const all = [
    ...of(uniform() * 7, () => ({ wait: 0, handsOn: 40 + uniform() * 90 })),
    ...of(3 + uniform() * 7, () => ({ wait: between, handsOn: 15 + uniform() * 20 })),
    ...of(uniform() * 5, () => ({ wait: 0, handsOn: 40 + uniform() * 60 })),
  ]
  return { pen: `P${index}`, pieces: all.slice(uniform() * all.length) }
}
const evenings = (pens: number) => Array.from({ length: 8 }, () => Array.from({ length: pens }, (_, index) => penOf(index)))

it('of six pens the quick answer leaves them standing little longer than the best does, as far as both look ahead', () => {
  const all = evenings(6).map(jobs => [nextPen(jobs)!, bestNextPen(jobs)!] as const).filter(([quick, best]) => quick.ahead === best.ahead)
  expect(all.length).toBeGreaterThan(5)
  for (const [quick, best] of all) expect(quick.standing).toBeGreaterThanOrEqual(best.standing - 1e-6)
  const sum = (which: 0 | 1) => all.reduce((total, both) => total + both[which].standing, 0)
  expect(sum(0)).toBeLessThan(1.12 * sum(1))
})
it('looks less far ahead where too many ways would have to be looked at, and is the best there', () => {
  const pieces = (index: number) =>
    Array.from({ length: 12 }, (_, at) => ({ wait: at % 3 ? 0 : 60, handsOn: 20 + ((7 * at + 11 * index) % 60) }))
  const found = bestNextPen(Array.from({ length: 6 }, (_, index): Job => ({ pen: `P${index}`, pieces: pieces(index) })))!
  expect(found.ahead).toBeGreaterThan(1)
  expect(found.ahead).toBeLessThan(8)
})
it('forty pens are answered with a pen that is there, all of them in its order', () => {
  for (const jobs of evenings(40)) {
    const { pen, order, standing } = nextPen(jobs)!
    expect(new Set(order)).toEqual(new Set(jobs.filter(job => job.pieces.length).map(job => job.pen)))
    expect(order[0]).toBe(pen)
    // One hand after another in the order of their names, each worked through to its end, is no rival.
    expect(standing).toBeLessThan(oneByOne(jobs) / 2)
  }
})
/** How long pens stand when each is finished before the next is taken up, as far as a quick answer looks ahead. */
function oneByOne(jobs: readonly Job[]): number {
  let [now, standing] = [0, 0]
  for (const { pieces } of jobs) {
    let ready = pieces[0]?.wait ?? 0
    pieces.slice(0, 3).forEach((piece, at) => {
      const begins = Math.max(now, ready)
      if (pieces.slice(at + 1).some(one => one.wait > 0)) standing += begins - ready
      now = begins + piece.handsOn
      ready = now + (pieces[at + 1]?.wait ?? 0)
    })
  }
  return standing
}
// A to 10 and to 30, B to 45 (stands 5), A goes on (stands 15). B after the first piece: A stands 30. A through to its wait: B stands 105.
it('a pen that gets ready while a piece is worked comes between that and the next one', () => {
  const jobs: Job[] = [
    { pen: 'A', pieces: [...[10, 20, 100].map(handsOn => ({ wait: 0, handsOn })), { wait: 600, handsOn: 5 }] },
    { pen: 'B', pieces: [{ wait: 25, handsOn: 15 }, { wait: 600, handsOn: 5 }] },
  ]
  expect(standingWith(jobs, 'A')).toBe(20)
  expect(bestNextPen(jobs)).toMatchObject({ pen: 'A', standing: 20 })
})
it('while the next one is waited for, a pen that keeps nobody waiting is worked on, if that is done before', () => {
  const coats = coat('C', 100, 3)
  expect(nextPen([coats, ladder('L', 1)])).toMatchObject({ pen: 'L', in: 0, why: { kind: 'last hand' } })
  expect(nextPen([coats, { pen: 'L', pieces: [{ wait: 0, handsOn: 101 }] }])).toMatchObject({ pen: 'C', in: 100 })
  expect(nextPen([coat('C', 0, 3), ladder('L', 1)])).toMatchObject({ pen: 'C', in: 0 })
})
