import type { FilmStep } from '../../film'
import { soakOnTop } from '../../shelf'
import { buildOf, wipedOff, type CoatStep, type GritStep, type PlanInputs, type Step } from '../model'
import { workedGrit } from './worked-grit'

/** A coat as the film model takes it, over what is already on (`under`, by its id); undefined for what builds no film. */
export function coatAsFilm(
  inputs: PlanInputs, { product, soak, applicator }: CoatStep, under?: string,
): Extract<FilmStep, { kind: 'coat' }> | undefined {
  const { film } = product
  if (!film) return undefined
  const later = under === product.id ? (film.later ?? 1) : 1
  return {
    kind: 'coat',
    product: { build: buildOf(inputs, product).value, unevenness: film.unevenness },
    onTop: later * (soak ? soakOnTop(inputs.material).value : 1),
    applicator,
  }
}

/** A run of steps as the film model takes it. */
export function filmSteps(inputs: PlanInputs, steps: readonly Step[]): FilmStep[] {
  let scratchBefore = 0
  let under: string | undefined
  const off = wipedOff(steps)
  return steps.flatMap((step): FilmStep[] => {
    if (off.has(step.id)) return []
    if (step.kind === 'coat') {
      scratchBefore = 0
      const coat = coatAsFilm(inputs, step, under)
      under = step.product.id
      return coat ? [coat] : []
    }
    if (step.kind !== 'level' && step.kind !== 'smooth' && step.kind !== 'cut back') return []
    const before = scratchBefore
    scratchBefore = workedGrit(inputs, step, 0).leaves
    return [step.kind === 'smooth' ? { kind: 'smooth', scratchBefore: before } : levelAsFilm(inputs, step)]
  })
}

/** A levelling or a cutting back as the film model takes it. */
export const levelAsFilm = (inputs: PlanInputs, step: GritStep & { kind: 'level' | 'cut back' }): FilmStep => ({
  kind: step.kind,
  scratch: workedGrit(inputs, step, 0).leaves,
  takes: unevenness => workedGrit(inputs, step, unevenness).removes,
})
