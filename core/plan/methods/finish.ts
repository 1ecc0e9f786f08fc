import { grainSize } from '../../abrasives'
import { coatsNeeded } from '../../film'
import type { PlanInputs, ShelfAbrasive } from '../inputs'
import { hasFilm } from '../method'
import type { Step } from '../plan'
import { depthOf, depthPart, leastFilm } from '../targets'
import { coatsSince, coatSteps, growingRange, plannedCoats, type PlannedCoat } from './coats'
import { layersFor } from './layers'
import { cutBackGrit, filmSteps, levelGritFor, polishLadder } from './levelling'
import { productFor } from './products'

/** Fine pads that wipe-on finishes are cut back with between coats, µm [trade: fine pads, lightly]. */
const FINE_PAD = 9

/**
 * The steps of the method's finish: its coats as the material and the shelf have them, levelled when the method says, the wet ladder to its sheen and its polishes. Where the finish is a film there are as many coats as leave the film wanted at
 * its thinnest place; else as many of the usual number as the depth wished asks. `lastGrit` is the last one on the bare blank, which cuts sealers back.
 */
export function finishSteps(inputs: PlanInputs, barrels: Step['barrels'], lastGrit: ShelfAbrasive | undefined): Step[] {
  const { layers } = layersFor(inputs)
  const { method } = inputs
  const every = typeof method.levelling === 'number' ? method.levelling : 0
  const cutBack = ({ product }: PlannedCoat) => cutBackGrit(inputs, product.role === 'sanding sealer' && lastGrit ? grainSize(lastGrit.scale, lastGrit.mark) : FINE_PAD)
  const ladders = new Map<string, readonly ShelfAbrasive[]>()
  const ladderAfter = (level: ShelfAbrasive) => {
    const known = ladders.get(level.id) ?? polishLadder(inputs, level)
    ladders.set(level.id, known)
    return known
  }
  const stepsFor = (growing: number): Step[] => {
    const coats = coatSteps(inputs, plannedCoats(inputs, layers, growing), barrels, every, cutBack, since => levelGritFor(inputs, since))
    const level = method.levelling === 'never' || !coats.length ? undefined : levelGritFor(inputs, coatsSince(coats))
    if (!level) return coats
    return [
      ...coats,
      { id: `level.${level.id}`, phase: 'level', kind: 'level', barrels, abrasive: level, gate: { purpose: 'level', since: 'coat' } },
      ...ladderAfter(level).map((abrasive): Step => ({ id: `smooth.${abrasive.id}`, phase: 'level', kind: 'smooth', barrels, abrasive })),
    ]
  }
  const steps = stepsFor(growth(inputs, growing => stepsFor(growing), growingRange(layers)))
  return [...steps, ...polishes(inputs, barrels, steps)]
}

/** How many coats the growing layer has: as the film or the depth wished asks, within its range. */
function growth(inputs: PlanInputs, stepsFor: (growing: number) => Step[], range: { least: number, most: number } | undefined): number {
  if (!range) return 0
  const { least, most } = range
  if (!hasFilm(inputs.method)) return least + Math.round(depthPart(depthOf(inputs.wishes)) * (most - least))
  return coatsNeeded(leastFilm(inputs).value, growing => filmSteps(inputs, stepsFor(growing)), least, most).coats
}

function polishes(inputs: PlanInputs, barrels: Step['barrels'], before: readonly Step[]): Step[] {
  const roles = (['plastic polish', 'fine polish'] as const).slice(0, inputs.method.polishes)
  const found = roles.flatMap(role => productFor(inputs, role) ?? [])
  const levelled = before.some(step => step.kind === 'level' && step.phase === 'level')
  const waits = before.some(step => step.kind === 'coat') && !levelled
  return found.map((product, index): Step => ({
    id: product.role === 'plastic polish' ? 'polish' : 'polish.fine', phase: 'level', kind: 'polish', barrels, product, ...(index === 0 && waits ? { gate: { purpose: 'level', since: 'coat' } } : {}),
  }))
}
