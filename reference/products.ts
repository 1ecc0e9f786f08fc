import type { BaseWait, Product } from '../core/plan'

const trade = { mark: 'trade' as const, note: 'common practice; the label stands above it' }
const film = { mark: 'model' as const, note: 'starting value; your own measurements replace it' }
const wait = (plain: number, accelerated?: number): BaseWait => ({ plain, ...(accelerated ? { accelerated } : {}), source: trade })

const MINUTE = 60
const HOUR = 3600

/** Glues, finishes and polishes, named by what they are. Film in µm for one coat, base waits in s at 21 °C. */
export const products: readonly Product[] = [
  {
    id: 'thin-ca', name: 'Thin CA', role: 'thin CA', setsBy: 'moisture', source: trade,
    film: { build: 8, unevenness: 4, source: film },
    waits: {
      'next coat': wait(75, 12), 'level': wait(20 * MINUTE, 210), 'assemble': wait(12 * HOUR), 'hand over': wait(24 * HOUR),
      'square': wait(12 * HOUR, 5 * MINUTE), 'sand': wait(20 * MINUTE, 4 * MINUTE),
    },
  },
  {
    id: 'medium-ca', name: 'Medium CA', role: 'medium CA', setsBy: 'moisture', source: trade,
    film: { build: 25, unevenness: 14, source: film },
    waits: {
      'next coat': wait(3 * MINUTE, 22), 'level': wait(30 * MINUTE, 5 * MINUTE), 'assemble': wait(12 * HOUR), 'hand over': wait(24 * HOUR),
      'square': wait(12 * HOUR, 5 * MINUTE), 'sand': wait(30 * MINUTE, 5 * MINUTE),
    },
  },
  { id: 'accelerator', name: 'Accelerator', role: 'accelerator', source: trade },
  { id: 'tube-epoxy', name: 'Five-minute epoxy', role: 'tube epoxy', setsBy: 'warmth', source: trade, waits: { square: wait(2 * HOUR) } },
  { id: 'plastic-polish', name: 'Plastic polish', role: 'plastic polish', source: trade },
  { id: 'alcohol', name: 'Alcohol', role: 'alcohol', source: trade },
]
