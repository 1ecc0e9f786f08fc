import { costOf, workGrit, type Rung } from './grit'
import { fresh, lifeUsed, scratchLeft, timeToRemove, type Pass } from './work'

/** A way to take the rest of the scratches out after “not yet”. */
export interface WayOn {
  /** On with the same piece, with a fresh one, or with a coarser grit and down again. */
  how: 'longer' | 'fresh piece' | 'back a grit'
  /** The abrasive that is taken up. */
  id: string
  /** Sanding and overhead, s, until the ladder is where it should have been. */
  seconds: number
}

/** No piece is so dull that nothing at all is left in it. */
const DULLEST = 0.999

/**
 * The ways on when scratches of `left` µm are still there after a grit that was sanded `spent` s, the cheapest first: go on with the
 * same piece, take a fresh one, or go back to one of the `coarser` grits and down again. Those that cannot do it are left out.
 */
export function waysOn(current: Rung, spent: number, left: number, coarser: readonly Rung[], overhead: number): WayOn[] {
  const dulled: Pass = { ...current.pass, worn: Math.min(DULLEST, lifeUsed(current.pass, spent)) }
  const longer = timeToRemove(dulled, left)
  const next = workGrit({ ...current, pass: fresh(current.pass) }, left, overhead)
  const back = coarser.flatMap((rung): WayOn[] => {
    const [first, again] = [workGrit(rung, left, overhead), workGrit(current, scratchLeft(rung.pass), overhead)]
    if (!first.reaches || !again.reaches) return []
    return [{ how: 'back a grit', id: rung.id, seconds: costOf(first, overhead) + costOf(again, overhead) }]
  })
  const ways: WayOn[] = [
    ...(Number.isFinite(longer) ? [{ how: 'longer' as const, id: current.id, seconds: longer }] : []),
    ...(next.reaches ? [{ how: 'fresh piece' as const, id: current.id, seconds: costOf(next, overhead) }] : []),
    ...back,
  ]
  return ways.sort((a, b) => a.seconds - b.seconds)
}
