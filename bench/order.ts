import { bestNextPen, nextPen, type Job } from '../core/bench'
import { say } from '../scripts/lib/say'
import { chance } from '../tests/support/chance'
import { show } from './measure'

const CROWDS = [2, 4, 5, 6, 10, 20, 40]
const EVENINGS = 60
/** All orders are tried where there are no more pieces than this in all. */
const TRIED = 8

/**
 * Which pen comes next: how long the answer at once takes (wanted under 5 ms for forty pens) and the best one of up to six pens; how
 * much longer pens stand by the first than by the second; and both against all orders tried one by one, where these are few.
 */
export function orderBench(): void {
  const { uniform } = chance(5)
  for (const crowd of CROWDS) {
    const evenings = Array.from({ length: EVENINGS }, () => Array.from({ length: crowd }, (_, index) => penOf(index, uniform)))
    for (const jobs of evenings) nextPen(jobs)
    const quick = evenings.map(timed(nextPen))
    show(`which of ${crowd} pens comes next, at once`, quick.map(one => one.took))
    if (crowd > 6) continue
    const best = evenings.map(timed(bestNextPen))
    show(`which of ${crowd} pens comes next, the best`, best.map(one => one.took))
    const both = quick.flatMap((one, index) => (one.ahead === best[index]?.ahead ? [[one.standing, best[index].standing] as const] : []))
    const sum = (which: 0 | 1) => both.reduce((total, pair) => total + pair[which], 0)
    say(
      `  pens stand ${(sum(0) / sum(1)).toFixed(3)} times as long by the first; ${EVENINGS - both.length} of ${EVENINGS} evenings `
      + `looked less far ahead`,
    )
  }
  againstAll(uniform)
}

const timed = (find: typeof nextPen) => (jobs: Job[]) => {
  const start = performance.now()
  const found = find(jobs)
  return { took: performance.now() - start, standing: found?.standing ?? 0, ahead: found?.ahead ?? 0 }
}

function againstAll(uniform: () => number): void {
  const evenings = Array.from({ length: EVENINGS }, () => {
    const jobs = Array.from({ length: 4 }, (_, index) => penOf(index, uniform))
    return jobs.map(({ pen, pieces }): Job => ({ pen, pieces: pieces.slice(0, TRIED / 4) }))
  })
  const sum = (of: (jobs: Job[]) => number) => evenings.reduce((total, jobs) => total + of(jobs), 0)
  const least = sum(ofAllOrders)
  const ratio = (find: typeof nextPen) => (sum(jobs => find(jobs)?.standing ?? 0) / least).toFixed(4)
  say(`against all orders of four pens of two pieces: at once ${ratio(nextPen)}, the best ${ratio(bestNextPen)} times the least there is`)
}

/** The least that pens stand, of all orders tried one by one. */
function ofAllOrders(jobs: readonly Job[]): number {
  const go = (now: number, state: readonly { at: number, ready: number }[]): number => {
    let best = Infinity
    state.forEach(({ at, ready }, index) => {
      const pieces = jobs[index]?.pieces ?? []
      const piece = pieces[at]
      if (!piece) return
      const begins = Math.max(now, ready)
      const ends = begins + piece.handsOn
      const stands = pieces.slice(at + 1).some(one => one.wait > 0) ? begins - ready : 0
      const moved = { at: at + 1, ready: ends + (pieces[at + 1]?.wait ?? 0) }
      best = Math.min(best, stands + go(ends, state.map((one, other) => (other === index ? moved : one))))
    })
    return best === Infinity ? 0 : best
  }
  return go(0, jobs.map(job => ({ at: 0, ready: job.pieces[0]?.wait ?? 0 })))
}

/** A pen on its way through ladder, coats and pads, begun somewhere. */
function penOf(index: number, uniform: () => number): Job {
  const of = (count: number, piece: () => Job['pieces'][number]) => Array.from({ length: Math.floor(count) }, piece)
  const between = [60, 75, 90, 120, 300, 600, 900][Math.floor(uniform() * 7)] ?? 60
  const all = [
    ...of(uniform() * 7, () => ({ wait: 0, handsOn: 40 + uniform() * 90 })),
    ...of(3 + uniform() * 8, () => ({ wait: between, handsOn: 15 + uniform() * 20 })),
    ...of(uniform() * 5, () => ({ wait: 0, handsOn: 40 + uniform() * 60 })),
  ]
  const rest = all.slice(uniform() * all.length)
  return { pen: `P${index}`, pieces: rest.map((piece, at) => (at ? piece : { ...piece, wait: piece.wait * uniform() })) }
}
