import { AbrasiveError, abrasiveName, grainSize, type AbrasiveMark } from './grain'
import { nearestMark } from './convert'
import { scaleTables, type AbrasiveScale } from './scales'

/** How a scale may be written before or after its number. */
const WORDS: Record<string, AbrasiveScale> = { p: 'P', cami: 'CAMI', pad: 'pad', pads: 'pad', film: 'micron' }

/** What was typed, as it was taken. */
export interface Typed<T extends AbrasiveMark> {
  /** The abrasives, in the order typed. */
  abrasives: T[]
  /** Bare numbers that are on the shelf in more than one scale, as they were taken: “600 as P600, not CAMI 600”. */
  taken: string[]
}

/**
 * The abrasives of a ladder as somebody typed it, `150 240 400 pad 1800 film 9`; a scale may stand before its number or after it. They
 * come from those given, in the order typed. A bare number is taken from the one scale that is there with it, of several P paper first,
 * and then it is told how.
 * @throws AbrasiveError naming what was not understood or is not there, and what is
 */
export function typedLadder<T extends AbrasiveMark>(text: string, there: readonly T[]): Typed<T> {
  const typed: Typed<T> = { abrasives: [], taken: [] }
  for (const { scale, mark } of markedIn(text)) {
    if (scale) typed.abrasives.push(found({ scale, mark }, there))
    else takeBare(mark, there, typed)
  }
  return typed
}

/** Numbers with the scale that was typed with them, where one was. */
function markedIn(text: string): { scale?: AbrasiveScale, mark: number }[] {
  const parts = text.trim().toLowerCase().split(/[\s,;·]+/).filter(Boolean)
  const marked: { scale?: AbrasiveScale, mark: number }[] = []
  let before: AbrasiveScale | undefined
  for (const [index, part] of parts.entries()) {
    const word = WORDS[part]
    const last = marked.at(-1)
    // A word goes with the number after it; with the one before where that has none and no number follows.
    const next = parts[index + 1]
    if (word && last && !last.scale && (next === undefined || next in WORDS)) last.scale = word
    else if (word) before = word
    else {
      const [, prefix, mark] = /^(p?)(\d+(?:\.\d+)?)(?:µm)?$/.exec(part) ?? []
      if (!mark) throw new AbrasiveError(unknown(part))
      const scale = prefix ? 'P' : before
      marked.push({ ...(scale ? { scale } : {}), mark: Number(mark) })
      before = undefined
    }
  }
  if (before) throw new AbrasiveError('A number is missing at the end. Write it like 150 240 400 pad 1800 film 9.')
  return marked
}

/** Scales that are not kept here, by how their grades begin; their numbers mean other grains. */
const OTHERS: Record<string, string> = {
  f: 'F grades are for bonded wheels and loose grain, and their numbers are other sizes than those of paper',
  j: 'JIS grades, written with J or #, run by other sizes than P paper',
}
function unknown(part: string): string {
  const other = OTHERS[/^(f|j|#)(?:is)?-?\d+$/.exec(part)?.[1]?.replace('#', 'j') ?? '']
  return other
    ? `“${part}”: ${other}. Look at the sheet for its P grade or its µm.`
    : `“${part}” is not the name of a grit. Write it like 150 240 400 pad 1800 film 9.`
}

function found<T extends AbrasiveMark>(wanted: AbrasiveMark, there: readonly T[]): T {
  const one = there.find(row => row.scale === wanted.scale && row.mark === wanted.mark)
  if (one) return one
  const { scale, mark } = wanted
  if (scale !== 'micron' && scaleTables[scale].grains[String(mark)] === undefined) {
    const paper = scaleTables.P.grains[String(mark)]
    // Nowhere: its own scale says what is nearest.
    if (paper === undefined) grainSize(scale, mark)
    const near = abrasiveName(nearestMark(paper ?? 0, scale).mark)
    throw new AbrasiveError(`There is no ${abrasiveName(wanted)}. P${mark} is paper; what comes nearest to it there is ${near}.`)
  }
  throw new AbrasiveError(`${abrasiveName(wanted)} is not on the shelf. Put it there first, or leave it out.`)
}

/** The order in which scales are taken where a bare number is in several. */
const FIRST: readonly AbrasiveScale[] = ['P', 'CAMI', 'pad']

function takeBare<T extends AbrasiveMark>(mark: number, there: readonly T[], typed: Typed<T>): void {
  const all = FIRST.flatMap(scale => there.filter(row => row.scale === scale && row.mark === mark))
  const [first, ...others] = all
  if (!first) return void typed.abrasives.push(found({ scale: 'P', mark }, there))
  typed.abrasives.push(first)
  if (others.length || first.scale !== 'P')
    typed.taken.push(`${mark} as ${abrasiveName(first)}${others.length ? `, not ${others.map(abrasiveName).join(' or ')}` : ''}`)
}
