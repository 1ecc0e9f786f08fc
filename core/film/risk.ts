import { errorFunction } from 'simple-statistics'
import type { Film } from './film'

/** How much more is taken at an edge than on the open barrel: the paper leans on it [model]. */
export const EDGE_FACTOR = 2

/** The chance, 0 to 1, that a sanding goes through the film. */
export interface SandThrough {
  /** Anywhere on the open barrel, as the handbook's model has it. */
  open: number
  /** At an edge or end, where about twice as much is taken. */
  edges: number
}

/** The chance that the film is thinner at a place than what a sanding takes there (µm), 0 to 1. */
export function sandThroughChance(film: Film, takes: number): number {
  if (film.sd <= 0) return film.mean < takes ? 1 : 0
  return below((takes - film.mean) / film.sd)
}

/** The chance of a sand-through where a levelling and the grits that follow it take so much (µm) of a film. */
export const sandThrough = (film: Film, takes: number): SandThrough => ({
  open: sandThroughChance(film, takes),
  edges: sandThroughChance(film, EDGE_FACTOR * takes),
})

/** Standard normal distribution; within the accuracy of the package's error function (about 1e-7) of 0 or 1 it is held there. */
function below(z: number): number {
  const value = (1 + errorFunction(z / Math.SQRT2)) / 2
  return value < 1e-6 ? 0 : value > 1 - 1e-6 ? 1 : value
}
