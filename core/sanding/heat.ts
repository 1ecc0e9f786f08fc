import type { Medium } from './medium'
import type { Pass } from './work'

/** How warm a pass gets the surface. */
export interface Heat {
  /** Load against 40 m/min at medium pressure kept up: 1 is that. */
  load: number
  /** How warm the work gets. */
  level: 'cool' | 'warm' | 'hot'
  /** What to do where it runs high. */
  advice?: string
}

/** Seconds in which a surface takes on two thirds of its heat [model]. */
const SOAK = 20
/** Loads from which it counts as warm and hot, by what is sanded [model]: resin softens first, film clouds. */
const LIMITS: Record<Medium['kind'], { warm: number, hot: number }> = {
  wood: { warm: 1, hot: 1.8 },
  film: { warm: 0.7, hot: 1.2 },
  resin: { warm: 0.6, hot: 1 },
}

/**
 * Heat load of sanding for so many seconds without a pause: speed × pressure, growing as the surface soaks it up; water takes two
 * thirds of it away [model].
 */
export function heatOf(pass: Pick<Pass, 'speed' | 'pressure' | 'medium'>, seconds: number, wet = false): Heat {
  const load = (pass.speed / 40) * pass.pressure * (1 - Math.exp(-Math.max(0, seconds) / SOAK)) * (wet ? 1 / 3 : 1)
  const { warm, hot } = LIMITS[pass.medium.kind]
  if (load < warm) return { load, level: 'cool' }
  if (load < hot) return { load, level: 'warm', advice: 'Keep it moving, let shavings carry the heat away.' }
  return {
    load,
    level: 'hot',
    advice:
      pass.medium.kind === 'wood'
        ? 'Slower, lighter, in short spells: this burns the paper and checks the wood.'
        : 'Slower and wet, in short spells: this melts or clouds the surface.',
  }
}
