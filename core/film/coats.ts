import { filmAfter, thinnest, type Film, type FilmStep } from './film'

export interface CoatsAnswer {
  /** How many coats. */
  coats: number
  /** The film once levelled and polished, µm. */
  film: Film
  /** False when even the most coats tried leave less than the target. */
  enough: boolean
}

/**
 * The fewest coats for which the film left at the thinnest place stays at or above `target` µm after everything that is done to it.
 * `steps(n)` gives the whole sequence, coats, levelling and polishing, for n coats. Tries `least` to `most`; when none is enough,
 * answers `most`.
 */
export function coatsNeeded(target: number, steps: (coats: number) => readonly FilmStep[], least = 1, most = 24): CoatsAnswer {
  for (let coats = least; coats <= most; coats++) {
    const film = filmAfter(steps(coats))
    if (thinnest(film) >= target) return { coats, film, enough: true }
  }
  return { coats: most, film: filmAfter(steps(most)), enough: false }
}
