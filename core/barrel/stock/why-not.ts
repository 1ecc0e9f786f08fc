import type { StockProblem, WantedStick } from './problem'

/** Why a piece has no stick: none of its wood is there, all of them are too thin or too short, or the others have taken them. */
export type WhyNot = 'no such wood' | 'too thin' | 'too short' | 'used up'

/** Why no stick is left for a piece: the first that is true of every stick it might have come from. */
export function whyNot({ stock, trim = 0 }: StockProblem, { from, section = 0, length }: WantedStick): WhyNot {
  const own = stock.filter(stick => stick.count > 0 && (!from || from.includes(stick.id)))
  if (!own.length) return 'no such wood'
  const thick = own.filter(stick => section <= (stick.section ?? Infinity))
  if (!thick.length) return 'too thin'
  return thick.some(stick => stick.length - 2 * trim >= length) ? 'used up' : 'too short'
}
