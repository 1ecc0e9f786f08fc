import { ZxcvbnFactory } from '@zxcvbn-ts/core'
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common'
import type { Role } from './people'

/**
 * As so many guesses a password has to stand at least [model]. An owner’s: what takes a machine with the kept form of it long. Others’, a
 * PIN too: not among what anybody tries first; the door lets nobody try on and on.
 */
const LEAST: Readonly<Record<'owner' | 'other', number>> = { owner: 1e8, other: 1e3 }
/** Signs after these make it no easier to guess, and the reckoning slow. */
const READ = 60

let kept: ZxcvbnFactory | undefined

/**
 * How many guesses a password takes somebody who knows what people use, the thirty thousand that leaked most often first, and the names
 * that stand around it.
 */
export function guessesOf(secret: string, names: readonly string[] = []): number {
  kept ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs })
  const around = ['oxlip', ...names.flatMap(one => [one, ...one.split(/\s+/)])].filter(one => one.length > 2)
  return kept.check(secret.slice(0, READ), around).guesses
}

/** What is wrong with a password that is guessed too soon for a role; undefined where it will do. */
export function guessedSoon(role: Role, guesses: number): string | undefined {
  if (guesses < LEAST.other) return 'Is among the first that anybody tries. Take another.'
  const isWeak = role === 'owner' && guesses < LEAST.owner
  return isWeak ? 'Is guessed too soon for an owner. Take several words that nobody would put together.' : undefined
}

/** How long a password stands against guessing, in words. */
export function guessWords(guesses: number): string {
  const power = Math.log10(guesses)
  if (power < 3) return 'found at once'
  if (power < 6) return 'found after some thousands of tries'
  if (power < 8) return 'found after some millions of tries'
  return power < 12 ? 'hard to find' : 'very hard to find'
}
