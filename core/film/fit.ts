import { nth } from '../sure'
import { COAT_SPREAD } from './film'

/** What was put on between two measurements of a diameter, and by how much the radius grew. */
export interface Growth {
  /** Names the pair of measurements: told when it is set aside. */
  id: string
  /** Coats of each product, less what soaked in: two soaking coats of which 70 % stay count 1.4. */
  coats: Readonly<Record<string, number>>
  /** Growth of the radius, µm, less half of what became more uneven (a calliper lies on the peaks). */
  growth: number
  /** At how many places it was measured; their mean is the growth. */
  places: number
}

/** The build of a product before anything is measured, µm a coat. */
export type Defaults = Readonly<Record<string, number>>

/** The turner's own build of one product, µm a coat. */
export interface OwnBuild {
  /** What a coat builds, µm. */
  build: number
  /** 90 of 100 such fits hold the true build between these. */
  low: number
  /** Upper end of the range that holds it nine times in ten, µm. */
  high: number
  /** How much the measurements say and how little the default: 0 the default alone, 1 the measurements alone. */
  weight: number
  /** Measurements it rests on, those set aside not counted. */
  measurements: number
}

export interface BuildFit {
  /** By the id of the product. */
  products: Readonly<Record<string, OwnBuild>>
  /**
   * Measurements too far from all others and the default to be a coat's doing, with how many standard deviations: a slip of the
   * calliper or of the pen.
   */
  setAside: readonly { id: string, deviations: number }[]
}

/** Spread of a turner's build about the default, as a part of it [model]: hands, cloths and bottles differ. */
export const BUILD_SPREAD = 0.4
/** A calliper's reading errs by so much, mm on the diameter, standard deviation [model: half the last digit, and the hand]. */
export const CALLIPER_ERROR = 0.01
/** Beyond so many standard deviations a measurement is set aside. */
const TOO_FAR = 3
const Z90 = 1.645
/** A coat builds at least this part of the default, whatever wild readings say [model]: it adds something, or it would not be one. */
const LEAST_BUILD = 0.1

/**
 * The turner's own build per coat and product, from how barrels grew: Bayes' rule for normal distributions, one measurement after the
 * other. Each default is the mean it is pulled towards, with a spread of two fifths; each growth errs by two readings of the calliper
 * and by the spread from coat to coat. Growths far from what all the others say are set aside and named, at most a third of them. A
 * growth of a product without a default is ignored.
 */
export function fitBuild(growths: readonly Growth[], defaults: Defaults, calliper = CALLIPER_ERROR, spread = BUILD_SPREAD): BuildFit {
  const names = Object.keys(defaults)
  const known = growths.filter(
    one => one.places > 0 && Object.values(one.coats).some(count => count > 0) && Object.keys(one.coats).every(name => name in defaults),
  )
  const rows = known.map(one => ({ ...one, x: names.map(name => one.coats[name] ?? 0), error: errorOf(one, defaults, calliper) }))
  const prior: Belief = {
    mean: names.map(name => (defaults[name] ?? 0)),
    cov: names.map((name, i) => names.map((_, j) => (i === j ? (spread * (defaults[name] ?? 0)) ** 2 : 0))),
  }

  let kept = rows
  const setAside: { id: string, deviations: number }[] = []
  while (setAside.length < Math.max(1, Math.floor(rows.length / 3)) && kept.length) {
    const judged = kept.map((row) => {
      const others = learn(
        prior,
        kept.filter(one => one !== row),
      )
      return { row, deviations: (row.growth - dot(row.x, others.mean)) / Math.sqrt(along(others, row.x) + row.error) }
    })
    const worst = judged.reduce((a, b) => (Math.abs(b.deviations) > Math.abs(a.deviations) ? b : a))
    if (Math.abs(worst.deviations) <= TOO_FAR) break
    setAside.push({ id: worst.row.id, deviations: worst.deviations })
    kept = kept.filter(one => one !== worst.row)
  }

  const { mean, cov } = learn(prior, kept)
  const products = Object.fromEntries(
    names.map((name, i): [string, OwnBuild] => {
      const sd = Math.sqrt(nth(nth(cov, i), i))
      const build = Math.max(LEAST_BUILD * (defaults[name] ?? 0), nth(mean, i))
      return [
        name,
        {
          build,
          low: Math.max(0, Math.min(build, nth(mean, i) - Z90 * sd)),
          high: Math.max(build, nth(mean, i) + Z90 * sd),
          weight: 1 - nth(nth(cov, i), i) / nth(nth(prior.cov, i), i),
          measurements: kept.filter(row => nth(row.x, i) > 0).length,
        },
      ]
    }),
  )
  return { products, setAside }
}

interface Belief {
  mean: readonly number[]
  cov: readonly (readonly number[])[]
}
interface Row {
  x: readonly number[]
  growth: number
  error: number
}

/**
 * Variance of a growth, µm²: two readings on the diameter, half of which is the radius, meaned over the places; and each coat's own
 * spread, alike at all places.
 */
function errorOf({ coats, places }: Growth, defaults: Defaults, calliper: number): number {
  const reading = (2 * ((calliper * 1000) / 2) ** 2) / places
  return reading + Object.entries(coats).reduce((sum, [name, count]) => sum + count * (COAT_SPREAD * (defaults[name] ?? 0)) ** 2, 0)
}

const dot = (a: readonly number[], b: readonly number[]): number => a.reduce((sum, value, i) => sum + value * nth(b, i), 0)
const times = (cov: Belief['cov'], x: readonly number[]): number[] => cov.map(row => dot(row, x))
const along = ({ cov }: Belief, x: readonly number[]): number => dot(x, times(cov, x))

function learn(prior: Belief, rows: readonly Row[]): Belief {
  return rows.reduce<Belief>((belief, { x, growth, error }) => {
    const moved = times(belief.cov, x)
    const scale = 1 / (along(belief, x) + error)
    const surprise = growth - dot(x, belief.mean)
    return {
      mean: belief.mean.map((value, i) => value + nth(moved, i) * scale * surprise),
      cov: belief.cov.map((row, i) => row.map((value, j) => value - nth(moved, i) * scale * nth(moved, j))),
    }
  }, prior)
}
