import type { Pin } from '../../schemas'
import type { Shown } from './evening-view'
import { clockTime } from './times'

/** A wish in words: `Not before Mon 20:15`. */
export function wishWords({ kind, at, weight }: Pick<Pin, 'kind' | 'at'> & Partial<Pick<Pin, 'weight'>>, now: Date): string {
  if (kind === 'first') return 'This first'
  if (kind === 'together') return 'In one go'
  if (kind === 'weight') return weight && weight > 1 ? `Its promise counts ${weight} times` : 'Its promise counts as any other'
  return `${kind === 'by' ? 'Begun by' : 'Not before'} ${at ? clockTime(at, now) : ''}`
}

/** What the turner wants of the order, as it counts in the evenings that are planned. */
export interface Wished {
  /** By which it is taken back. */
  id: string
  /** The pens it is about. */
  marks: readonly string[]
  /** What of them: `P320`; empty where it is about the whole pen. */
  title: string
  /** What is wanted. */
  says: string
}

/** Wishes about work that is still to be done, those in one go as one, in the order of the work. */
export function wishesOf(pins: readonly Pin[], blocks: readonly Shown[], now: Date): Wished[] {
  const seen = new Map<string, Wished & { at: number }>()
  for (const pin of pins) {
    const at = blocks.findIndex(one => one.pen === pin.pen && (pin.step === null || one.is.id === pin.step))
    const block = blocks[at]
    if (!block) continue
    const key = pin.group ?? pin.id
    const before = seen.get(key)
    seen.set(key, {
      id: pin.id,
      marks: [...(before?.marks ?? []), block.board.pen.mark],
      title: pin.step === null ? '' : block.title,
      says: wishWords(pin, now),
      at: Math.min(before?.at ?? Infinity, at),
    })
  }
  return [...seen.values()].sort((a, b) => a.at - b.at).map(({ at: _, ...one }) => one)
}
