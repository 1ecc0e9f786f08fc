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
 * One thing done to a film. `onTop` is the part of a coat that does not soak in, 0 to 1. `scratch` is the depth of scratches in µm.
 * `takes` says how much of an unevenness (µm) the grit takes off: all of it where it is absent. To cut back is to go over a thin coat
 * lightly: it may go down to the wood, but never takes wood.
 */
export type FilmStep
  = | { kind: 'coat', product: Pick<FilmBuild, 'build' | 'unevenness'>, onTop: number, applicator: Applicator }
    | { kind: 'level' | 'cut back', scratch: number, takes?: (unevenness: number) => number }
    | { kind: 'smooth', scratchBefore: number }

export const noFilm: Film = { mean: 0, sd: 0, unevenness: 0 }

/** Spread from coat to coat, as a part of its build [model]. */
export const COAT_SPREAD = 0.2
/** One-sided 95 % of a normal distribution. */
const Z95 = 1.645

/**
 * The film after one more step. A coat adds its build (what does not soak in), with spread and unevenness in quadrature. Levelling
 * takes the peaks (half the unevenness, or less where it does not reach the valleys) and its own scratch depth, and leaves what it does
 * not reach; each finer grit takes the depth of the scratches before it. The scratches of the levelling grit are so counted twice, on
 * the safe side.
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
      return levelled(film, step)
    case 'cut back': {
      const left = levelled(film, step)
      return left.mean > 0 ? left : noFilm
    }
    case 'smooth':
      return { ...film, mean: film.mean - step.scratchBefore }
  }
}

/** Without its peaks: of heights that lie evenly between valley and peak, so much is gone on the mean when `off` µm are cut from above. */
function levelled(film: Film, { scratch, takes }: Extract<FilmStep, { kind: 'level' | 'cut back' }>): Film {
  const { unevenness } = film
  const off = Math.min(unevenness, takes?.(unevenness) ?? unevenness)
  const peaks = unevenness > 0 ? off ** 2 / (2 * unevenness) : 0
  return { ...film, mean: film.mean - peaks - scratch, unevenness: unevenness - off }
}

/** The film after a sequence of steps on bare wood. */
export function filmAfter(steps: readonly FilmStep[]): Film {
  return steps.reduce(filmStep, noFilm)
}

/**
 * The film that is there at the thinnest place with 95 % certainty, µm: in a valley of what was not levelled. Below 0 means the wood is
 * likely reached.
 */
export function thinnest(film: Film): number {
  return film.mean - film.unevenness / 2 - Z95 * film.sd
}
