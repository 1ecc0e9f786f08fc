import { coatsNeeded, filmAfter, type FilmStep } from '../../film'
import { scratchLeft, type Medium } from '../../sanding'
import type { PlanInputs, Product, ProductRole, ShelfAbrasive } from '../inputs'
import { levellingGrit, passOf, shelfLadder } from '../ladder'
import type { Step, StepOf } from '../plan'
import { glossForgives, leastFilm } from '../targets'
import { isResin, soakOnTop } from '../traits'

const FILM: Medium = { kind: 'film' }

type CoatStep = StepOf<'coat'>
type Barrels = Step['barrels']

/** The shelf's product for a role, if there is one. */
export const productFor = (inputs: PlanInputs, role: ProductRole): Product | undefined => inputs.shelf.products.find(product => product.role === role)

/** The wet ladder that levels a film of this unevenness (µm) and takes it to a high gloss: the levelling grit first. */
function filmLadder(inputs: PlanInputs, unevenness: number): ShelfAbrasive[] {
  const pass = (abrasive: ShelfAbrasive) => passOf(abrasive, FILM, inputs.fitting, inputs.method.speeds.level)
  const wet = inputs.shelf.abrasives.filter(abrasive => abrasive.wet)
  const level = levellingGrit(wet, unevenness, pass)
  if (!level) return []
  const finer = wet.filter(abrasive => pass(abrasive).grain < pass(level).grain)
  const { greatestJump } = inputs.method
  const polish = shelfLadder({
    from: scratchLeft(pass(level)), target: glossForgives.value, abrasives: finer, pass, greatestJump, firstGrain: pass(level).grain / greatestJump,
  })
  return [level, ...polish]
}

/** The coats of the thin-first school for a number of coats: thin to soak in, thin on top, medium last where there is some. */
function thinFirstCoats(inputs: PlanInputs, count: number, barrels: Barrels): CoatStep[] {
  const { method, material } = inputs
  const thin = productFor(inputs, 'thin CA')
  const medium = productFor(inputs, 'medium CA')
  const quick = Boolean(productFor(inputs, 'accelerator'))
  if (!thin) return []
  const soaks = isResin(material) ? 0 : Math.min(method.soakCoats, count)
  const mediums = medium && count > soaks + 1 ? Math.min(method.mediumCoats, count - soaks - 1) : 0
  return Array.from({ length: count }, (_, index) => {
    const number = index + 1
    const soak = number <= soaks
    const product = medium && number > count - mediums ? medium : thin
    return {
      id: `coat.${number}`, phase: 'coat', kind: 'coat', barrels, product, number, soak, accelerated: quick && !soak,
      ...(number > 1 ? { gate: { purpose: 'next coat', since: 'coat' } } : {}),
    } satisfies CoatStep
  })
}

/** A coat as the film model takes it. */
export function coatAsFilm(inputs: PlanInputs, coat: CoatStep): FilmStep {
  if (!coat.product.film) throw new Error(`${coat.product.name} builds no film, so it cannot be a coat.`)
  return { kind: 'coat', product: coat.product.film, onTop: coat.soak ? soakOnTop(inputs.material).value : 1, applicator: inputs.method.applicator }
}

/** Levelling and smoothing with these abrasives, as the film model takes them. */
function ladderAsFilm(inputs: PlanInputs, abrasives: readonly ShelfAbrasive[]): FilmStep[] {
  const leaves = abrasives.map(abrasive => scratchLeft(passOf(abrasive, FILM, inputs.fitting, inputs.method.speeds.level)))
  return leaves.map((scratch, index) => index === 0 ? { kind: 'level', scratch } : { kind: 'smooth', scratchBefore: leaves[index - 1]! })
}

/**
 * The steps of a CA film, thin first: as many coats as leave the film wanted at its thinnest place, the levelling grit that their unevenness asks for,
 * the wet ladder to a high gloss, and plastic polish where there is some.
 */
export function caFilmSteps(inputs: PlanInputs, barrels: Barrels): Step[] {
  if (!productFor(inputs, 'thin CA')) return []
  const ladderFor = (coats: readonly CoatStep[]) => filmLadder(inputs, unevennessOf(inputs, coats))
  const sequence = (count: number): FilmStep[] => {
    const coats = thinFirstCoats(inputs, count, barrels)
    return [...coats.map(coat => coatAsFilm(inputs, coat)), ...ladderAsFilm(inputs, ladderFor(coats))]
  }
  const { coats: count } = coatsNeeded(leastFilm(inputs.wishes.film).value, sequence, inputs.method.soakCoats + 1)
  const coats = thinFirstCoats(inputs, count, barrels)
  const sanding = ladderFor(coats).map((abrasive, index): Step => index === 0
    ? { id: `level.${abrasive.id}`, phase: 'level', kind: 'level', barrels, abrasive, gate: { purpose: 'level', since: 'coat' } }
    : { id: `smooth.${abrasive.id}`, phase: 'level', kind: 'smooth', barrels, abrasive })
  const polish = productFor(inputs, 'plastic polish')
  const polishing: Step[] = polish
    ? [{ id: 'polish', phase: 'level', kind: 'polish', barrels, product: polish, ...(sanding.length ? {} : { gate: { purpose: 'level', since: 'coat' } as const }) }]
    : []
  return [...coats, ...sanding, ...polishing]
}

const unevennessOf = (inputs: PlanInputs, coats: readonly CoatStep[]): number =>
  filmAfter(coats.map(coat => coatAsFilm(inputs, coat))).unevenness
