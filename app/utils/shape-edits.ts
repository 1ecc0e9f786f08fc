import { usualShape, type Shape, type ShapeKind } from '#core/barrel'
import type { SizedBarrel } from '#core/plan'
import { must } from '#core/sure'

type Point = Extract<Shape, { kind: 'free' }>['points'][number]

const round = (value: number) => Math.round(value * 100) / 100

/** The points of a free outline; none of another. */
export const pointsOf = (shape: Shape): readonly Point[] => (shape.kind === 'free' ? shape.points : [])

/** Finished diameter of a barrel at a part of its length, mm, by the nearest point of its outline. */
function diameterOf({ barrel, finished }: SizedBarrel, part: number): number {
  const off = (at: number) => Math.abs(at - part * barrel.tubeLength)
  return finished.points.reduce((near, point) => (off(point.at) < off(near.at) ? point : near)).diameter
}

const pointAt = (of: SizedBarrel, part: number): Point => ({ part: round(part), diameter: round(diameterOf(of, part)) })

/** The outline of a barrel as one of another kind, as near to what it is as that kind allows. */
export function asKind(of: SizedBarrel, kind: ShapeKind): Shape {
  if (kind === 'straight') return { kind }
  if (kind === 'free') return { kind, points: [0.25, 0.5, 0.75].map(part => pointAt(of, part)) }
  const usual = usualShape.kind === 'belly' ? usualShape.bulge : 0
  return { kind, bulge: 'bulge' in of.shape ? of.shape.bulge : usual }
}

/** A free outline with one point moved, or without it. */
export function withPoint(shape: Shape, index: number, to: Partial<Point> | null): Shape {
  const now = pointsOf(shape)
  const points = to === null ? now.filter((_, at) => at !== index) : now.map((point, at) => (at === index ? { ...point, ...to } : point))
  return { kind: 'free', points }
}

/** A free outline with one point more, in the middle of the widest gap, where it changes nothing yet. */
export function withNewPoint(of: SizedBarrel): Shape {
  const points = pointsOf(of.shape)
  const parts = [0, ...points.map(point => point.part).sort((a, b) => a - b), 1]
  const gaps = parts.slice(1).map((to, index) => {
    const from = must(parts[index], 'there is one part more than gaps')
    return { wide: to - from, middle: (from + to) / 2 }
  })
  const widest = gaps.reduce((a, b) => (b.wide > a.wide ? b : a))
  return { kind: 'free', points: [...points, pointAt(of, widest.middle)] }
}
