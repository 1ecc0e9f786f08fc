import type { EveningProblem } from '../../core/evening'
import { chance } from './chance'

/** How small evenings are made. */
interface Small {
  latest?: boolean
  changes?: boolean
}

/** Evenings of three pens of six steps, with changes and without, that an independent program can prove too. */
export const PROVEN = [
  { seed: 1, pens: 3, pieces: 6, changes: false },
  { seed: 3, pens: 3, pieces: 6, changes: false },
  { seed: 3, pens: 3, pieces: 6, changes: true },
]
/** And of four pens, which takes it most of a minute. */
export const PROVEN_SLOWLY = { seed: 7, pens: 4, pieces: 6, changes: false }

/** Small evenings with nights between, waits, changes (of some where it is not said), and latest times where it is said. */
export function smallEvenings(seed: number, pens: number, pieces: number, what: Small = {}): EveningProblem {
  const { uniform } = chance(seed)
  const whole = (least: number, most: number) => least + Math.floor(uniform() * (most - least + 1))
  const pick = <T>(all: readonly T[]): T => all[Math.floor(uniform() * all.length)]!
  return {
    pens: Array.from({ length: pens }, (_, pen) => ({
      id: String(pen),
      work: Array.from({ length: pieces }, (_, step) => {
        const wait = step ? pick([0, 0, 20, 60]) : 0
        const isBound = what.latest && step > 0 && uniform() < 0.4
        return {
          step: String(step), hands: whole(4, 20), wait, setUp: { kind: 'bit', which: what.changes === false ? '7' : pick(['7', '8']) },
          ...(isBound ? { latest: wait + whole(5, 40) } : {}),
        }
      }),
      after: pick([0, 50]),
    })),
    hours: [{ from: 0, to: (70 * pieces) / 3 }, { from: 300, to: 360 }, { from: 600, to: 700 }],
    changes: { bit: what.changes === undefined ? pick([0, 6]) : 6 },
    setUp: { kind: 'bit', which: '7' },
  }
}
