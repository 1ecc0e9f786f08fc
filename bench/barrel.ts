import { nth } from '../core/sure'
import { cutStock, type StockProblem } from '../core/barrel'
import { moistureFrom } from '../core/climate'
import { measure } from './measure'

/** A fixed series of numbers from 0 to 1, so that every run lays out the same pieces. */
function series(seed: number): () => number {
  let state = seed
  return () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647
}

function problem(pieces: number, sticks: readonly number[], lengths: () => number): StockProblem {
  return {
    wanted: Array.from({ length: pieces }, (_, index) => ({ id: String(index), length: lengths() })),
    stock: sticks.map((length, index) => ({ id: `s${index}`, length, count: 200 })),
    kerf: 1.2,
    trim: 2,
  }
}

export function barrelBench(): void {
  const next = series(7)
  const fittings = [63.4, 116.2, 61, 113, 60.2]
  const usual = problem(100, [300, 450], () => nth(fittings, Math.floor(next() * fittings.length)))
  const random = problem(100, [300, 450, 1000], () => 50 + Math.round(next() * 800) / 10)
  measure('100 pieces of five fittings into sticks', () => cutStock(usual), 40)
  measure('100 pieces, every one another length', () => cutStock(random), 40)
  for (const [name, one] of [
    ['five fittings', usual],
    ['all lengths', random],
  ] as const) {
    const { used, bound } = cutStock(one)
    console.log(`  ${name}: begins ${(used / bound).toFixed(3)} times the lower bound`)
  }
  const readings = [0, 7, 14].map(day => ({ at: new Date(Date.UTC(2026, 9, 1 + day)).toISOString(), grams: 58 - day * 0.3 }))
  measure(
    'moisture from three weighings',
    () => moistureFrom(readings, { thickness: 20 }, { celsius: 20, humidity: 55 }, '2026-10-20T00:00:00.000Z'),
    60,
  )
}
