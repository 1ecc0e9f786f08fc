import { nth } from '../sure'
import { given, ranged, worked, type Figure, type Ranged } from '../figures'
import { equilibriumMoisture, type Climate } from './air'

/** A weighing of a blank, or a reading of a moisture meter. */
export type MoistureReading = { at: string } & ({ grams: number } | { percent: number })

/** What is dried: what decides how fast is its thickness. */
export interface DryingBlank {
  /** Thickness across the narrower side, mm. */
  thickness: number
  /** Whether it is resin, which does not dry. */
  resin?: boolean
}

/** What the readings of a blank tell, or why they tell nothing yet. */
export type MoistureVerdict
  = | { known: false, says: string }
    | {
      known: true
      /** Moisture that wood settles at in this air, %. */
      settles: Figure
      /** Moisture now, % of dry mass. */
      now: Ranged
      /**
       * Days from now until it is within two points of the shop; 0 when it is. Null when that is more than three years off or not to be
       * told.
       */
      days: Ranged | null
      /** Whether it is within two points now: as likely as not decides between wait and weigh again. */
      ready: 'yes' | 'no' | 'perhaps'
      /** How many weighings it is from. */
      readings: number
    }

/** A blank this many points wetter than the shop's equilibrium shrinks on its tube [trade]. */
export const MOIST_MARGIN = 2

const DAY = 86_400_000
/**
 * Days in which two thirds of the way to the shop's moisture are gone, for a stick 20 mm thick; it grows with the square of the
 * thickness [model].
 */
const DAYS_AT_20 = 12
/** How far that may be off, as the standard deviation of its logarithm [model]: woods differ by a factor of three either way. */
const DAYS_SPREAD = 0.8
/** Standard deviations: of a workshop scale, g; of a pin meter, points; of the air's mean over the weeks, points [model]. */
const SCALE = 0.1
const METER = 1.5
const AIR = 0.6

/**
 * How wet a blank is and when it is within two points of the shop, from weighings and meter readings. Wood nears the shop's moisture
 * exponentially; how fast, how wet it was and what it weighs dry are not known, so every combination is weighed by how well it explains
 * the readings, and by how usual it is for the thickness. One weighing says nothing, since nobody knows the dry mass. `now` is a time
 * as ISO 8601.
 */
export function moistureFrom(readings: readonly MoistureReading[], blank: DryingBlank, climate: Climate, now: string): MoistureVerdict {
  if (blank.resin) return { known: false, says: 'Resin takes up no moisture worth weighing.' }
  const ordered = readings.filter(one => one.at <= now).sort((a, b) => (a.at < b.at ? -1 : 1))
  const weighings = ordered.filter(one => 'grams' in one)
  if (!ordered.length) return { known: false, says: 'Nothing is measured yet. Weigh it now, and again in a few days.' }
  if (weighings.length === ordered.length) {
    if (weighings.length < 2)
      return { known: false, says: 'One weighing says nothing about moisture: the dry mass is not known. Weigh it again in a few days.' }
    const days = (Date.parse(nth(weighings, weighings.length - 1).at) - Date.parse(nth(weighings, 0).at)) / DAY
    if (days < 0.5)
      return {
        known: false,
        says: 'These weighings are less than half a day apart: a scale cannot tell the change. Weigh it again in a few days.',
      }
  }
  const settles = worked('wood settles at', equilibriumMoisture(climate.celsius, climate.humidity), '%', 'Wood Handbook, chapter 4', [
    given('workshop temperature', climate.celsius, '°C'),
    given('workshop humidity', climate.humidity, '%'),
  ])
  const states = weighed(ordered, blank, settles.value, now)
  const nowAt = ranged(states.map(({ weight, moisture }) => ({ weight, value: moisture })))
  const days = ranged(
    states.map(({ weight, excess, tau }) => ({ weight, value: excess <= MOIST_MARGIN ? 0 : tau * Math.log(excess / MOIST_MARGIN) })),
  )
  const dry = states.reduce((sum, { weight, excess }) => sum + (excess <= MOIST_MARGIN ? weight : 0), 0)
  return {
    known: true,
    settles,
    now: nowAt,
    days: days.likely > 1100 ? null : days,
    ready: dry > 0.9 ? 'yes' : dry < 0.5 ? 'no' : 'perhaps',
    readings: ordered.length,
  }
}

