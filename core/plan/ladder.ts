import { abrasiveName, grainSize } from '../abrasives'
import { surfaceSpeed, type Fitting } from '../barrel'
import { bestLadders, capacity, scratchLeft, type Medium, type Pass, type Rung } from '../sanding'
import type { ShelfAbrasive } from './inputs'
import { gritOverhead } from './targets'

/** Mean of all end diameters of a fitting, mm: where the hand works. */
export function meanDiameter(fitting: Fitting): number {
  const ends = fitting.barrels.flatMap(barrel => [barrel.tipEnd, barrel.clipEnd])
  return ends.reduce((sum, mm) => sum + mm, 0) / ends.length
}

/** How an abrasive of the shelf cuts on a medium at a spindle speed (rev/min) on this fitting, with medium hand pressure. */
export function passOf(abrasive: ShelfAbrasive, medium: Medium, fitting: Fitting, revPerMin: number, own?: Pass['own']): Pass {
  return {
    origin: abrasiveName(abrasive),
    grain: grainSize(abrasive.scale, abrasive.mark),
    medium,
    speed: surfaceSpeed(meanDiameter(fitting), revPerMin),
    pressure: 1,
    ...(abrasive.worn ? { worn: abrasive.worn } : {}),
    ...(own && medium.kind === 'wood' ? { own } : {}),
  }
}

export interface ShelfLadderProblem {
  from: number
  target: number
  abrasives: readonly ShelfAbrasive[]
  pass: (abrasive: ShelfAbrasive) => Pass
  greatestJump: number
  /** Finest grain to begin with, µm. */
  firstGrain?: number
  /** Abrasives that must be in it. */
  insist?: readonly string[]
}

/**
 * The quickest ladder the shelf can give, coarse to fine. When none keeps to the greatest jump, the jump is lifted, and last the grit to begin with; when none
 * reaches the target, it goes as fine as it can. Empty when nothing on the shelf can take out the start depth, or nothing needs to.
 */
export function shelfLadder({ from, target, abrasives, pass, greatestJump, firstGrain = 0, insist = [] }: ShelfLadderProblem): ShelfAbrasive[] {
  if (from <= target) return []
  const rungs: Rung[] = abrasives.map(abrasive => ({ id: abrasive.id, pass: pass(abrasive) }))
  const byId = new Map(abrasives.map(abrasive => [abrasive.id, abrasive]))
  const goals = [target, ...rungs.map(rung => scratchLeft(rung.pass)).filter(depth => depth > target && depth < from).sort((a, b) => a - b)]
  const ways = [{ greatestJump, firstGrain, insist }, { greatestJump: Infinity, firstGrain, insist }, { greatestJump: Infinity, firstGrain: 0, insist }, { greatestJump: Infinity, firstGrain: 0 }]
  for (const goal of goals) {
    for (const way of ways) {
      const [ladder] = bestLadders({ from, target: goal, rungs, overhead: gritOverhead.value, ...way })
      if (ladder) return ladder.steps.map(step => byId.get(step.rung.id)!)
    }
  }
  return []
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
