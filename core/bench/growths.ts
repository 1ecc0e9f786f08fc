import type { Growth } from '../film'
import { coatAsFilm, trace, type Plan, type StepOf } from '../plan'
import { leftOut, replay, type BenchState, type MeasuredDiameter } from './replay'
import type { BenchEvent } from './event'

/** Two readings nearer than this along a barrel are of the same place, mm. */
const SAME_PLACE = 1

/**
 * What a pen's log tells about how its coats build: for every two readings of a place with nothing between them but coats, how the radius grew. Places that were measured between the same coats count as
 * one growth, their mean. Half of what became more uneven is taken off, since a calliper lies on the peaks. `name` names the pen in what is set aside.
 */
export function buildGrowths(planned: Plan, events: Iterable<BenchEvent>, name: string): Growth[] {
  const state = replay(planned, events)
  const readings = state.measured
  const found = new Map<string, { coats: StepOf<'coat'>[], growths: number[] }>()
  readings.forEach((after, index) => {
    const before = readings.slice(0, index).findLast(one => one.barrel === after.barrel && Math.abs(one.fromTip - after.fromTip) <= SAME_PLACE)
    const coats = before && onlyCoats(state, before, after)
    if (!coats?.length) return
    const key = coats.map(coat => coat.id).join(' ')
    const kept = found.get(key) ?? { coats, growths: [] }
    kept.growths.push((after.diameter - before!.diameter) / 2 * 1000)
    found.set(key, kept)
  })
  const traced = found.size ? trace(state.plan, leftOut(state.steps)).steps : []
  const stage = (id: string) => traced.find(one => one.step.id === id)!
  return [...found.values()].map(({ coats, growths }): Growth => {
    const [first, last] = [coats[0]!, coats.at(-1)!]
    const counts: Record<string, number> = {}
    for (const coat of coats) counts[coat.product.id] = (counts[coat.product.id] ?? 0) + coatAsFilm(state.plan.inputs, coat)!.onTop
    const rougher = stage(last.id).after.film.unevenness - stage(first.id).before.film.unevenness
    const mean = growths.reduce((sum, one) => sum + one, 0) / growths.length
    return { id: `${name}, ${first === last ? placeOf(first) : `${placeOf(first)} to ${last.number}`}`, coats: counts, growth: mean - rougher / 2, places: growths.length }
  })
}

const placeOf = ({ number }: StepOf<'coat'>): string => `coat ${number}`

/** The coats put on between two readings; undefined when anything else touched the surface there, or what was put on builds no film. */
function onlyCoats({ steps, plan }: BenchState, before: MeasuredDiameter, after: MeasuredDiameter): StepOf<'coat'>[] | undefined {
  const between = steps.filter(({ status, at, step }) => status === 'done' && at! > before.at && at! <= after.at && step.barrels.includes(after.barrel)).map(one => one.step)
  const coats = between.filter((step): step is StepOf<'coat'> => step.kind === 'coat')
  const touched = between.some(step => 'abrasive' in step || ['turn', 'flush', 'wipe off', 'buff'].includes(step.kind))
  return touched || coats.some(coat => !coatAsFilm(plan.inputs, coat)) ? undefined : coats
}
