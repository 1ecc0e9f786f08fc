import type { Sheet } from './sheet'

/** The witness mark as it is stamped: answers how wide it is, mm. */
export function tag(sheet: Sheet, mark: string, x: number, y: number, size = 14): number {
  const tall = size * 0.62
  const wide = 6 + mark.length * size * 0.24
  sheet.box(x, y, wide, tall, { line: '#1c2b24', weight: 0.5 })
  sheet.line([x + 2.6, y], [x + 1, y + tall], 0.5, '#1c2b24')
  sheet.words(mark, { x: x + 3.6, y: y + tall * 0.16, width: wide - 3, size: size * 0.95, face: 'head' })
  return wide
}
