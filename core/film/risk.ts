import { errorFunction } from 'simple-statistics'
import type { Film } from './film'

/** How evenly a turner’s barrels and hands are, as far as a sand-through goes. */
export interface Evenness {
  /** How far the wood is from round, with its high spots, µm, standard deviation. */
  wood: number
  /** How many times what it must a levelling takes on the mean: hands go on after the shiny spots are gone. */
  over: number
}

/** Wood that is not round or has high spots: R 6 µm, and 10 where it is soft, has resin in it or runs every way [model]. */
export const WOOD_EVEN = 6
export const WOOD_UNEVEN = 10
/** Sanding on after the shiny spots are gone takes this many times what it must, in the middle of all cases [model]. */
export const OVER = 1.1
/** The spread of that, of its logarithm [model]. */
export const OVER_SPREAD = 0.25
/** A coat is laid thinner along one stretch of the barrel, the same one in every coat: a standard deviation of its mean [model]. */
export const LAID = 0.12
/** At a sharp end the film lies thinner, and more is taken: the paper leans on it [model]. */
export const ENDS = { film: 0.85, taken: 1.4 }

/** The chance, 0 to 1, that a sanding goes through the film. */
export interface SandThrough {
  /** Anywhere on the open barrel. */
  open: number
  /** At an edge or end, where the film is thinner and more is taken. */
  edges: number
}

/**
 * The chance that the film is thinner somewhere than what a sanding takes there (µm), 0 to 1: it is laid unevenly along the barrel, coats
 * differ by chance, the wood is not round, and hands take more than they must by a factor that is lognormal.
 */
export function sandThroughChance({ mean, sd }: Film, takes: number, { wood, over }: Evenness): number {
  if (takes <= 0) return 0
  const spread = Math.hypot(sd, LAID * mean, wood)
  const chances = NODES.map(({ z, weight }) => weight * below((takes * over * Math.exp(OVER_SPREAD * z) - mean) / spread))
  return Math.min(1, chances.reduce((sum, one) => sum + one, 0))
}

/** The chance of a sand-through where a levelling and the grits that follow it take so much (µm) of a film. */
export const sandThrough = (film: Film, takes: number, evenness: Evenness): SandThrough => ({
  open: sandThroughChance(film, takes, evenness),
  edges: edgesChance(film, takes, evenness),
})

/** The same at an edge or end alone. */
export const edgesChance = (film: Film, takes: number, evenness: Evenness): number =>
  sandThroughChance({ ...film, mean: ENDS.film * film.mean }, ENDS.taken * takes, evenness)

/** Places and weights of a normal distribution for a sum in the place of an integral, half a deviation apart from -3.5 to 3.5. */
const NODES = nodes(15, 3.5)
function nodes(count: number, reach: number): { z: number, weight: number }[] {
  const places = Array.from({ length: count }, (_, index) => reach * ((2 * index) / (count - 1) - 1))
  const all = places.map(z => ({ z, weight: Math.exp(-(z ** 2) / 2) }))
  const sum = all.reduce((total, one) => total + one.weight, 0)
  return all.map(({ z, weight }) => ({ z, weight: weight / sum }))
}

/** Standard normal distribution. */
const below = (z: number): number => Math.min(1, Math.max(0, (1 + errorFunction(z / Math.SQRT2)) / 2))
