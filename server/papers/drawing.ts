import { grainLines, layStrip, outline, type BarrelId, type Fitting, type LaidStrip, type Shape } from '../../core/barrel'
import type { Sheet } from './sheet'

/** A pen to be drawn: its fitting, its shapes, and the colour of its wood. */
export interface DrawnPen {
  /** Its metal parts. */
  fitting: Fitting
  /** Its shapes where they are not the usual ones. */
  shapes?: Partial<Record<BarrelId, Shape>>
  /** The colour of its wood. */
  colour: string
}

const METAL = '#a2aaa2'

/** What is drawn of a pen, in mm about its middle line: shaft, bushings, barrels with their grain. */
function partsOf({ fitting, shapes }: DrawnPen): { strip: LaidStrip, metal: string, barrels: string[], grain: string[] } {
  const strip = layStrip(fitting, shapes)
  const block = (x: number, width: number, thick: number) => `M${x} ${-thick / 2}h${width}v${thick}h${-width}Z`
  return {
    strip,
    metal: block(0, strip.width, 3) + strip.bushings.map(({ x, width, diameter }) => block(x, width, diameter)).join(''),
    barrels: strip.barrels.map(one => outline(one, 0)),
    grain: strip.barrels.flatMap(one => grainLines(one, 0)),
  }
}

/** Draws a pen so wide (mm) from a place on; answers how tall that is, mm. */
export function drawPen(sheet: Sheet, pen: DrawnPen, { x, y, width }: { x: number, y: number, width: number }): number {
  const { strip, metal, barrels, grain } = partsOf(pen)
  const scale = width / strip.width
  const tall = strip.height * scale
  const placed = { x, y: y + tall / 2, scale }
  sheet.path(metal, { ...placed, fill: METAL })
  for (const one of barrels) sheet.path(one, { ...placed, fill: pen.colour, line: '#1c2b24', weight: 0.2 })
  for (const one of grain) sheet.path(one, { ...placed, line: '#4a3524', weight: 0.1 })
  return tall
}

const escaped = (text: string): string => text.replace(/[&<>"]/g, sign => `&#${sign.charCodeAt(0)};`)

/** A pen as a drawing of its own, in mm at full size (SVG 1.1). */
export function penSvg(pen: DrawnPen, title: string): string {
  const { strip, metal, barrels, grain } = partsOf(pen)
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${strip.width}mm" height="${strip.height}mm"`
    + ` viewBox="0 ${-strip.height / 2} ${strip.width} ${strip.height}">`,
    `<title>${escaped(title)}</title>`,
    `<path d="${metal}" fill="${METAL}"/>`,
    ...barrels.map(one => `<path d="${one}" fill="${escaped(pen.colour)}" stroke="#1c2b24" stroke-width="0.2"/>`),
    ...grain.map(one => `<path d="${one}" fill="none" stroke="#4a3524" stroke-width="0.1"/>`),
    '</svg>', '',
  ].join('\n')
}
