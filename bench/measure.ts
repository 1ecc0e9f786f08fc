import { hrtime } from 'node:process'
import { nth } from '../core/sure'

/** The line above the figures. */
export function head(unit: string): void {
  console.log(`${unit.padEnd(52)} ${['median', '90 %', '99 %', 'most'].map(name => name.padStart(9)).join(' ')}`)
}

/** Prints times, in ms, as a distribution. */
export function show(name: string, taken: readonly number[]): void {
  const sorted = [...taken].sort((a, b) => a - b)
  const at = (part: number) => nth(sorted, Math.min(sorted.length - 1, Math.floor(part * sorted.length))).toFixed(3).padStart(9)
  console.log(`${name.padEnd(52)} ${at(0.5)} ${at(0.9)} ${at(0.99)} ${at(1)}`)
}

/** Times a piece of core code again and again. */
export function measure(name: string, run: () => unknown, times = 300): void {
  for (let warm = 0; warm < Math.min(30, times); warm++) run()
  show(
    name,
    Array.from({ length: times }, () => {
      const start = hrtime.bigint()
      run()
      return Number(hrtime.bigint() - start) / 1e6
    }),
  )
}
