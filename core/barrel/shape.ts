import type { Barrel } from './fitting'
import { profileThrough, type Profile, type ProfilePoint } from './profile'

export type ShapeKind = 'straight' | 'belly' | 'grip' | 'tapered' | 'free'

/**
 * The outline a turner wants of one barrel. `bulge` is mm on the diameter over the straight line between the ends; below 0 the barrel
 * is waisted.
 */
export type Shape
  = | { kind: 'straight' }
    | { kind: 'belly' | 'grip' | 'tapered', bulge: number }
  /** Points between the ends: part of the length from the tip, 0 to 1, and finished diameter, mm. */
    | { kind: 'free', points: readonly { part: number, diameter: number }[] }

export const shapeNames: Record<ShapeKind, string> = {
  straight: 'straight',
  belly: 'slight belly',
  grip: 'fuller at the grip',
  tapered: 'tapered',
  free: 'points of your own',
}

/** What a barrel is turned to when nobody says: a slight belly. */
export const usualShape: Shape = { kind: 'belly', bulge: 0.5 }

/**
 * How the bulge is spread along the length, as [part of the length, part of the bulge]; `tapered` is fullest by its fuller end and runs
 * straight to the other.
 */
const SPREAD: Record<'belly' | 'grip' | 'tapered', readonly (readonly [number, number])[]> = {
  belly: [
    [0.125, 0.4375],
    [0.25, 0.75],
    [0.375, 0.9375],
    [0.5, 1],
    [0.625, 0.9375],
    [0.75, 0.75],
    [0.875, 0.4375],
  ],
  grip: [
    [0.1, 0.55],
    [0.2, 0.9],
    [0.3, 1],
    [0.45, 0.8],
    [0.6, 0.45],
    [0.8, 0.12],
  ],
  tapered: [
    [0.25, 0.25 / 0.85],
    [0.5, 0.5 / 0.85],
    [0.7, 0.7 / 0.85],
    [0.85, 1],
    [0.95, 0.5],
  ],
}

/** The finished outline of a barrel, mm: flush with the metal at both ends, shaped between them. */
export function finishedProfile(barrel: Barrel, shape: Shape = usualShape): Profile {
  const { tubeLength: length, tipEnd, clipEnd } = barrel
  const line = (part: number) => tipEnd + (clipEnd - tipEnd) * part
  const ends: ProfilePoint[] = [
    { at: 0, diameter: tipEnd },
    { at: length, diameter: clipEnd },
  ]
  if (shape.kind === 'straight') return profileThrough(ends)
  if (shape.kind === 'free')
    return profileThrough([
      ...shape.points.filter(({ part }) => part > 0 && part < 1).map(({ part, diameter }) => ({ at: part * length, diameter })),
      ...ends,
    ])
  const { kind, bulge } = shape
  const turned = kind === 'tapered' && tipEnd > clipEnd
  const between = SPREAD[kind].map(([part, much]): ProfilePoint => {
    const from = turned ? 1 - part : part
    return { at: from * length, diameter: line(from) + bulge * much }
  })
  return profileThrough([...between, ...ends])
}
