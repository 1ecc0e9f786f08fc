import { given, worked, type Figure } from '../figures'
import type { FilmWish, PlanInputs, Wishes } from './inputs'
import { filmPart, hasFilm, type Method, type Sheen } from './method'

const FORGIVES: Record<Sheen, number> = { 'glass': 0.8, 'high gloss': 1.5, 'gloss': 3, 'satin': 8 }

/** Deepest scratch that does not show in a surface of this sheen, µm. */
export const forgives = (sheen: Sheen): Figure => given(`deepest scratch a ${sheen === 'glass' ? 'glass-like polish' : sheen} hides`, FORGIVES[sheen], 'µm', { mark: 'model', note: 'starting value' })

/** Deepest scratch in bare wood that a gloss film over it hides, µm: that of P600, where one school stops. */
export const filmHides: Figure = given('deepest scratch in the wood that a film over it hides', 8, 'µm', { mark: 'trade', note: 'common practice: P600 is enough under a film; others go on to P2000' })

/** The depth that each wish stands for, as the least film of a CA finish, µm. */
export const DEPTHS: Record<FilmWish, number> = { gloss: 40, close: 20 }
/** How far the depth can be moved, µm: barely there to very deep. */
export const depthRange = { least: 10, most: 80 } as const

/** How deep the finish is wanted, as the least film of a CA finish, µm. */
export const depthOf = ({ depth, film }: Pick<Wishes, 'depth' | 'film'>): number => depth ?? DEPTHS[film]

/** Where a depth stands between barely there (0) and very deep (1): its ratio counts, as to the eye. */
export const depthPart = (um: number): number => Math.min(1, Math.max(0, Math.log(um / depthRange.least) / Math.log(depthRange.most / depthRange.least)))

/** Deepest scratch that bare sanding may leave, µm: as the turner chose, what a film over it hides, or what the sheen of the bare surface does. */
export function mayLeave({ wishes, method }: { wishes: Pick<Wishes, 'leave'>, method: Method }): Figure {
  if (wishes.leave !== undefined) return given('deepest scratch that may be left', wishes.leave, 'µm')
  return hasFilm(method) ? filmHides : forgives(method.sheen)
}

/** Least film wanted at the thinnest place once all is polished, µm; 0 for a finish without a film. */
export function leastFilm({ wishes, method }: Pick<PlanInputs, 'wishes' | 'method'>): Figure {
  const part = filmPart(method)
  const depth = depthOf(wishes)
  const wished = wishes.depth === undefined
    ? given(wishes.film === 'gloss' ? 'least film for a deep gloss' : 'least film, close to the wood', depth, 'µm', { mark: 'model', note: 'starting value' })
    : given('least film as chosen', depth, 'µm')
  if (part === 1) return wished
  return worked('least film', depth * (part ?? 0), 'µm', part ? 'what is looked for in a CA film × part for this finish' : 'this finish has no film', [wished, given('part for this finish', part ?? 0, '×', { mark: 'model', note: 'starting value' })])
}

/** Change of paper, with-grain pass, wipe and look, s for each grit. */
export const gritOverhead: Figure = given('change, with-grain pass, wipe, look', 25, 's', { mark: 'model', note: 'starting value' })
