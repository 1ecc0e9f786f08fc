import { plainWord } from './words'

/** What a column may hold: what it is called in sheets, and whether a cell could be of it. */
export interface Sought {
  /** Its name. */
  field: string
  /** Words that stand over such a column, as they are compared. */
  heads: readonly string[]
  /** Whether a cell that is not empty could be of it. */
  fits: (cell: string) => boolean
}

/** So many cells are looked at for a guess. */
const LOOKED_AT = 200
/** A column of which less than this part fits is another one [model]. */
const FITTING = 0.5

/** A heading as it is compared: without what stands in brackets, which is mostly a unit. */
const headWord = (head: string): string => plainWord(head.replace(/[([{].*?[)\]}]/gu, ' '))

/** How well a heading names what is sought: 1 by its very words, less where it has others too, 0 not at all. */
function named(head: string, heads: readonly string[]): number {
  const words = headWord(head)
  if (!words) return 0
  const own = new Set(words.split(' '))
  const parts = heads.map((one) => {
    const sought = one.split(' ')
    return sought.every(word => own.has(word)) ? sought.length / own.size : 0
  })
  return Math.max(0, ...parts)
}

/**
 * Which column most likely holds what, by their headings, as long as their cells could be of it: the best match first, each column and
 * each field once. Answers the column’s number by the field’s name.
 */
export function guessColumns(heads: readonly string[], rows: readonly (readonly string[])[], all: readonly Sought[]): Map<string, number> {
  const looked = rows.slice(0, LOOKED_AT)
  const found = heads.flatMap((head, column) => all.flatMap(({ field, heads: names, fits }, rank) => {
    const score = named(head, names)
    if (!score) return []
    const cells = looked.map(row => row[column]?.trim() ?? '').filter(Boolean)
    const fitting = cells.filter(fits).length
    return cells.length && fitting < FITTING * cells.length ? [] : [{ field, column, score, rank }]
  }))
  const taken = new Map<string, number>()
  for (const { field, column } of found.sort((a, b) => b.score - a.score || a.rank - b.rank || a.column - b.column))
    if (!taken.has(field) && ![...taken.values()].includes(column)) taken.set(field, column)
  return taken
}

/** The unit of lengths that a heading says, `mm` where it says none. */
export const unitOver = (head: string): 'mm' | 'in' => (/[([ ](in|inch|inches|")[)\] ]?$/iu.test(head.trim()) ? 'in' : 'mm')
