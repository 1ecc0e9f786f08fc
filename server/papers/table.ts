import type { Sheet } from './sheet'

/** A column of a table on paper. */
export interface Column {
  /** What stands above it; nothing where it says itself what it is. */
  title?: string
  /** How wide, mm. */
  width: number
  /** To which side. */
  align?: 'left' | 'right'
  /** Whether its words matter most. */
  bold?: true
}

const GAP = 2

/** A table below what was set last: each row as tall as its tallest cell, never broken over two pages, its head again on each. */
export function table(sheet: Sheet, columns: readonly Column[], rows: readonly (readonly string[])[], size = 9.5): void {
  const places = columns.map((_, index) => sheet.margin + columns.slice(0, index).reduce((sum, one) => sum + one.width + GAP, 0))
  const right = sheet.margin + columns.reduce((sum, one) => sum + one.width + GAP, -GAP)
  const titled = columns.some(column => column.title)
  const row = (cells: readonly string[], face?: 'bold') => {
    const top = sheet.at()
    const ends = columns.map(({ width, align = 'left', bold }, index) => sheet.words(cells[index] ?? '', {
      x: places[index] ?? sheet.margin, y: top, width, align, size, face: face ?? (bold ? 'bold' : 'plain'),
    }))
    sheet.to(Math.max(...ends) + 1.2)
    sheet.line([sheet.margin, sheet.at() - 0.5], [right, sheet.at() - 0.5], 0.15, '#cfd6c6')
  }
  const head = () => row(columns.map(column => column.title ?? ''), 'bold')
  if (titled) head()
  for (const cells of rows) {
    const before = sheet.at()
    sheet.needs(14)
    if (titled && sheet.at() < before) head()
    row(cells)
  }
}
