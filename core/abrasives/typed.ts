import { AbrasiveError, abrasiveName, type AbrasiveMark } from './grain'
import type { AbrasiveScale } from './scales'

/** How a scale may be written before its number. */
const WORDS: Record<string, AbrasiveScale> = { '': 'P', 'p': 'P', 'cami': 'CAMI', 'pad': 'pad', 'film': 'micron' }

/**
 * The abrasives of a ladder as somebody typed it, `150 240 400 pad 1800 film 9`: a bare number is P paper. They come from those given,
 * in the order typed.
 * @throws AbrasiveError naming what was not understood or is not there
 */
export function typedLadder<T extends AbrasiveMark>(text: string, there: readonly T[]): T[] {
  const parts = text
    .trim()
    .toLowerCase()
    .split(/[\s,;·]+/)
    .filter(Boolean)
  const found: T[] = []
  let scale = ''
  for (const part of parts) {
    if (part in WORDS && part) {
      scale = part
      continue
    }
    const [, prefix, mark] = /^(p?)(\d+(?:\.\d+)?)(?:µm)?$/.exec(part) ?? []
    if (!mark) throw new AbrasiveError(`“${part}” is no grit. Write it like 150 240 400 pad 1800 film 9.`)
    const wanted: AbrasiveMark = { scale: WORDS[prefix || scale] ?? 'P', mark: Number(mark) }
    const one = there.find(row => row.scale === wanted.scale && row.mark === wanted.mark)
    if (!one) throw new AbrasiveError(`${abrasiveName(wanted)} is not on the shelf. Put it there first, or leave it out.`)
    found.push(one)
    scale = ''
  }
  return found
}
