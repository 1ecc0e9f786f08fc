import { weightedSpread, type Ranged, type Weighted } from '../figures'

/** Called some millions of times for one answer. */
const { exp, log, sqrt } = Math

/** One grit that was worked until its scratches were gone, as far as the log tells; times in s from when it was taken up. */
export interface SandingObservation {
  /** Depth that was to be removed, µm, as it was judged. */
  depth: number
  /** The model’s capacity of the piece, µm. */
  capacity: number
  /** The model’s time constant, s. */
  tau: number
  /** When it was looked at and the scratches were not gone yet, s. */
  notYet: readonly number[]
  /** When they were gone, s; null where it was left before. */
  gone: number | null
  /** How many changes and looks are in that time before the first look, as parts of one: less for a quick pad, or where it was tapped when
   * the paper was on. */
  before: number
  /** And in each further look. */
  each: number
}

/** A turner's own factor on the model's default, with the range it lies in nine times out of ten. 1 is the default. */
export type OwnFactor = Ranged

export interface Learnt {
  /** Cut rate: above 1 quicker than the default. */
  rate: OwnFactor
  /** What a piece takes off before it is dull. */
  capacity: OwnFactor
  /** Change, with-grain pass, wipe and look, s for each piece. */
  overhead: Ranged
  /** Grits it was learnt from. */
  observations: number
}

/** How far turners lie from the default, as standard deviations of the logarithm [model]: this is what few data are shrunk towards. */
export const SPREAD = { rate: 0.75, capacity: 0.25, overhead: 0.7 }
/** The usual change and look, s, of which a turner’s own is so far [model]. */
const USUAL_OVERHEAD = 25
/** Marks are judged by eye within 40 % (handbook 4.4): depths are these parts of what was judged, each as likely as the others. */
const MARKS = [0.68, 0.84, 1, 1.16, 1.32]
/** How evenly times come: the sanding itself, as the eye tells what is gone; changes and looks, parts of them; and any tap, s [model]. */
const NOISE = { sanding: 0.15, looks: 0.2, tap: 2 }
/** So many stop when it is gone; the rest go on to whenever they look, up to about this part of the time over it [model]. */
const STOPS = { exactly: 0.75, over: 0.6 }
/** So many times say nothing at all: a phone call, a tap forgotten; they may be anything up to this many times as long [model]. */
const STRAY = { part: 0.12, times: 30 }

/**
 * Grits of one pen and one evening are not independent, and no turner is quite like this model: each counts as so much of one [model],
 * chosen so that the ranges hold what they claim for simulated turners who stop in two different ways.
 */
const WEIGHT = 0.16
/** Cells of the grid along each axis, first far, then near to what was found; and how far each way, in standard deviations. */
const GRID = { rate: 13, capacity: 5, overhead: 11, reach: 2.6 }

interface Axis {
  mean: number
  sd: number
  count: number
}
type Axes = Record<'rate' | 'capacity' | 'overhead', Axis>
/** A triple of factors as logarithms, and how much it counts. */
interface Cell {
  rate: number
  capacity: number
  overhead: number
  weight: number
}

/**
 * A turner's own cut rate, capacity and change of paper from logged times: every triple is weighed by how usual it is and by how well
 * it explains when scratches were not gone yet and when they were, with marks judged by eye, noise in every time, turners who go on
 * after they are gone, and times that say nothing. With nothing logged it answers the default; every answer moves it a little.
 */
export function learnSanding(observations: readonly SandingObservation[]): Learnt {
  const far = weighed(observations, {
    rate: { mean: 0, sd: SPREAD.rate, count: GRID.rate },
    capacity: { mean: 0, sd: SPREAD.capacity, count: GRID.capacity },
    overhead: { mean: log(USUAL_OVERHEAD), sd: SPREAD.overhead, count: GRID.overhead },
  })
  const near = observations.length ? weighed(observations, axesAbout(far)) : far
  const rangeOf = (key: keyof Axes): Ranged => exponential(weightedSpread(near.map(cell => ({ value: cell[key], weight: cell.weight }))))
  return {
    rate: rangeOf('rate'),
    capacity: rangeOf('capacity'),
    overhead: rangeOf('overhead'),
    observations: observations.length,
  }
}

const exponential = ({ low, likely, high }: Ranged): Ranged => ({ low: exp(low), likely: exp(likely), high: exp(high) })

const placesOf = ({ mean: middle, sd, count }: Axis): number[] =>
  Array.from({ length: count }, (_, index) => middle + GRID.reach * sd * ((2 * index) / (count - 1) - 1))