interface State {
  weight: number
  /** Moisture now, %, and how far it lies over the shop's; time constant, days. */
  moisture: number
  excess: number
  tau: number
}

/** Gauss and Hermite's three points for what the air's mean may be off, with their weights. */
const AIR_NODES: readonly [number, number][] = [
  [-Math.sqrt(3), 1 / 6],
  [0, 2 / 3],
  [Math.sqrt(3), 1 / 6],
]

/**
 * Every combination of air, time constant and first moisture, with its weight by Bayes' rule; the dry mass, which stands linear in it,
 * is integrated in closed form.
 */
function weighed(readings: readonly MoistureReading[], blank: DryingBlank, settles: number, now: string): State[] {
  const start = Date.parse(nth(readings, 0).at)
  const at = readings.map(one => (Date.parse(one.at) - start) / DAY)
  const nowAt = (Date.parse(now) - start) / DAY
  const usual = Math.log(DAYS_AT_20 * (blank.thickness / 20) ** 2)
  const states: (Omit<State, 'weight'> & { log: number })[] = []
  for (const [airOff, airWeight] of AIR_NODES) {
    const shop = settles + airOff * AIR
    for (let step = -15; step <= 15; step++) {
      const tau = Math.exp(usual + (DAYS_SPREAD * step) / 5)
      const prior = Math.log(airWeight) - (step / 5) ** 2 / 2
      const [left, leftNow] = [at.map(day => Math.exp(-day / tau)), Math.exp(-nowAt / tau)]
      for (const first of FIRST) {
        if (shop + first < 0) continue
        const log
          = prior
            + firstPrior(first)
            + likelihood(
              readings,
              left.map(part => shop + first * part),
            )
        const excess = first * leftNow
        states.push({ log, moisture: shop + excess, excess: shop + excess - settles, tau })
      }
    }
  }
  const most = states.reduce((top, one) => Math.max(top, one.log), -Infinity)
  const sum = states.reduce((total, one) => total + Math.exp(one.log - most), 0)
  return states.map(({ log, ...one }) => ({ ...one, weight: Math.exp(log - most) / sum })).filter(one => one.weight > 1e-9)
}

/** First moisture over the shop's, points: from drier by 6 to as wet as a fresh log; close together where it matters. */
const FIRST: readonly number[] = [
  ...Array.from({ length: 40 }, (_, i) => -6 + i * 0.25),
  ...Array.from({ length: 40 }, (_, i) => 4 + i * 0.5),
  ...Array.from({ length: 40 }, (_, i) => 24 + i * 1.5),
]

/** How usual a first moisture is: the width of its cell, falling off towards fresh wood, which turners have less often [model]. */
function firstPrior(first: number): number {
  const cell = first < 4 ? 0.25 : first < 24 ? 0.5 : 1.5
  return Math.log(cell) - Math.max(0, first) / 20
}

/** Log of how well moistures explain the readings, the dry mass taken as whatever fits best. */
function likelihood(readings: readonly MoistureReading[], moistures: readonly number[]): number {
  let log = 0
  let [gg, mg] = [0, 0]
  readings.forEach((one, index) => {
    const grown = 1 + nth(moistures, index) / 100
    if ('percent' in one) log -= ((one.percent - nth(moistures, index)) / METER) ** 2 / 2
    else {
      gg += grown * grown
      mg += one.grams * grown
    }
  })
  if (!gg) return log
  const dry = mg / gg
  const residual = readings.reduce(
    (sum, one, index) => ('grams' in one ? sum + (one.grams - dry * (1 + nth(moistures, index) / 100)) ** 2 : sum),
    0,
  )
  return log - residual / (2 * SCALE * SCALE) - Math.log(gg) / 2
}
