import { coatsNeeded } from '../../film'
import { growingRange, hasFilm } from '../../method'
import { grainOf, productFor, type ShelfAbrasive } from '../../shelf'
import { depthOf, depthPart, leastFilm, type PlanInputs, type Step } from '../model'
import { filmSteps } from './as-film'
import { coatsSince, coatSteps, plannedCoats, type Sanded } from './coats'
import { polishLadder } from './film-ladder'
import { layersFor } from './layers'
import { cutBackGrit, levelGritFor } from './levelling'

/** Fine pads that wipe-on finishes are cut back with between coats, µm [trade: fine pads, lightly]. */
const FINE_PAD = 9

type Barrels = Step['barrels']

/**
 * The steps of the method's finish: its coats as the material and the shelf have them, levelled when the method says, the wet ladder to
 * its sheen and its polishes. Where the finish is a film there are as many coats as leave the film wanted at its thinnest place; else
 * as many of the usual number as the depth wished asks. `lastGrit` is the last one on the bare blank, which cuts sealers back.
 */
export function finishSteps(inputs: PlanInputs, barrels: Barrels, lastGrit: ShelfAbrasive | undefined): Step[] {
  const { layers } = layersFor(inputs)
  const levelling = hasFilm(inputs.method) ? inputs.method.levelling : 'never'
  const sanded: Sanded = {
    every: typeof levelling === 'number' ? levelling : 0,
    cutBackWith: ({ product }) => cutBackGrit(inputs, product.role === 'sanding sealer' && lastGrit ? grainOf(lastGrit) : FINE_PAD),
    levelWith: since => levelGritFor(inputs, since),
  }
  const levelled = levelledIn(inputs, barrels)
  const stepsFor = (growing: number): Step[] => {
    const coats = coatSteps(inputs, plannedCoats(inputs, layers, growing), barrels, sanded)
    return [...coats, ...levelled(coats)]
  }
  const steps = stepsFor(growth(inputs, stepsFor, growingRange(layers)))
  return [...steps, ...polishes(inputs, barrels, steps)]
}

/** The last levelling of these coats and the ladder after it; a ladder is searched for once, however many counts of coats are tried. */
function levelledIn(inputs: PlanInputs, barrels: Barrels): (coats: readonly Step[]) => Step[] {
  const ladders = new Map<string, readonly ShelfAbrasive[]>()
  const ladderAfter = (level: ShelfAbrasive) => {
    const known = ladders.get(level.id) ?? polishLadder(inputs, level)
    ladders.set(level.id, known)
    return known
  }
  return (coats) => {
    const isLevelled = inputs.method.levelling !== 'never' && hasFilm(inputs.method) && coats.length > 0
    const level = isLevelled ? levelGritFor(inputs, coatsSince(coats)) : undefined
    if (!level) return []
    return [
      { id: `level.${level.id}`, phase: 'level', kind: 'level', barrels, abrasive: level, gate: { purpose: 'level', since: 'coat' } },
      ...ladderAfter(level).map((abrasive): Step => ({ id: `smooth.${abrasive.id}`, phase: 'level', kind: 'smooth', barrels, abrasive })),
    ]
  }
}

/** How many coats the growing layer has: as the film or the depth wished asks, within its range. */
function growth(inputs: PlanInputs, stepsFor: (growing: number) => Step[], range: { least: number, most: number } | undefined): number {
  if (!range) return 0
  const { least, most } = range
  if (!hasFilm(inputs.method)) return least + Math.round(depthPart(depthOf(inputs.wishes)) * (most - least))
  return coatsNeeded(leastFilm(inputs).value, growing => filmSteps(inputs, stepsFor(growing)), least, most).coats
}

/** The names of the polishes, the cutting one first. */
const POLISHES = [{ role: 'plastic polish', id: 'polish' }, { role: 'fine polish', id: 'polish.fine' }] as const

function polishes(inputs: PlanInputs, barrels: Barrels, before: readonly Step[]): Step[] {
  const levelled = before.some(step => step.kind === 'level' && step.phase === 'level')
  const waits = before.some(step => step.kind === 'coat') && !levelled
  const found = POLISHES.slice(0, inputs.wishes.polishes ?? inputs.method.polishes).flatMap(({ role, id }) => {
    const product = productFor(inputs, role)
    return product ? [{ id, product }] : []
  })
  return found.map(({ id, product }, index): Step => ({
    id,
    phase: 'level',
    kind: 'polish',
    barrels,
    product,
    ...(index === 0 && waits ? { gate: { purpose: 'level', since: 'coat' } } : {}),
  }))
}
