import { filmStep, noFilm, thinnest, type Film, type FilmStep } from '../../film'
import { afterGrit, freshSurface, type Surface, type WorkedGrit } from '../../sanding'
import type { CoatProduct } from '../../shelf'
import { coatAsFilm, levelAsFilm } from '../make'
import { startMarks, stepNature, type CoatStep, type MendId, type PlanInputs, type Step } from '../model'

/** The blank and its film at one moment of the plan; depths in µm. */
export interface Stage {
  /** The wood, with what scratches are still in it and how much was taken off. */
  wood: Surface
  /** The film over it. */
  film: Film
  /** The film where a defect was covered, thinner than elsewhere; absent while there is none. */
  spot?: Film
  /** What stands of each coat, from the wood outward. */
  stack: readonly StandingCoat[]
  /** Deepest scratch in the film since it was levelled, µm; 0 while it has only been coated. */
  filmScratch: number
  /** How many coats went on since the wood was bare. */
  coats: number
  /** How it stood before the coat that is on it now, while nothing else has touched that coat. */
  under?: Stage
}

/** A coat in the film. */
export interface StandingCoat {
  /** What it is of. */
  product: CoatProduct
  /** How much of it still stands, µm. */
  um: number
  /** The mend whose bared place it covers. */
  mends?: MendId
}

/** The blank as the tool leaves it, without a film. */
export const firstStage = ({ wishes }: PlanInputs): Stage => ({
  wood: freshSurface(wishes.tool, startMarks(wishes).value),
  film: noFilm,
  stack: [],
  filmScratch: 0,
  coats: 0,
})

/** The thinner of the films of a stage: where it was mended, or all over. */
export const thinnerFilm = ({ film, spot }: Stage): 'film' | 'spot' => (spot && thinnest(spot) < thinnest(film) ? 'spot' : 'film')

/** The stage after a step; `grit` is how it was sanded, where it was. */
export function stageAfter(inputs: PlanInputs, step: Step, before: Stage, grit: WorkedGrit | undefined): Stage {
  if (step.kind === 'take off') return before.under ?? before
  const { under: _, ...dry } = before
  if (step.kind === 'coat') return { ...coated(inputs, step, dry), under: dry }
  if (!grit) return stepNature[step.kind].surface === 'left' ? before : dry
  return sanded(inputs, step, dry, grit)
}

function sanded(inputs: PlanInputs, step: Step, before: Stage, grit: WorkedGrit): Stage {
  switch (step.kind) {
    case 'sand': return { ...before, wood: afterGrit(before.wood, grit) }
    case 'sand back': return step.whole ? bared(before, grit) : before
    case 'smooth': return sandedFilm({ kind: 'smooth', scratchBefore: before.filmScratch }, before, grit)
    case 'level': case 'cut back': return sandedFilm(levelAsFilm(inputs, step), before, grit)
    default: return before
  }
}

/** Down to the wood, which keeps the scratches of what bared it. */
const bared = ({ wood }: Stage, { rung, leaves }: WorkedGrit): Stage => ({
  wood: { scratches: [{ origin: rung.pass.origin, depth: leaves }], removed: wood.removed + leaves },
  film: noFilm,
  stack: [],
  filmScratch: 0,
  coats: 0,
})

function sandedFilm(sanding: FilmStep, before: Stage, { leaves }: WorkedGrit): Stage {
  const film = filmStep(before.film, sanding)
  return {
    ...before,
    film,
    ...(before.spot ? { spot: filmStep(before.spot, sanding) } : {}),
    stack: takenOff(before.stack, before.film.mean - film.mean),
    filmScratch: film.mean > 0 ? leaves : 0,
  }
}

/** A coat more. The first one over a sand-through begins a film of its own there, on bare wood. */
function coated(inputs: PlanInputs, { product, mends, ...step }: CoatStep, before: Stage): Stage {
  const coats = before.coats + 1
  const coat = coatAsFilm(inputs, { product, ...step }, before.stack.at(-1)?.product.id)
  if (!coat) return { ...before, coats }
  const begins = mends && !before.stack.some(one => one.mends === mends)
  const spot = begins ? noFilm : before.spot
  const stands: StandingCoat = { product, um: coat.product.build * coat.onTop, ...(mends ? { mends } : {}) }
  return {
    ...before,
    film: filmStep(before.film, coat),
    ...(spot ? { spot: filmStep(spot, coat) } : {}),
    filmScratch: 0,
    coats,
    stack: [...before.stack, stands],
  }
}

/** The coats that stand once so much (µm) was taken off from above. */
function takenOff(stack: readonly StandingCoat[], um: number): StandingCoat[] {
  const top = stack.at(-1)
  if (!top || um <= 0) return [...stack]
  const under = stack.slice(0, -1)
  return top.um > um ? [...under, { ...top, um: top.um - um }] : takenOff(under, um - top.um)
}
