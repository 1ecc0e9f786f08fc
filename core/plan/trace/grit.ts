import { grainFigure } from '../../abrasives'
import { worked, type Figure } from '../../figures'
import { deepest, scratchPart, workGrit, type WorkedGrit } from '../../sanding'
import { gritPass, gritSpeed } from '../make'
import { gritOverhead, isGrit, stepsBefore, type GritStep, type Plan, type Step } from '../model'
import type { Stage } from './stage'

/** A grit of a plan: what it takes and leaves, how, and how it stands to the one before it. */
export interface GritTrace {
  /** Its grain, µm. */
  grain: Figure
  /** How many times finer than the grit before it on the same surface; absent for the first. */
  jump?: number
  /** Fresh pieces it takes. */
  pieces: number
  /** Seconds on the paper, all pieces together. */
  seconds: number
  /** Whether the scratches before it are gone after it. */
  reaches: boolean
  /** Depth it takes off, µm. */
  removes: Figure
  /** Depth of the scratches it leaves, µm. */
  leaves: Figure
  /** How fast the surface goes by under it, m/min. */
  speed: Figure
}

/** A step that sands, traced; undefined for one that does not. `worked` is what the sanding model makes of it. */
export function gritTrace(plan: Plan, step: Step, before: Stage): { shown: GritTrace, worked: WorkedGrit } | undefined {
  if (!isGrit(step)) return undefined
  const { depth, says } = toTakeOff(step, before)
  const pass = gritPass(plan.inputs, step)
  const done = workGrit({ id: step.abrasive.id, pass }, depth, gritOverhead.value)
  const grain = grainFigure(step.abrasive)
  const coarser = gritBefore(plan, step)
  const { pieces, seconds, reaches } = done
  return {
    worked: done,
    shown: {
      grain,
      ...(coarser ? { jump: grainFigure(coarser.abrasive).value / grain.value } : {}),
      pieces,
      seconds,
      reaches,
      removes: worked('taken off', done.removes, 'µm', says, []),
      leaves: worked('scratches it leaves', done.leaves, 'µm', 'grain × scratch depth per grain size', [grain, scratchPart(pass.medium)]),
      speed: gritSpeed(plan.inputs, step),
    },
  }
}

/** What a grit is to take off, µm, and in words. */
function toTakeOff({ kind }: GritStep, { wood, film, filmScratch }: Stage): { depth: number, says: string } {
  switch (kind) {
    case 'sand': return { depth: deepest(wood), says: 'the deepest scratch before it' }
    case 'sand back': return { depth: film.mean + film.unevenness / 2, says: 'all of the film' }
    case 'level': case 'cut back': return { depth: film.unevenness, says: 'the unevenness, peak to valley' }
    case 'smooth': return { depth: filmScratch, says: 'the scratches before it' }
  }
}

/** The grit before it on the same surface; a levelling between coats and a cutting back begin anew. */
function gritBefore(plan: Plan, step: GritStep): GritStep | undefined {
  if (step.kind === 'cut back' || (step.kind === 'level' && step.phase === 'coat')) return undefined
  return stepsBefore(plan, step).filter(isGrit).findLast(one => one.phase === step.phase)
}
