import type { Source } from '../figures'

/**
 * Speed of the surface under the hand, in m/min, for a diameter in mm at a spindle speed in rev/min: π · D · n (machinists' handbook
 * formula).
 */
export function surfaceSpeed(diameterMm: number, revPerMin: number): number {
  return ((Math.PI * diameterMm) / 1000) * revPerMin
}

/** Spindle speed, rev/min, that gives a surface speed (m/min) on a diameter (mm). */
export const spindleSpeed = (diameterMm: number, metresPerMinute: number): number => metresPerMinute / ((Math.PI * diameterMm) / 1000)

export type Operation = 'drilling' | 'turning' | 'sanding' | 'CA' | 'friction polish' | 'lacquer' | 'wax' | 'polishing'

/** The speeds that one school runs an operation at, rev/min. */
export interface SpeedWindow {
  /** What is done. */
  operation: Operation
  /** Which school, where they differ. */
  school?: 'slow' | 'fast'
  /** The slowest that works, rev/min. */
  least: number
  /** The fastest that is safe, rev/min. */
  most: number
  /** What goes wrong outside. */
  why: string
  /** Where the figures are from. */
  source: Source
}

const trade: Source = { mark: 'trade', note: 'range seen among turners' }

/** Windows of spindle speed by operation and school. */
export const speedWindows: readonly SpeedWindow[] = [
  { operation: 'drilling', least: 400, most: 500, why: 'Faster packs and heats the bit', source: trade },
  { operation: 'turning', least: 3000, most: 4000, why: 'A clean cut wants speed; round the corners slower', source: trade },
  {
    operation: 'sanding',
    school: 'slow',
    least: 500,
    most: 1000,
    why: 'Faster burns the paper and burnishes instead of cutting',
    source: trade,
  },
  { operation: 'sanding', school: 'fast', least: 2000, most: 4000, why: 'Quicker', source: trade },
  { operation: 'CA', least: 0, most: 500, why: 'Faster throws it off', source: trade },
  { operation: 'friction polish', least: 2000, most: 4000, why: 'It needs the warmth', source: trade },
  { operation: 'lacquer', least: 0, most: 1000, why: 'Thin coats that flow', source: trade },
  { operation: 'wax', least: 900, most: 1100, why: 'Warm enough to spread', source: trade },
  { operation: 'polishing', least: 700, most: 2000, why: 'Compound cuts without heat', source: trade },
]

/** Where a spindle speed lies for an operation: within a school's window, or how far beyond all of them. */
export function speedVerdict(operation: Operation, revPerMin: number): { within: SpeedWindow | null, nearest: SpeedWindow } {
  const windows = speedWindows.filter(window => window.operation === operation)
  const distance = ({ least, most }: SpeedWindow) => Math.max(least - revPerMin, revPerMin - most, 0)
  const nearest = windows.reduce((best, window) => (distance(window) < distance(best) ? window : best))
  return { within: distance(nearest) === 0 ? nearest : null, nearest }
}
