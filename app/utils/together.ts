import type { ListedPen } from '#contract'
import type { Operation } from '#core/bench'
import { allWord, countWord } from './times'

/** What stays as it is, and what is saved by that: once, and several times; where that has no name, nothing. */
const SAVED: Record<Operation['saves'], readonly [says: string, once?: string, times?: string]> = {
  'bit': ['One bit for all of them', 'change of bit', 'changes of bit'],
  'bushings': ['The bushings stay on', 'change of bushings', 'changes of bushings'],
  'glue': ['The glue is out once', 'round with the glue', 'rounds with the glue'],
  'paper': ['One paper in the hand', 'change of paper', 'changes of paper'],
  'bottle': ['One bottle and one applicator', 'change of bottle', 'changes of bottle'],
  'set-up': ['Set up once for all of them'],
}

/** What working so many pens together saves, in a line. */
export function savedWords(saves: Operation['saves'], pens: number): string {
  const [says, once, times] = SAVED[saves]
  return once ? `${says}: ${pens - 1} ${pens === 2 ? once : times} saved.` : `${says}.`
}

/** What the yellow key says: of so many pens that are in it, of so many that could be. */
export function togetherKey(count: number, all: number, done: string): string {
  if (count === 1 && all === 1) return done
  if (count === all) return `${allWord(count)}: ${done}`
  return `${countWord(count)} of ${countWord(all).toLowerCase()}: ${done}`
}

/** Pens on which the same can be done now. */
export interface TogetherOffer {
  /** What. */
  key: string
  /** In words. */
  title: string
  /** On which. */
  pens: readonly ListedPen[]
}

/** What can be done on two pens and more now, the most pens first; a pen that waits, or has an open defect, is in none. */
export function togetherOffers(listed: readonly ListedPen[], now: Date): TogetherOffer[] {
  const offers = new Map<string, ListedPen[]>()
  for (const one of listed) {
    const { next, wait, openDefects } = one.summary
    if (!next?.together || openDefects || (wait && new Date(wait.until) > now)) continue
    offers.set(next.together, [...(offers.get(next.together) ?? []), one])
  }
  return [...offers]
    .flatMap(([key, pens]) => (pens.length > 1 ? [{ key, pens, title: pens[0]?.summary.next?.title ?? '' }] : []))
    .sort((a, b) => b.pens.length - a.pens.length)
}
