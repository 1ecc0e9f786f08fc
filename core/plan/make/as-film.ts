import type { FilmStep } from '../../film'
import { scratchLeft } from '../../sanding'
import { soakOnTop } from '../../shelf'
import { buildOf, type CoatStep, type PlanInputs, type Step } from '../model'
import { gritPass } from './pass'

/** A coat as the film model takes it; undefined for what builds no film. */
export function coatAsFilm(inputs: PlanInputs, { product, soak, applicator }: CoatStep): Extract<FilmStep, { kind: 'coat' }> | undefined {
  const { film } = product
  if (!film) return undefined
  return {
    kind: 'coat',
    product: { build: buildOf(inputs, product).value, unevenness: film.unevenness },
    onTop: soak ? soakOnTop(inputs.material).value : 1,
    applicator,
  }
}

/** A run of steps as the film model takes it. */
export function filmSteps(inputs: PlanInputs, steps: readonly Step[]): FilmStep[] {
  let scratchBefore = 0
  return steps.flatMap((step): FilmStep[] => {
    if (step.kind === 'coat') {
      scratchBefore = 0
      const coat = coatAsFilm(inputs, step)
      return coat ? [coat] : []
    }
    if (step.kind !== 'level' && step.kind !== 'smooth' && step.kind !== 'cut back') return []
    const before = scratchBefore
    scratchBefore = scratchLeft(gritPass(inputs, step))
    return [step.kind === 'smooth' ? { kind: 'smooth', scratchBefore: before } : { kind: step.kind, scratch: scratchBefore }]
  })
}
