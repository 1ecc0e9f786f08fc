import type { Growth } from '../film'
import { coatAsFilm, stepNature, type CoatStep } from '../plan'
import type { Board } from './board'
import { isDone, type BenchState, type MeasuredDiameter } from './replay'

/** Two readings nearer than this along a barrel are of the same place, mm. */
const SAME_PLACE = 1

/** A growth, when the later of its readings was made, ISO 8601, and what the plan had reckoned with, µm. */
export type DatedGrowth = Growth & { at: string, planned: number }

/** Coats that stand between readings, the first and the last among them, and the growths of the radius there, µm. */
interface Grown {
  coats: readonly [CoatStep, ...CoatStep[]]
  growths: readonly number[]
  at: string
}

/**
 * What a pen's log tells about how its coats build: for every two readings of a place with nothing between them but coats, how the
 * radius grew. Places that were measured between the same coats count as one growth, their mean. Half of what became more uneven is
 * taken off, since a calliper lies on the peaks. `name` names the pen in what is set aside; `until` (ISO 8601) leaves out what came
 * after.
 */
export function buildGrowths({ state, traced }: Board, name: string, until = '9'): DatedGrowth[] {
  const readings = state.measured.filter(one => one.at <= until)
  const found = new Map<string, Grown>()
  readings.forEach((after, index) => {
    const before = readings.slice(0, index).findLast(one => isSamePlace(one, after))
    const coats = before && onlyCoats(state, before, after)
    if (!before || !coats) return
    const key = coats.map(coat => coat.id).join(' ')
    const growth = ((after.diameter - before.diameter) / 2) * 1000
    found.set(key, { coats, growths: [...(found.get(key)?.growths ?? []), growth], at: after.at })
  })
  return [...found.values()].map(({ coats, growths, at }): DatedGrowth => {
    const mean = growths.reduce((sum, one) => sum + one, 0) / growths.length
    return {
      id: `${name}, ${rangeOf(coats)}`,
      coats: countsOf(state, coats),
      growth: mean - grown(traced, coats, 'unevenness') / 2,
      planned: grown(traced, coats, 'mean'),
      places: growths.length,
      at,
    }
  })
}

const isSamePlace = (one: MeasuredDiameter, other: MeasuredDiameter): boolean =>
  one.barrel === other.barrel && Math.abs(one.fromTip - other.fromTip) <= SAME_PLACE

function rangeOf(coats: Grown['coats']): string {
  const [first, last] = [coats[0], coats.at(-1) ?? coats[0]]
  return first === last ? `coat ${first.number}` : `coat ${first.number} to ${last.number}`
}

/** Coats by their product, less what soaked in. */
function countsOf({ plan }: BenchState, coats: readonly CoatStep[]): Record<string, number> {
  const counts: Record<string, number> = {}
  for (const coat of coats) counts[coat.product.id] = (counts[coat.product.id] ?? 0) + (coatAsFilm(plan.inputs, coat)?.onTop ?? 0)
  return counts
}

/** By how much more film there is, or how much more uneven it is, after these coats as the plan has it, µm. */
function grown({ steps }: Board['traced'], coats: Grown['coats'], which: 'mean' | 'unevenness'): number {
  const [first, last] = [coats[0].id, (coats.at(-1) ?? coats[0]).id]
  const before = steps.find(one => one.step.id === first)?.before.film[which] ?? 0
  const after = steps.find(one => one.step.id === last)?.after.film[which] ?? before
  return after - before
}

/**
 * The coats put on between two readings; undefined when there are none, when anything else touched the surface there, or when what was
 * put on builds no film.
 */
function onlyCoats({ steps, plan }: BenchState, before: MeasuredDiameter, after: MeasuredDiameter): Grown['coats'] | undefined {
  const between = steps.filter(isDone).filter(({ at, step }) => at > before.at && at <= after.at && step.barrels.includes(after.barrel))
  if (between.some(({ step }) => stepNature[step.kind].surface === 'rubbed')) return undefined
  const [first, ...rest] = between.flatMap(({ step }) => (step.kind === 'coat' ? [step] : []))
  return first && [first, ...rest].every(coat => coatAsFilm(plan.inputs, coat)) ? [first, ...rest] : undefined
}
