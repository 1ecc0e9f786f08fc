import type { Figure } from '../figures'
import { scaleTables, type AbrasiveScale } from './scales'

/** A mark that its scale does not have, or a grain size nobody can sand with. */
export class AbrasiveError extends Error {
  override readonly name = 'AbrasiveError'
}

/** An abrasive as it is marked by its maker. */
export interface AbrasiveMark {
  /** By which scale it is numbered. */
  scale: AbrasiveScale
  /** The number, or for a scale in µm the grain itself. */
  mark: number
  /** What the turner calls it, where it has a colour and no number; `between` names the coarser and the finer one it was placed between. */
  label?: string
  /** Of a pad known by its colour: the two marks that its grain lies between. */
  between?: readonly [string, string]
}

/**
 * The mean grain size of a marked abrasive, in µm: the one measure in which abrasives of all scales compare.
 * @throws AbrasiveError naming the marks of that scale nearest to the one asked for
 */
export function grainSize(scale: AbrasiveScale, mark: number | string): number {
  const number = Number(String(mark).trim().replace(/^P/i, ''))
  if (!Number.isFinite(number) || number <= 0) throw new AbrasiveError(`“${mark}” is not a number on the ${scale} scale.`)
  if (scale === 'micron') return number
  const table = scaleTables[scale]
  if (!table) throw new AbrasiveError(`There is no scale “${scale}”. Use P, CAMI, pad or micron.`)
  const size = table.grains[String(number)]
  if (size === undefined)
    throw new AbrasiveError(`The ${scale} scale has no ${number}. Nearest: ${nearestMarks(scale, number).join(' and ')}.`)
  return size
}

function nearestMarks(scale: Exclude<AbrasiveScale, 'micron'>, number: number): number[] {
  return Object.keys(scaleTables[scale].grains)
    .map(Number)
    .sort((a, b) => Math.abs(a - number) - Math.abs(b - number))
    .slice(0, 2)
    .sort((a, b) => a - b)
}

/** The grain size with its source, for a number that can be opened. */
export function grainFigure(abrasive: AbrasiveMark): Figure {
  const { scale, mark, between } = abrasive
  const label = `grain of ${abrasiveName(abrasive)}`
  const value = grainSize(scale, mark)
  if (between)
    return { label, value, unit: 'µm', origin: 'yours', note: `no number: placed half way between ${between[0]} and ${between[1]}` }
  if (scale === 'micron') return { label, value, unit: 'µm', origin: 'default', mark: 'trade', note: 'as marked by its maker' }
  const { source } = scaleTables[scale]
  return { label, value, unit: 'µm', origin: source.mark === 'pub' ? 'published' : 'default', mark: source.mark, note: source.note }
}

/** The abrasive in its own words: `P320`, `CAMI 320`, `pad 4000`, `film 9 µm`. */
export function abrasiveName({ scale, mark, label }: AbrasiveMark): string {
  return label ?? { P: `P${mark}`, CAMI: `CAMI ${mark}`, pad: `pad ${mark}`, micron: `film ${mark} µm` }[scale]
}
