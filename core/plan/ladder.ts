import { abrasiveName, grainSize } from '../abrasives'
import { surfaceSpeed, type Fitting } from '../barrel'
import { bestLadders, capacity, scratchLeft, type Ladder, type Medium, type Pass, type Rung } from '../sanding'
import type { ShelfAbrasive } from './inputs'
import { gritOverhead } from './targets'

/** Mean of all end diameters of a fitting, mm: where the hand works. */
export function meanDiameter(fitting: Fitting): number {
  const ends = fitting.barrels.flatMap(barrel => [barrel.tipEnd, barrel.clipEnd])
  return ends.reduce((sum, mm) => sum + mm, 0) / ends.length
}

/** How an abrasive of the shelf cuts on a medium at a spindle speed (rev/min) on this fitting, with medium hand pressure. */
export function passOf(abrasive: ShelfAbrasive, medium: Medium, fitting: Fitting, revPerMin: number): Pass {
  return {
    origin: abrasiveName(abrasive),
    grain: grainSize(abrasive.scale, abrasive.mark),
    medium,
    speed: surfaceSpeed(meanDiameter(fitting), revPerMin),
    pressure: 1,
  }
}

export interface ShelfLadder {
  abrasives: ShelfAbrasive[]
  /** The greatest jump had to be lifted to get there. */
  jumpLifted: boolean
  /** The shelf could not reach the target; this goes as fine as it can. */
  short: boolean
}

export interface ShelfLadderProblem {
  from: number
  target: number
  abrasives: readonly ShelfAbrasive[]
  pass: (abrasive: ShelfAbrasive) => Pass
  greatestJump: number
  /** Finest grain to begin with, µm. */
  firstGrain?: number
}

/**
 * The quickest ladder the shelf can give. When no ladder keeps to the greatest jump, the jump is lifted; when none reaches the target, the finest
 * that can be reached is taken. Both are said. Empty when nothing on the shelf can take out the start depth, or nothing needs to.
 */
export function shelfLadder(problem: ShelfLadderProblem): ShelfLadder {
  const { from, target, abrasives, pass, greatestJump, firstGrain } = problem
  if (from <= target) return { abrasives: [], jumpLifted: false, short: false }
  const rungs: Rung[] = abrasives.map(abrasive => ({ id: abrasive.id, pass: pass(abrasive) }))
  const search = (goal: number, jump: number): Ladder | undefined =>
    bestLadders({ from, target: goal, rungs, overhead: gritOverhead.value, greatestJump: jump, ...(jump < Infinity && firstGrain !== undefined ? { firstGrain } : {}) })[0]
  const byId = new Map(abrasives.map(abrasive => [abrasive.id, abrasive]))
  const answer = (ladder: Ladder, jumpLifted: boolean, short: boolean): ShelfLadder =>
    ({ abrasives: ladder.steps.map(step => byId.get(step.rung.id)!), jumpLifted, short })

  const goals = [target, ...rungs.map(rung => scratchLeft(rung.pass)).filter(depth => depth > target && depth < from).sort((a, b) => a - b)]
  for (const goal of goals) {
    for (const jump of [greatestJump, Infinity]) {
      const ladder = search(goal, jump)
      if (ladder) return answer(ladder, jump === Infinity && greatestJump < Infinity, goal > target)
    }
  }
  return { abrasives: [], jumpLifted: false, short: true }
}

/** The part of its capacity that a levelling grit should not be asked beyond: past it, it only rubs [model]. */
const LEVEL_REACH = 0.86
/** Grain of the grits that level a film, P320 to P800, µm [trade]. */
const LEVEL_GRAINS = { coarsest: 47, finest: 20 }

/**
 * The abrasive to level a film of this unevenness (µm) with: the finest of P320 to P800 that takes it out with one fresh piece, so that an even film
 * is levelled with P600 and a ridged one with P400 or P320; else the coarsest of them that is there. A cushioned pad rides over ridges and is no choice.
 */
export function levellingGrit(abrasives: readonly ShelfAbrasive[], unevenness: number, pass: (abrasive: ShelfAbrasive) => Pass): ShelfAbrasive | undefined {
  const fit = abrasives
    .filter(abrasive => abrasive.scale !== 'pad')
    .map(abrasive => ({ abrasive, pass: pass(abrasive) }))
    .filter(({ pass: { grain } }) => grain <= LEVEL_GRAINS.coarsest && grain >= LEVEL_GRAINS.finest)
    .sort((a, b) => a.pass.grain - b.pass.grain)
  return (fit.find(one => unevenness <= LEVEL_REACH * capacity(one.pass)) ?? fit.at(-1))?.abrasive
}
