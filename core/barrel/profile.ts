import { nth } from '../sure'
/** A diameter at a place, mm from the tip end. */
export interface ProfilePoint {
  /** Distance from the tip end, mm. */
  at: number
  /** Diameter there, mm. */
  diameter: number
}

/** The outline of a barrel: points from the tip to the clip end, joined by a curve that never swings beyond them. */
export interface Profile {
  /** Places with a diameter of their own, from tip to clip. */
  points: readonly ProfilePoint[]
  /** How steeply the diameter changes at each of them, mm a mm. */
  slopes: readonly number[]
}

/**
 * A profile through points, in any order; of two at the same place the later counts. Monotone cubic (slopes of Fritsch and Butland,
 * 1984): fattest and thinnest lie on points.
 */
export function profileThrough(given: readonly ProfilePoint[]): Profile {
  const byPlace = new Map(given.map(point => [point.at, point]))
  const points = [...byPlace.values()].sort((a, b) => a.at - b.at)
  return { points, slopes: slopesOf(points) }
}

function slopesOf(points: readonly ProfilePoint[]): number[] {
  const steps = points.slice(1).map((point, index) => (point.diameter - nth(points, index).diameter) / (point.at - nth(points, index).at))
  return points.map((_, index) => {
    const [before, after] = [steps[index - 1], steps[index]]
    if (before === undefined || after === undefined) return after ?? before ?? 0
    if (before * after <= 0) return 0
    const [left, right] = [nth(points, index).at - nth(points, index - 1).at, nth(points, index + 1).at - nth(points, index).at]
    const [wl, wr] = [2 * right + left, right + 2 * left]
    return (wl + wr) / (wl / before + wr / after)
  })
}

/** Diameter at a place, mm; beyond the ends as at the ends. */
export function diameterAt({ points, slopes }: Profile, at: number): number {
  const last = points.length - 1
  if (at <= nth(points, 0).at) return nth(points, 0).diameter
  if (at >= nth(points, last).at) return nth(points, last).diameter
  const index = points.findIndex((_, i) => at < nth(points, i + 1).at)
  const [a, b] = [nth(points, index), nth(points, index + 1)]
  const width = b.at - a.at
  const t = (at - a.at) / width
  const [t2, t3] = [t * t, t * t * t]
  return (
    a.diameter * (2 * t3 - 3 * t2 + 1)
    + nth(slopes, index) * width * (t3 - 2 * t2 + t)
    + b.diameter * (3 * t2 - 2 * t3)
    + nth(slopes, index + 1) * width * (t3 - t2)
  )
}

/** The same profile with every diameter changed by so many mm. */
export const grown = (profile: Profile, mm: number): Profile => ({
  ...profile,
  points: profile.points.map(({ at, diameter }) => ({ at, diameter: diameter + mm })),
})

/** The point where the barrel is fattest, and the one where it is thinnest. */
export const fattest = ({ points }: Profile): ProfilePoint =>
  points.reduce((most, point) => (point.diameter > most.diameter ? point : most))
export const slimmest = ({ points }: Profile): ProfilePoint =>
  points.reduce((least, point) => (point.diameter < least.diameter ? point : least))

/** Nodes and weights of Gauss and Legendre's rule of four points on 0 to 1: exact for the square of a cubic. */
const NODES: readonly [number, number][] = [0.8611363115940526, 0.3399810435848563].flatMap((x, i) =>
  [-1, 1].map((side): [number, number] => [(1 + side * x) / 2, nth([0.3478548451374538, 0.6521451548625461], i) / 2]),
)

/** Volume inside the outline, mm³: π/4 · d² along the length, exactly. */
export function volumeOf(profile: Profile): number {
  const { points } = profile
  return points.slice(1).reduce((sum, point, index) => {
    const from = nth(points, index).at
    const width = point.at - from
    return (
      sum + width * NODES.reduce((part, [t, weight]) => part + ((weight * Math.PI) / 4) * diameterAt(profile, from + t * width) ** 2, 0)
    )
  }, 0)
}

/** Surface along the outline, mm²: π · d along the length. The slope is passed over, which on a pen is less than one in a hundred. */
export function surfaceOf(profile: Profile): number {
  const { points } = profile
  return points.slice(1).reduce((sum, point, index) => {
    const from = nth(points, index).at
    const width = point.at - from
    return sum + width * NODES.reduce((part, [t, weight]) => part + weight * Math.PI * diameterAt(profile, from + t * width), 0)
  }, 0)
}

/** Volume of a round bar, mm³. */
export const barVolume = (diameter: number, length: number): number => (Math.PI / 4) * diameter ** 2 * length
