import { sandThrough, type Film } from '../../film'
import { evennessOf } from '../make'
import type { PlanInputs } from '../model'
import { thinnerFilm } from './stage'
import type { StepTrace } from './plan-trace'

/** A levelling with the grits up to the next coat: what it takes, of which film. */
export interface LevellingTrace {
  /** The levelling and what follows it, in their order. */
  steps: readonly [StepTrace, ...StepTrace[]]
  /** The film before it, where it is thinnest. */
  film: Film
  /** What all of them take of it, µm. */
  takes: number
}

/** Every levelling of a traced plan. */
export const levellingsOf = (steps: readonly StepTrace[]): LevellingTrace[] =>
  steps.flatMap((one, index) => (one.step.kind === 'level' ? [levellingFrom(one, steps.slice(index + 1))] : []))

function levellingFrom(one: StepTrace, later: readonly StepTrace[]): LevellingTrace {
  const rest = later.filter(each => each.step.apart === one.step.apart)
  const end = rest.findIndex(each => each.step.kind === 'coat' || each.step.kind === 'sand back')
  const steps: [StepTrace, ...StepTrace[]] = [one, ...(end < 0 ? rest : rest.slice(0, end))]
  const last = steps.at(-1) ?? one
  const which = thinnerFilm(one.before)
  const [film, left] = [one.before[which] ?? one.before.film, last.after[which] ?? last.after.film]
  return { steps, film, takes: film.mean - left.mean }
}

/** Every levelling with the chance that it and the grits up to the next coat go through the film. */
export function withRisks(inputs: PlanInputs, steps: readonly StepTrace[]): StepTrace[] {
  const risks = new Map(levellingsOf(steps).map(one => [one.steps[0], sandThrough(one.film, one.takes, evennessOf(inputs))]))
  return steps.map((one) => {
    const risk = risks.get(one)
    return risk ? { ...one, risk } : one
  })
}
