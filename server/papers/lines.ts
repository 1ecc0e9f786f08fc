import { fontOf } from './faces'

/** Signs on end that one file of a face has. */
export interface Run {
  /** Which of the files. */
  file: number
  /** The signs. */
  text: string
}

/** A line of words as it is set. */
export interface Line {
  /** Its runs, from left to right. */
  runs: readonly Run[]
  /** How long it is. */
  length: number
}

/** How long a run is, in whatever the width is in. */
type Measure = (run: Run) => number

/** A text in runs, each of one file: the first that has a sign sets it; what none has is left to the first. */
export function runsOf(text: string, files: readonly Buffer[]): Run[] {
  const runs: Run[] = []
  for (const sign of text) {
    const code = sign.codePointAt(0) ?? 0
    const found = files.findIndex(file => fontOf(file).hasGlyphForCodePoint(code))
    const file = Math.max(0, found)
    const last = runs.at(-1)
    if (last?.file === file) last.text += sign
    else runs.push({ file, text: sign })
  }
  return runs
}

/** Where a line may end: after blanks, and after a dash before a letter; not within `3-4`. */
const PARTS = /(?<=[ \t])(?=[^ \t])|(?<=[^ \t][-–—])(?=\p{L})/u

/** Words in lines no longer than `width`; a word that is longer itself is cut. */
export function linesOf(text: string, files: readonly Buffer[], width: number, measure: Measure): Line[] {
  const lengthOf = (words: string) => runsOf(words, files).reduce((sum, run) => sum + measure(run), 0)
  return text.normalize('NFC').split('\n').flatMap((paragraph) => {
    const lines: string[] = []
    let [line, length] = ['', 0]
    const add = (part: string) => {
      if (line && length + lengthOf(withoutEnd(part)) > width) {
        lines.push(line)
        ;[line, length] = ['', 0]
      }
      line += part
      length += lengthOf(part)
    }
    for (const part of paragraph.split(PARTS)) {
      if (lengthOf(withoutEnd(part)) <= width) add(part)
      else for (const sign of part) add(sign)
    }
    return [...lines, line].map((words) => {
      const said = withoutEnd(words)
      return { runs: runsOf(said, files), length: lengthOf(said) }
    })
  })
}

/** The lines that a text is set in, at most so many: where it is longer its last words are left out, and three dots say so. */
export function cutTo(text: string, most: number, set: (text: string) => Line[]): Line[] {
  let lines = set(text)
  const words = text.split(/\s+/)
  while (lines.length > most && words.length > 1) {
    words.pop()
    lines = set(`${words.join(' ')} ...`)
  }
  return lines.slice(0, most)
}

/** Words without the blanks after them, which may stand past the edge. */
const withoutEnd = (words: string): string => words.replace(/[ \t]+$/u, '')
