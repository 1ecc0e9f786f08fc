import { weightedSpread, type Ranged } from '../figures'
import { edgesChance, OVER } from './risk'

const { exp, log } = Math

/** A levelling that is over, with the grits up to the next coat, and whether it went through the film. */
export interface Levelled {
  /** The film there was before it, where it lies thinnest, µm. */
  mean: number
  /** How far coats differ, µm, standard deviation. */
  sd: number
  /** What it was to take, µm. */
  takes: number
  /** How far such wood is from round, µm. */
  wood: number
  /** Whether a sand-through was noted. */
  through: boolean
}

/** How evenly a turner’s own hands and barrels are, as factors on the model’s: below 1 they go through less often. */
export interface OwnEvenness {
  /** On how many times what it must a levelling takes. */
  over: Ranged
  /** On how far the wood is from round. */
  wood: Ranged
  /** Levellings it was learnt from. */
  levellings: number
  /** How many of them went through. */
  through: number
}

/** How far turners lie from the model, as standard deviations of the logarithm [model]: this is what few data are shrunk towards. */
const SPREAD = { over: 0.2, wood: 0.4 }
/** So many sand-throughs are noted, and so many are noted where the film was whole [model]: dull spots look alike. */
const NOTED = { truly: 0.9, falsely: 0.003 }
/** Places of the grid along each axis, and how far it reaches each way, in standard deviations. */
const GRID = { count: 11, reach: 2.6 }

/**
 * How even a turner's work is, from levellings that went through and levellings that did not: every pair of factors is weighed by how
 * usual it is and by how well it explains all of them. A clean one says little, since most are clean; a sand-through where hardly one
 * was expected says much. With none it answers 1.
 */
export function learnEvenness(levellings: readonly Levelled[]): OwnEvenness {
  const cells = axis(SPREAD.over).flatMap(over => axis(SPREAD.wood).map(wood => ({ over, wood })))
  const logs = cells.map(cell => usualness(cell) + levellings.reduce((sum, one) => sum + log(explained(one, cell)), 0))
  const most = Math.max(...logs)
  const range = (key: keyof Cell): Ranged => {
    const { low, likely, high } = weightedSpread(cells.map((cell, at) => ({ value: cell[key], weight: exp((logs[at] ?? 0) - most) })))
    return { low: exp(low), likely: exp(likely), high: exp(high) }
  }
  return {
    over: range('over'),
    wood: range('wood'),
    levellings: levellings.length,
    through: levellings.filter(one => one.through).length,
  }
}

/** A pair of factors as logarithms. */
interface Cell {
  over: number
  wood: number
}

const axis = (sd: number): number[] =>
  Array.from({ length: GRID.count }, (_, index) => GRID.reach * sd * ((2 * index) / (GRID.count - 1) - 1))

/** How usual such a turner is: the logarithm of a normal density, but for what is the same for all. */
const usualness = ({ over, wood }: Cell): number => -((over / SPREAD.over) ** 2 + (wood / SPREAD.wood) ** 2) / 2

/** How likely it was to come out as it did, for a turner of such hands. */
function explained({ mean, sd, takes, wood, through }: Levelled, own: Cell): number {
  const edges = edgesChance({ mean, sd, unevenness: 0 }, takes, { wood: wood * exp(own.wood), over: OVER * exp(own.over) })
  const noted = NOTED.truly * edges + NOTED.falsely * (1 - edges)
  return through ? noted : 1 - noted
}
