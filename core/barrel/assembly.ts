import { nth } from '../sure'
import type { BarrelId, End, Fitting } from './fitting'

/** One part of a fitting as it goes on: where, how, and whether it is pressed a little at a time and tried. */
export interface AssemblyPart {
  /** What it is called. */
  name: string
  /** Which end of which barrel takes it; null for what goes into the pen as a whole, or is not known. */
  into: { barrel: BarrelId, end: End } | null
  /** Pressed in, or put in by hand. */
  how: 'press' | 'put in'
  /** Pressed to just short of its place, the refill tried, and pressed on. */
  tries: boolean
}

interface Rule {
  is: RegExp
  end: 'first tip' | 'first clip' | 'last clip' | null
  how: AssemblyPart['how']
  tries?: true
}

/**
 * What parts are known by their names, in the order in which they go on [the handbook, section 2: tip into the lower barrel, mechanism to
 * just short of its ring, clip and cap, band]. The first that fits counts.
 */
const RULES: readonly Rule[] = [
  { is: /\b(tip|nib|nose|front)\b/i, end: 'first tip', how: 'press' },
  { is: /mechanism|transmission/i, end: 'first clip', how: 'press', tries: true },
  { is: /spring/i, end: null, how: 'put in' },
  { is: /refill|cartridge|ink/i, end: null, how: 'put in' },
  { is: /band|ring|coupl/i, end: 'first clip', how: 'put in' },
  { is: /clip/i, end: 'last clip', how: 'press' },
  { is: /cap|button|finial/i, end: 'last clip', how: 'press' },
]
/** Tubes are in already. */
const GLUED = /\btubes?\b/i

/** The parts of a fitting in the order they go on, tubes left out; parts that nothing is known of come last, as they are listed. */
export function assemblyOf({ parts = [], barrels }: Fitting): AssemblyPart[] {
  const [first, last] = [nth(barrels, 0).id, nth(barrels, barrels.length - 1).id]
  const ends = {
    'first tip': { barrel: first, end: 'tip' },
    'first clip': { barrel: first, end: 'clip' },
    'last clip': { barrel: last, end: 'clip' },
  } as const
  const ranked = parts.filter(name => !GLUED.test(name)).map((name) => {
    const rank = RULES.findIndex(rule => rule.is.test(name))
    const { end, how, tries }: Rule = RULES[rank] ?? { is: /$/, end: null, how: 'put in' }
    const part: AssemblyPart = { name, into: end && ends[end], how, tries: tries ?? false }
    return { rank: rank < 0 ? RULES.length : rank, part }
  })
  return ranked.sort((a, b) => a.rank - b.rank).map(one => one.part)
}
