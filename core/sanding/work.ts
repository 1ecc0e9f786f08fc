import { capacityPart, scratchPart, type Medium } from './medium'
import type { Surface } from './surface'

/** Conditions under which an abrasive is used. */
export interface Pass {
  /** Name of the abrasive, which becomes the origin of its scratches. */
  origin: string
  /** Grain size, µm. */
  grain: number
  /** What is sanded. */
  medium: Medium
  /** Whether it is a cushioned pad, which gives way and is rinsed instead of used up. */
  pad?: boolean
  /** Surface speed, m/min. */
  speed: number
  /** Hand pressure, 1 = medium. */
  pressure: number
  /** How much of the piece's life is gone: 0 fresh to 1 dull. */
  worn?: number
  /** The turner's own cut rate and capacity, as factors on the model's; 1 when nothing is learnt. */
  own?: { rate: number, capacity: number }
}

/** The model's time constant at 40 m/min and medium pressure, in s [model]. */
export const TAU = 15
const TAU_SPEED = 40

/** The grain that has it, µm; finer grains get there sooner, by the root of their size, down to a quarter of it [model]. */
const TAU_GRAIN = 68
const TAU_LEAST = 0.25

/** How much of the time constant a grain has, 0.25 to 1: the fine end takes the five to ten seconds a grit that turners give it. */
export const grainPart = (grain: number): number => Math.min(1, Math.max(TAU_LEAST, Math.sqrt(grain / TAU_GRAIN)))

/**
 * Time constant of removal under these conditions, s: inversely proportional to speed, pressure and the turner's own rate, and shorter
 * for finer grains.
 */
export function timeConstant(pass: Pick<Pass, 'grain' | 'speed' | 'pressure' | 'own'>): number {
  return (TAU * grainPart(pass.grain) * (TAU_SPEED / pass.speed)) / pass.pressure / (pass.own?.rate ?? 1)
}

/** Depth one piece can remove before it is dull, µm: less for a worn one; of a pad, before it is rinsed. */
export const capacity = (pass: Pass): number =>
  capacityPart(pass.medium, pass.pad).value * pass.grain * (1 - wear(pass)) * (pass.own?.capacity ?? 1)

/** How much of the piece in hand is gone, 0 to 1: of a pad nothing, for one pen does not use it up. */
const wear = ({ worn, pad }: Pass): number => (pad ? 0 : (worn ?? 0))

/** The same with a fresh piece. */
export const fresh = ({ worn: _, ...pass }: Pass): Pass => pass

/** Part of the piece's life that is gone after so many seconds with it, 0 to 1. */
export const lifeUsed = (pass: Pass, seconds: number): number =>
  1 - (1 - wear(pass)) * Math.exp(-Math.max(0, seconds) / timeConstant(pass))

/** Depth of the scratches that the abrasive leaves, µm. */
export const scratchLeft = (pass: Pass): number => scratchPart(pass.medium, pass.pad).value * pass.grain

/**
 * Seconds with one fresh piece to remove `depth` µm; Infinity when the piece is dull before.
 */
export function timeToRemove(pass: Pass, depth: number): number {
  if (depth <= 0) return 0
  const full = capacity(pass)
  return depth < full ? -timeConstant(pass) * Math.log(1 - depth / full) : Infinity
}

/**
 * The surface after `seconds` with one piece: earlier scratches are shallower by what was removed, and those of
 * this abrasive are new. Times below 0 count as 0; with no time nothing changes.
 */
export function work(surface: Surface, pass: Pass, seconds: number): Surface {
  if (seconds <= 0) return surface
  const removed = capacity(pass) * (1 - Math.exp(-seconds / timeConstant(pass)))
  const left = surface.scratches.map(scratch => ({ ...scratch, depth: scratch.depth - removed })).filter(scratch => scratch.depth > 1e-6)
  return { scratches: [...left, { origin: pass.origin, depth: scratchLeft(pass), way: 'around' }], removed: surface.removed + removed }
}

/**
 * The surface after a with-grain pass, lathe stopped: the abrasive's own rings are crossed out by strokes along the barrel of the same
 * depth. What is left of earlier rings stays, and now shows across them.
 */
export function withGrain(surface: Surface, pass: Pass): Surface {
  return {
    ...surface,
    scratches: surface.scratches.map(scratch => (scratch.origin === pass.origin ? { ...scratch, way: 'along' as const } : scratch)),
  }
}
