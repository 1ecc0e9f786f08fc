import { day } from '../../core/format'
import type { Pen } from '../../contract'
import type { Sheet } from './sheet'
import { tag } from './tag'

/** Sheets of labels in usual sizes, by how many are on an A4 sheet: columns, rows, and the size of one, mm. */
export const labelSheets = {
  24: { columns: 3, rows: 8, width: 70, height: 37 },
  21: { columns: 3, rows: 7, width: 63.5, height: 38.1 },
  10: { columns: 2, rows: 5, width: 105, height: 57 },
} as const
/** One of them. */
export type LabelSheet = keyof typeof labelSheets

/** What stands on the label of a bag. */
export interface Label {
  /** Its witness mark. */
  mark: string
  /** What the turner calls it. */
  name: string
  /** What it is made of and how. */
  made: string
  /** For whom, until when, for how much: what is known of it. */
  more: string
}

/** What a label is made of is set in so many points, a line of which takes so many mm. */
const [SMALL, LINE] = [8.5, 3.9]

/** The label of a pen, and what it is made of in one line. */
export const labelOf = ({ mark, name, reason, due, asked }: Pen, made: string, inMoney: (minor: number) => string): Label => ({
  mark, name, made, more: [reason, due && `due ${day(due)}`, asked === null ? '' : inMoney(asked)].filter(Boolean).join(', '),
})

/** Labels in their places, from a place on (1 the first): a sheet that was begun goes on being used. */
export function labelSheet(sheet: Sheet, labels: readonly Label[], kind: LabelSheet, from = 1): void {
  const { columns, rows, width, height } = labelSheets[kind]
  const [left, top] = [(sheet.width - columns * width) / 2, (sheet.height - rows * height) / 2]
  labels.forEach(({ mark, name, made, more }, index) => {
    const place = index + from - 1
    if (index > 0 && place % (columns * rows) === 0) sheet.page()
    const on = place % (columns * rows)
    const [x, y] = [left + (on % columns) * width + 4, top + Math.floor(on / columns) * height + 4]
    const wide = tag(sheet, mark, x, y, 13)
    const named = sheet.words(name, { x: x + wide + 3, y: y + 1.4, width: width - wide - 11, size: 11, face: 'bold', lines: 2 })
    const small = { x, width: width - 8, size: SMALL }
    const ends = sheet.words(made, { ...small, y: Math.max(y + 11, named + 0.6), lines: 2 })
    // What there is room for before the next label begins.
    const lines = Math.floor((y + height - 6 - ends - 0.6) / LINE)
    if (lines > 0) sheet.words(more, { ...small, y: ends + 0.6, lines })
  })
}
