import { normals } from '../chance'
import type { Outcome, Playable } from './play'

/** Figures of an outcome that are told by how they spread, and those of which it is told how often they are so. */
export const spreads = ['hands', 'ready', 'film', 'taken', 'scratch'] as const
/** One of them. */
export type SpreadName = (typeof spreads)[number]
/** See `spreads`. */
export const hazards = ['through', 'throughEdges', 'soft', 'shows'] as const
/** One of them. */
export type HazardName = (typeof hazards)[number]

/** How a figure spreads over many runs. */
export interface Spread {
  /** One run in twenty is below it. */
  low: number
  /** Half of them are. */
  middle: number
  /** One in twenty is above it. */
  high: number
  /** On the mean. */
  mean: number
}

/** What many runs came to. */
export interface Played extends Record<SpreadName, Spread>, Record<HazardName, number> {
  /** How many there were. */
  runs: number
}

/**
 * Plays a plan so many times, telling after every `every` runs what all so far came to. The same seed gives the same.
 * @throws RangeError for no runs
 */
export function* playing({ size, play }: Playable, runs: number, { seed = 1, every = 500 } = {}): Generator<Played, undefined> {
  if (!(runs >= 1)) throw new RangeError('There should be one run at the least.')
  const next = normals(seed)
  const x = new Float64Array(size)
  const all = Object.fromEntries(spreads.map(name => [name, new Float64Array(runs)])) as Record<SpreadName, Float64Array>
  const hits: Record<HazardName, number> = { through: 0, throughEdges: 0, soft: 0, shows: 0 }
  for (let run = 0; run < runs; run++) {
    for (let place = 0; place < size; place++) x[place] = next()
    const outcome: Outcome = play(x)
    for (const name of spreads) all[name][run] = outcome[name]
    for (const name of hazards) hits[name] += outcome[name]
    if ((run + 1) % every === 0 || run + 1 === runs) yield told(all, hits, run + 1)
  }
}

/** The same, told once. */
export function playMany(of: Playable, runs: number, seed = 1): Played {
  let last: Played | undefined
  for (const played of playing(of, runs, { seed, every: runs })) last = played
  if (!last) throw new RangeError('There should be one run at the least.')
  return last
}

function told(all: Record<SpreadName, Float64Array>, hits: Record<HazardName, number>, runs: number): Played {
  const spread = (values: Float64Array): Spread => {
    const sorted = values.slice(0, runs).sort()
    const at = (part: number) => sorted[Math.min(runs - 1, Math.floor(part * runs))] ?? 0
    return { low: at(0.05), middle: at(0.5), high: at(0.95), mean: sorted.reduce((sum, one) => sum + one, 0) / runs }
  }
  return {
    runs,
    ...(Object.fromEntries(spreads.map(name => [name, spread(all[name])])) as Record<SpreadName, Spread>),
    ...(Object.fromEntries(hazards.map(name => [name, hits[name] / runs])) as Record<HazardName, number>),
  }
}