/** Every triple of a grid with its weight: how usual it is, times how well it explains each grit. */
function weighed(observations: readonly SandingObservation[], axes: Axes): Cell[] {
  const [rates, capacities, overheads] = [placesOf(axes.rate), placesOf(axes.capacity), placesOf(axes.overhead)]
  const spans = Float64Array.from(overheads, exp)
  const cells = rates.flatMap(rate => capacities.flatMap(capacity => overheads.map(overhead => ({ rate, capacity, overhead }))))
  const logs = Float64Array.from(cells, usualness)
  const told = new Float64Array(spans.length)
  for (const one of observations) {
    const stray = strayness(one)
    let at = 0
    for (const rate of rates) {
      for (const capacity of capacities) {
        told.fill(0)
        // How long it takes does not hang on the change of paper: it is worked out once for all of those.
        for (const part of MARKS) {
          const needs = needFor(one.depth * part, one.capacity * exp(capacity), one.tau / exp(rate))
          for (let span = 0; span < spans.length; span++)
            told[span] = (told[span] ?? 0) + explained(one, needs, spans[span] ?? 0) / MARKS.length
        }
        for (let span = 0; span < spans.length; span++, at++)
          logs[at] = (logs[at] ?? 0) + WEIGHT * log(stray + (1 - STRAY.part) * (told[span] ?? 0))
      }
    }
  }
  const most = logs.reduce((top, one) => (one > top ? one : top), -Infinity)
  return cells.map((cell, at) => ({ ...cell, weight: exp((logs[at] ?? 0) - most) }))
}

/** How usual a turner of such hands is: the logarithm of a normal density, but for what is the same for all. */
const usualness = ({ rate, capacity, overhead }: Omit<Cell, 'weight'>): number =>
  -((rate / SPREAD.rate) ** 2 + (capacity / SPREAD.capacity) ** 2 + ((overhead - log(USUAL_OVERHEAD)) / SPREAD.overhead) ** 2) / 2

/** A finer grid about what a coarse one found. */
function axesAbout(cells: readonly Cell[]): Axes {
  const about = (key: keyof Axes, count: number): Axis => {
    const values = cells.map(cell => ({ value: cell[key], weight: cell.weight }))
    return { mean: mean(values), sd: spreadOf(values), count }
  }
  return {
    rate: about('rate', GRID.rate), capacity: about('capacity', GRID.capacity), overhead: about('overhead', GRID.overhead),
  }
}

const total = (values: readonly Weighted[]): number => values.reduce((sum, one) => sum + one.weight, 0)
const mean = (values: readonly Weighted[]): number => values.reduce((sum, one) => sum + one.weight * one.value, 0) / total(values)
/** The standard deviation, no less than what a coarse grid can tell. */
function spreadOf(values: readonly Weighted[]): number {
  const middle = mean(values)
  const variance = values.reduce((sum, one) => sum + one.weight * (one.value - middle) ** 2, 0) / total(values)
  return Math.max(LEAST_SPREAD, sqrt(variance))
}
const LEAST_SPREAD = 0.06

/** How well a time that says nothing is explained: it may be any, up to many times what it is. */
const strayness = ({ gone, notYet }: SandingObservation): number =>
  STRAY.part / (Math.max(NOISE.tap, gone ?? notYet.at(-1) ?? 0) * log(STRAY.times))

/** What a grit needs: seconds on the paper, and pieces of it. */
interface Need {
  seconds: number
  pieces: number
}

/** What a depth needs, with as many pieces as that takes, each left at nearly dull. */
function needFor(depth: number, capacity: number, tau: number): Need {
  const pieces = Math.max(1, Math.ceil(depth / (NEARLY_DULL * capacity)))
  return { pieces, seconds: -pieces * tau * log(1 - depth / (pieces * capacity)) }
}
const NEARLY_DULL = 0.9

/** How well it goes together that a grit needs so much, with what was logged of it. */
function explained({ notYet, gone, before, each }: SandingObservation, { seconds: needs, pieces }: Need, overhead: number): number {
  let told = 1
  for (let look = 0; look < notYet.length; look++) {
    const looked = overhead * (before + look * each)
    told *= 1 - below(((notYet[look] ?? 0) - looked - needs) / noise(needs, looked))
  }
  if (gone === null) return told
  // Each piece more is another change.
  const looked = overhead * (before + (notYet.length + pieces - 1) * each)
  const over = gone - looked - needs
  const sd = noise(needs, looked)
  const exactly = exp(-((over / sd) ** 2) / 2) / sd
  // Going on for a while, half a normal distribution, and the noise of a time, a whole one: where there is little to go on for, only noise.
  const on = STOPS.over * needs
  const scale = sqrt(on ** 2 + sd ** 2)
  const later = (2 * exp(-((over / scale) ** 2) / 2) * below((over * on) / (sd * scale))) / scale
  return (told * (STOPS.exactly * exactly + (1 - STOPS.exactly) * later)) / ROOT
}
const noise = (needs: number, looked: number): number => sqrt((NOISE.sanding * needs) ** 2 + (NOISE.looks * looked) ** 2 + NOISE.tap ** 2)
const ROOT = sqrt(2 * Math.PI)

/** Standard normal distribution, near enough for a likelihood. */
const below = (z: number): number => 1 / (1 + exp(-1.702 * z))
