import { abrasiveName, grainSize, type AbrasiveMark } from './grain'
import { scaleTables, type AbrasiveScale } from './scales'

/** The mark of another scale that comes nearest, and how near that is. */
export interface NearestMark {
  /** The mark of the other scale. */
  mark: AbrasiveMark
  /** Its grain, µm. */
  grain: number
  /** The grain asked for over its own: above 1 the one asked for is coarser. */
  ratio: number
  /** Beyond the scale's coarsest or finest mark by more than a step: nothing of that scale comes near. */
  outside: boolean
}

/** A ratio further than this from 1 is no match, only the nearest there is [model]. */
const NEAR = 1.35

/** The nearest mark of a scale to a grain (µm), by ratio. In `micron` every grain is its own mark. */
export function nearestMark(grain: number, scale: AbrasiveScale): NearestMark {
  if (!(grain > 0)) throw new RangeError('The grain should be above 0 µm.')
  if (scale === 'micron') return { mark: { scale, mark: grain }, grain, ratio: 1, outside: false }
  const [mark, size] = Object.entries(scaleTables[scale].grains)
    .map(([one, um]) => [Number(one), um] as const)
    .reduce((best, one) => (Math.abs(Math.log(one[1] / grain)) < Math.abs(Math.log(best[1] / grain)) ? one : best))
  const ratio = grain / size
  return { mark: { scale, mark }, grain: size, ratio, outside: ratio > NEAR || ratio < 1 / NEAR }
}

/** What a marked abrasive is in every scale: the question “what is this pad in paper?”. */
export function inEveryScale(asked: AbrasiveMark): Record<AbrasiveScale, NearestMark> {
  const grain = grainSize(asked.scale, asked.mark)
  return {
    P: nearestMark(grain, 'P'),
    CAMI: nearestMark(grain, 'CAMI'),
    pad: nearestMark(grain, 'pad'),
    micron: nearestMark(grain, 'micron'),
  }
}

/**
 * A pad that has a colour and no number, placed between two known ones: its grain is taken half way between theirs, as ratios go, and
 * says so.
 * @throws RangeError when both are of one grain
 */
export function betweenMarks(label: string, coarser: AbrasiveMark, finer: AbrasiveMark): AbrasiveMark {
  const [a, b] = [grainSize(coarser.scale, coarser.mark), grainSize(finer.scale, finer.mark)]
  if (a === b) throw new RangeError(`${abrasiveName(coarser)} and ${abrasiveName(finer)} are of one grain: choose two that differ.`)
  return {
    scale: 'micron',
    mark: Math.round(Math.sqrt(a * b) * 10) / 10,
    label,
    between: a > b ? [abrasiveName(coarser), abrasiveName(finer)] : [abrasiveName(finer), abrasiveName(coarser)],
  }
}
