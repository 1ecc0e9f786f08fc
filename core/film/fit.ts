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
  /** Set where the readings say less or more than any coat builds, and it was held at that. */
  held?: true
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

/** Spread of a turner's build about the default, as a part of it [model]: hands, cloths and bottles differ by a factor of two. */
export const BUILD_SPREAD = 0.5
/** A calliper's reading errs by so much, mm on the diameter, standard deviation [model: the last digit, and the hand]. */
export const CALLIPER_ERROR = 0.02
/** What all growths of one calliper and hand are off by alike, µm on the radius, standard deviation [model]: how hard it is pressed. */
export const SHARED_ERROR = 7.5
/** Coats of one pen are alike thick or thin together, as a part of them; and what soaks in is not known closer [model]. */
export const PEN_SPREAD = 0.25
/** Beyond so many standard deviations a measurement is set aside, where at least two others speak against it. */
const TOO_FAR = 3
const LEAST_OTHERS = 2
const Z90 = 1.645
/** A coat builds no less and no more than these parts of the default, whatever wild readings say [model]. */
const HELD = { least: 0.1, most: 5 }

/**
 * The turner's own build per coat and product, from how barrels grew: Bayes' rule for normal distributions. Each default is the mean it
 * is pulled towards, with a spread of half of it; each growth errs by two readings of the calliper, by the spread from coat to coat, and
 * by that of the whole pen; and all are off by the same unknown amount. Growths far from what at least two others say are set aside and
 * named, at most a third of them; a first one never is. A growth of a product without a default is ignored.
 */
export function fitBuild(growths: readonly Growth[], defaults: Defaults, calliper = CALLIPER_ERROR, spread = BUILD_SPREAD): BuildFit {
  const names = Object.keys(defaults)
  const known = growths.filter(
    one => one.places > 0 && Object.values(one.coats).some(count => count > 0) && Object.keys(one.coats).every(name => name in defaults),
  )
  // The last unknown is what all growths are off by.
  const sds = [...names.map(name => spread * (defaults[name] ?? 0)), SHARED_ERROR]
  const prior: Belief = {
    mean: [...names.map(name => (defaults[name] ?? 0)), 0],
    cov: sds.map((sd, i) => sds.map((_, j) => (i === j ? sd ** 2 : 0))),
  }
  const rowsFor = (builds: Defaults) =>
    known.map(one => ({ ...one, x: [...names.map(name => one.coats[name] ?? 0), 1], error: errorOf(one, builds, calliper) }))
  // How much growths spread follows from the builds that are looked for: they are found twice.
  const first = learn(prior, rowsFor(defaults))
  const roughly = Object.fromEntries(names.map((name, i): [string, number] => [name, held(nth(first.mean, i), defaults[name] ?? 0)]))
  const { kept, setAside } = judged(prior, rowsFor(roughly))

  const { mean, cov } = learn(prior, kept)
  const products = Object.fromEntries(
    names.map((name, i): [string, OwnBuild] => {
      const sd = Math.sqrt(nth(nth(cov, i), i))
      const fitted = nth(mean, i)
      const build = held(fitted, defaults[name] ?? 0)
      return [
        name,
        {
          build,
          low: Math.max(0, Math.min(build, fitted - Z90 * sd)),
          high: Math.max(build, fitted + Z90 * sd),
          weight: 1 - nth(nth(cov, i), i) / nth(nth(prior.cov, i), i),
          measurements: kept.filter(row => nth(row.x, i) > 0).length,
          ...(build === fitted ? {} : { held: true as const }),
        },
      ]
    }),
  )
  return { products, setAside }
}

const held = (build: number, usual: number): number => Math.min(HELD.most * usual, Math.max(HELD.least * usual, build))

/** The growths that go together, and those that no coat could have made by what all others say. */
function judged(prior: Belief, rows: readonly (Growth & Row)[]): { kept: readonly (Growth & Row)[], setAside: BuildFit['setAside'] } {
  const setAside: { id: string, deviations: number }[] = []
  let kept = rows
  while (setAside.length < Math.max(1, Math.floor(rows.length / 3)) && kept.length > LEAST_OTHERS) {
    const all = kept.map((row) => {
      const others = learn(prior, kept.filter(one => one !== row))
      return { row, deviations: (row.growth - dot(row.x, others.mean)) / Math.sqrt(along(others, row.x) + row.error) }
    })
    const worst = all.reduce((a, b) => (Math.abs(b.deviations) > Math.abs(a.deviations) ? b : a))
    if (Math.abs(worst.deviations) <= TOO_FAR) break
    setAside.push({ id: worst.row.id, deviations: worst.deviations })
    kept = kept.filter(one => one !== worst.row)
  }
  return { kept, setAside }
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
 * Variance of a growth, µm²: two readings on the diameter, half of which is the radius, meaned over the places; each coat's own spread,
 * alike at all places; and that of the whole pen.
 */
function errorOf({ coats, places }: Growth, builds: Defaults, calliper: number): number {
  const reading = (2 * ((calliper * 1000) / 2) ** 2) / places
  const all = Object.entries(coats).map(([name, count]) => ({ count, build: builds[name] ?? 0 }))
  const each = all.reduce((sum, { count, build }) => sum + count * (COAT_SPREAD * build) ** 2, 0)
  const together = PEN_SPREAD * all.reduce((sum, { count, build }) => sum + count * build, 0)
  return reading + each + together ** 2
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
