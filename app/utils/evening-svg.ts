import { addMinutes, format } from 'date-fns'
import { alongEvenings, eveningName, type Column, type Group } from './evening-view'
import { isLight, type Row, type Span } from './evening-rows'

/** What the evenings are drawn from. */
export interface EveningDrawing {
  /** Evenings and nights side by side. */
  columns: readonly Column[]
  /** The lines of hands, each with its name, and where others are there and they are not. */
  hands: readonly { name: string, groups: readonly Group[], away: readonly Span[] }[]
  /** The pens. */
  rows: readonly Row[]
  /** The moment it is drawn at. */
  now: Date
}

/** Sizes, px: the whole, the names, a row, the heads; a letter’s width at the size of the words in a block. */
const [WIDE, NAME, HIGH, HEAD, LETTER] = [1200, 150, 34, 40, 7]
const COLOURS = { ink: '#1c2b24', quiet: '#5b665f', evening: '#fffdf7', night: '#e6e2d6', wait: '#3d6f8e', harm: '#a23a2a' }

const escaped = (text: string): string => text.replace(/[&<>"]/g, sign => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? '')
const tag = (name: string, attributes: Record<string, string | number>, content = ''): string =>
  `<${name} ${Object.entries(attributes).map(([key, value]) => `${key}="${escaped(String(value))}"`).join(' ')}>${content}</${name}>`
const word = (x: number, y: number, text: string, how: Record<string, string | number> = {}): string =>
  tag('text', { x, y, 'font-size': 13, 'fill': COLOURS.ink, ...how }, escaped(text))

const upright = (x: number, [y1, y2]: readonly [number, number], stroke: string): string =>
  tag('line', { 'x1': x, 'x2': x, y1, y2, stroke, 'stroke-width': 2 })

/**
 * The coming evenings as an SVG of its own, in light colours: what hands do on top, a row for each pen with its work, what runs by itself,
 * latest times and promised days.
 */
export function eveningSvg({ columns, hands, rows, now }: EveningDrawing): string {
  const x = (moment: Date) => Math.round(10 * (NAME + (WIDE - NAME) * alongEvenings(columns, moment))) / 10
  const height = HEAD + HIGH * (hands.length + rows.length) + 6
  const ground = columns.map(({ kind, from, left, width }) => {
    const [at, wide] = [NAME + left * (WIDE - NAME), width * (WIDE - NAME)]
    const head = kind === 'evening' ? word(at + 6, 17, eveningName(from, now), { 'font-weight': 700 }) : ''
    return tag('rect', { x: at, y: 0, width: wide, height, fill: COLOURS[kind] }) + head
  })
  const hours = columns.filter(one => one.kind === 'evening').map(({ from, to, left }) =>
    word(NAME + left * (WIDE - NAME) + 6, 33, `${format(from, 'HH:mm')}–${format(to, 'HH:mm')}`, { fill: COLOURS.quiet }))
  const bar = ({ from, to }: Span, y: number, high: number, fill: string, says: string, ink: string) => {
    const wide = Math.max(2, x(to) - x(from))
    const fits = says.length * LETTER + 6 <= wide
    return tag('rect', { x: x(from), y, width: wide, height: high, rx: 2, fill })
      + (fits ? word(x(from) + 4, y + high / 2 + 4.5, says, { 'fill': ink, 'font-size': 12 }) : '')
  }
  const lines = hands.map(({ name, groups, away }, index) => {
    const y = HEAD + HIGH * index
    return away.map(one => bar(one, y, HIGH, COLOURS.night, '', '')).join('')
      + word(NAME - 8, y + 21, name, { 'text-anchor': 'end', 'font-weight': 700 })
      + groups.map(one => bar(one, y + 7, 20, COLOURS.ink, one.short, '#ffffff')).join('')
  })
  const pens = rows.map(({ board, bands, waits, edges, flag }, index) => {
    const y = HEAD + HIGH * (hands.length + index)
    const { colour } = board.summary.material
    return word(NAME - 8, y + 21, `${board.pen.mark} ${board.pen.name}`.slice(0, 20), { 'text-anchor': 'end' })
      + waits.map(one => bar(one, y + 15, 5, COLOURS.wait, '', '')).join('')
      + bands.map(one => bar(one, y + 7, 20, colour, one.says, isLight(colour) ? COLOURS.ink : '#ffffff')).join('')
      + edges.map(one => upright(x(one.at), [y + 2, y + HIGH - 2], one.missed ? COLOURS.harm : COLOURS.ink)).join('')
      + (flag ? tag('path', { d: `M${x(flag.at)} ${y + 28}v-20l12 5l-12 5`, fill: flag.kept ? COLOURS.ink : COLOURS.harm }) : '')
  })
  const [first, last] = [columns[0], columns.at(-1)]
  const isNow = first && last && now < last.to && addMinutes(now, 1) > first.from
  const mark = isNow ? upright(x(now), [HEAD, height], COLOURS.ink) : ''
  return tag('svg', {
    'xmlns': 'http://www.w3.org/2000/svg', 'width': WIDE, height, 'viewBox': `0 0 ${WIDE} ${height}`, 'font-family': 'sans-serif',
  }, [...ground, ...hours, ...lines, ...pens, mark].join(''))
}
