import { applicatorFactor, type Applicator, type FilmBuild } from './product'

/** A film on the wood; all in µm. */
export interface Film {
  /** Mean thickness, µm. */
  mean: number
  /** Standard deviation of the mean build, from coat to coat. */
  sd: number
  /** Peak to valley since it was last levelled. */
  unevenness: number
}

/**
 * One thing done to a film. `onTop` is the part of a coat that does not soak in, 0 to 1. `scratch` is the depth of scratches in µm. To
 * cut back is to level a thin coat lightly: it may go down to the wood, but never takes wood.
 */
export type FilmStep
  = | { kind: 'coat', product: Pick<FilmBuild, 'build' | 'unevenness'>, onTop: number, applicator: Applicator }
    | { kind: 'level' | 'cut back', scratch: number }
    | { kind: 'smooth', scratchBefore: number }

export const noFilm: Film = { mean: 0, sd: 0, unevenness: 0 }

/** Spread from coat to coat, as a part of its build [model]. */
export const COAT_SPREAD = 0.2
/** One-sided 95 % of a normal distribution. */
const Z95 = 1.645

/**
 * The film after one more step. A coat adds its build (what does not soak in), with spread and unevenness in quadrature. Levelling
 * takes the peaks (half the unevenness) and its own scratch depth, and leaves it even; each finer grit takes the depth of the scratches
 * before it. The scratches of the levelling grit are so counted twice, on the safe side.
 */
export function filmStep(film: Film, step: FilmStep): Film {
  switch (step.kind) {
    case 'coat': {
      const build = step.product.build * step.onTop
      return {
        mean: film.mean + build,
        sd: Math.hypot(film.sd, COAT_SPREAD * build),
        unevenness: Math.hypot(film.unevenness, step.product.unevenness * applicatorFactor[step.applicator]),
      }
    }
    case 'level':
      return { ...film, mean: film.mean - film.unevenness / 2 - step.scratch, unevenness: 0 }
    case 'cut back': {
      const mean = film.mean - film.unevenness / 2 - step.scratch
      return mean > 0 ? { ...film, mean, unevenness: 0 } : noFilm
    }
    case 'smooth':
      return { ...film, mean: film.mean - step.scratchBefore }
  }
}

/** The film after a sequence of steps on bare wood. */
export function filmAfter(steps: readonly FilmStep[]): Film {
  return steps.reduce(filmStep, noFilm)
}

/** The film that is there at the thinnest place with 95 % certainty, µm; below 0 means the wood is likely reached. */
export function thinnest(film: Film): number {
  return film.mean - Z95 * film.sd
}
