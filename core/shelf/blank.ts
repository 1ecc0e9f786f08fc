import type { MoistureReading } from '../climate'

/** A blank of the shelf as a plan takes it; lengths in mm. What is not known is absent. */
export interface Blank {
  /** Its name on the shelf. */
  id: string
  /** What the turner calls it. */
  name: string
  /** One side of its section, mm. */
  width?: number
  /** The other side of its section, mm. */
  height?: number
  /** Its length along the grain, mm. */
  length?: number
  /** It came in wet, or nobody knows. */
  damp: boolean
  /** Weighings and meter readings so far. */
  readings: readonly MoistureReading[]
}

/** A blank as the shelf keeps it: what is not known is null. */
export interface KeptBlank extends Pick<Blank, 'id' | 'name' | 'damp'> {
  /** One side of its section, mm. */
  width: number | null
  /** The other side, mm. */
  height: number | null
  /** Its length, mm. */
  length: number | null
  /** Weighings and meter readings, each with its id. */
  readings: readonly (MoistureReading & { id: string })[]
}

/** A blank of the shelf as a plan takes it. */
export function planBlank({ id, name, width, height, length, damp, readings }: KeptBlank): Blank {
  return {
    id,
    name,
    damp,
    ...(width !== null ? { width } : {}),
    ...(height !== null ? { height } : {}),
    ...(length !== null ? { length } : {}),
    readings: readings.map(({ id: _, ...reading }) => reading),
  }
}

/** Its thinner side, mm; undefined when neither is known. */
export function thinnestSide({ width, height }: Pick<Blank, 'width' | 'height'>): number | undefined {
  if (width === undefined && height === undefined) return undefined
  return Math.min(width ?? Infinity, height ?? Infinity)
}
