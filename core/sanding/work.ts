import { capacityPart, scratchPart, type Medium } from './medium'
import type { Surface } from './surface'

/** Conditions under which an abrasive is used. */
export interface Pass {
  /** Name of the abrasive, which becomes the origin of its scratches. */
  origin: string
  /** Grain size, µm. */
  grain: number
  medium: Medium
  /** Surface speed, m/min. */
  speed: number
  /** Hand pressure, 1 = medium. */
  pressure: number
}

/** The model's time constant at 40 m/min and medium pressure, in s [model]. */
const TAU = 15
const TAU_SPEED = 40

/** Time constant of removal under these conditions, s: inversely proportional to speed and pressure. */
export function timeConstant(pass: Pick<Pass, 'speed' | 'pressure'>): number {
  return TAU * (TAU_SPEED / pass.speed) / pass.pressure
}

/** Depth one fresh piece can remove before it is dull, µm. */
export const capacity = (pass: Pass): number => capacityPart(pass.medium).value * pass.grain

/** Depth of the scratches that the abrasive leaves, µm. */
export const scratchLeft = (pass: Pass): number => scratchPart(pass.medium).value * pass.grain

/**
 * Seconds with one fresh piece to remove `depth` µm; Infinity when the piece is dull before.
 */
export function timeToRemove(pass: Pass, depth: number): number {
  if (depth <= 0) return 0
  const full = capacity(pass)
  return depth < full ? -timeConstant(pass) * Math.log(1 - depth / full) : Infinity
}

/**
 * The surface after `seconds` with one fresh piece: earlier scratches are shallower by what was removed, and those of
 * this abrasive are new. Times below 0 count as 0; with no time nothing changes.
 */
export function work(surface: Surface, pass: Pass, seconds: number): Surface {
  if (seconds <= 0) return surface
  const removed = capacity(pass) * (1 - Math.exp(-seconds / timeConstant(pass)))
  const left = surface.scratches
    .map(scratch => ({ ...scratch, depth: scratch.depth - removed }))
    .filter(scratch => scratch.depth > 1e-6)
  return { scratches: [...left, { origin: pass.origin, depth: scratchLeft(pass) }], removed: surface.removed + removed }
}
