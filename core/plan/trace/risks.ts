import { sandThrough } from '../../film'
import { thinnerFilm } from './stage'
import type { StepTrace } from './plan-trace'

/** Every levelling with the chance that it and the grits up to the next coat go through the film. */
export const withRisks = (steps: readonly StepTrace[]): StepTrace[] =>
  steps.map((one, index) => {
    if (one.step.kind !== 'level') return one
    const rest = steps.slice(index + 1).filter(later => later.step.apart === one.step.apart)
    const end = rest.findIndex(later => later.step.kind === 'coat' || later.step.kind === 'sand back')
    const last = (end < 0 ? rest : rest.slice(0, end)).at(-1) ?? one
    const which = thinnerFilm(one.before)
    const [film, left] = [one.before[which] ?? one.before.film, last.after[which] ?? last.after.film]
    return { ...one, risk: sandThrough(film, film.mean - left.mean) }
  })
