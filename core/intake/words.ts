/** Something that a cell can name: its id, and what it is called. */
export interface Named {
  /** Its id. */
  id: string
  /** What it is called. */
  name: string
}

/** A word as it is compared: small letters without accents, everything else than letters and figures a space. */
export const plainWord = (text: string): string =>
  text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ' ').trim()

/** The one among these that a cell names by its name or its id; undefined where none does. */
export function namedBy(text: string, among: readonly Named[]): Named | undefined {
  const typed = plainWord(text)
  return among.find(one => plainWord(one.name) === typed || plainWord(one.id) === typed)
}

/**
 * The one among these that a cell most likely means where it does not name it: all words of one are in the other, and of no other one
 * as many. Undefined where that fits none, or several alike.
 */
export function meantBy(text: string, among: readonly Named[]): Named | undefined {
  const typed = new Set(plainWord(text).split(' '))
  const scored = among.map((one) => {
    const own = plainWord(one.name).split(' ')
    const both = own.filter(word => typed.has(word)).length
    const isPart = both === own.length || both === typed.size
    return { one, score: isPart ? both / (own.length + typed.size - both) : 0 }
  }).filter(({ score }) => score > 0)
  const best = Math.max(0, ...scored.map(({ score }) => score))
  const [found, ...others] = scored.filter(({ score }) => score === best)
  return others.length ? undefined : found?.one
}

/** What a cell with several of them lists: parted by semicolons, commas, strokes, plus signs or “and”. */
export const listedIn = (text: string): string[] => text.split(/[;,/+&]|\band\b/iu).map(one => one.trim()).filter(Boolean)

const YES = new Set(['yes', 'y', 'true', '1', 'x', 'ja', 'oui', 'si'])
const NO = new Set(['no', 'n', 'false', '0', 'nein', 'non', ''])

/** What a cell answers; undefined where it says neither yes nor no. */
export function yesIn(text: string): boolean | undefined {
  const typed = plainWord(text)
  if (YES.has(typed) || /^[✓\u2714]$/u.test(text.trim())) return true
  return NO.has(typed) ? false : undefined
}
