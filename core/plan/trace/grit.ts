import { grainFigure } from '../../abrasives'
import { given, worked, type Figure } from '../../figures'
import { deepest, fresh, lifeUsed, scratchPart, type WorkedGrit } from '../../sanding'
import { gritSpeed, workedGrit } from '../make'
import { isGrit, startMarks, stepsBefore, type GritStep, type Plan, type Step } from '../model'
import type { Stage } from './stage'

/** A grit of a plan: what it takes and leaves, how, and how it stands to the one before it. */
export interface GritTrace {
  /** Its grain, µm. */
  grain: Figure
  /** How many times finer than the grit before it on the same surface; absent for the first. */
  jump?: number
  /** Pieces it takes; of a pad, how often it is taken up rinsed. */
  pieces: number
  /** Seconds on the paper, all pieces together. */
  seconds: number
  /** What that takes of the lives of fresh pieces, in pieces: the depth it takes off over what a fresh one can. A pad is rinsed: 0. */
  uses: number
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
  const done = workedGrit(plan.inputs, step, toTakeOff(step, before))
  const { medium, pad } = done.rung.pass
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
      uses: pad ? 0 : done.times.reduce((sum, time) => sum + lifeUsed(fresh(done.rung.pass), time), 0),
      reaches,
      removes: takenOff(plan, step, before, done),
      leaves: worked('scratches it leaves', done.leaves, 'µm', 'grain × scratch depth per grain size', [grain, scratchPart(medium, pad)]),
      speed: gritSpeed(plan.inputs, step),
    },
  }
}

/** What a grit is to take off, µm. */
function toTakeOff({ kind }: GritStep, { wood, film, filmScratch }: Stage): number {
  switch (kind) {
    case 'sand': return deepest(wood)
    case 'sand back': return film.mean + film.unevenness / 2
    case 'level': case 'cut back': return film.unevenness
    case 'smooth': return filmScratch
  }
}

const CAN = { mark: 'model' as const, note: 'nine tenths of what one piece takes off before it is dull; a few strokes take what they can' }

/** What it takes off, with what that is: all that stood before it, or as much of it as the grit can. */
function takenOff({ inputs }: Plan, step: GritStep, before: Stage, { removes }: WorkedGrit): Figure {
  const stood = stoodBefore(inputs.wishes, step, before)
  return removes >= stood.value - 1e-9
    ? worked('taken off', removes, 'µm', 'all that stood before it', [stood])
    : worked('taken off', removes, 'µm', 'as much of it as this grit can', [stood, given('this grit can', removes, 'µm', CAN)])
}

/** What stands before it, as the steps before it left it. */
function stoodBefore(wishes: Plan['inputs']['wishes'], step: GritStep, { wood, film, filmScratch }: Stage): Figure {
  const left = (label: string, um: number) => given(label, um, 'µm', { mark: 'model', note: 'as the steps before it left it' })
  switch (step.kind) {
    case 'sand': return wood.removed === 0 ? startMarks(wishes) : left('deepest scratch before it', deepest(wood))
    case 'sand back': return worked('all of the film', film.mean + film.unevenness / 2, 'µm', 'mean + half the unevenness', [
      left('film, mean', film.mean),
      given('half the unevenness', film.unevenness / 2, 'µm', { mark: 'model' }),
    ])
    case 'level': case 'cut back': return left('unevenness, peak to valley', film.unevenness)
    case 'smooth': return left('scratches before it', filmScratch)
  }
}

/** The grit before it on the same surface; a levelling between coats and a cutting back begin anew. */
function gritBefore(plan: Plan, step: GritStep): GritStep | undefined {
  if (step.kind === 'cut back' || (step.kind === 'level' && step.phase === 'coat')) return undefined
  return stepsBefore(plan, step).filter(isGrit).findLast(one => one.phase === step.phase)
}
