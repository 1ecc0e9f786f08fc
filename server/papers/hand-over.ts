import { encode } from 'uqr'
import type { Board } from '../../core/bench'
import type { Pen } from '../../contract'
import { care, careOfAll } from '../../reference'
import { drawPen } from './drawing'
import type { Sheet } from './sheet'

/** What a card that goes with a pen is made from. */
export interface HandedPen {
  /** Its row. */
  pen: Pen
  /** What follows from its plan and its log. */
  board: Board
  /** Where the wood is from, as it was told; empty where nobody said. */
  story: string
  /** The maker’s own words; empty where there are none. */
  words: string
  /** What the workshop is called. */
  workshop: string
}

/** So many letters stand in a code: more make it too fine to read off a card. */
const MOST = 400

/** A pen in its own words: what a code on its card says, and nothing outside. */
export function ownText({ pen, board: { state: { plan } }, story, words, workshop }: HandedPen): string {
  const { fitting, material, method } = plan.inputs
  const text = [
    `${pen.name} (${pen.mark})`, `${fitting.name} in ${material.name}. Finish: ${method.name}.`, story.replace(/\s+/g, ' '), words, workshop,
  ].filter(Boolean).join('\n')
  return [...text].slice(0, MOST).join('')
}

/** A QR code, so wide (mm), as one path of its dark fields. */
function code(sheet: Sheet, text: string, { x, y, width }: { x: number, y: number, width: number }): void {
  const { data, size } = encode(text, { ecc: 'M', border: 0 })
  const path = data.flatMap((row, down) => row.flatMap((dark, right) => (dark ? [`M${right} ${down}h1v1h-1Z`] : []))).join('')
  sheet.path(path, { x, y, scale: width / size, fill: '#000000' })
}

/** The card that goes with a pen: the pen drawn, its wood and story, its finish and care, the maker’s words, and the same in a code. */
export function handOverCard(sheet: Sheet, handed: HandedPen): void {
  const { pen, board: { state: { plan } }, story, words, workshop } = handed
  const { fitting, material, method, wishes } = plan.inputs
  const inner = sheet.width - 2 * sheet.margin
  const drawn = { fitting, colour: material.colour, ...(wishes.shapes ? { shapes: wishes.shapes } : {}) }
  sheet.words(pen.name, { size: 17, face: 'head' })
  sheet.space(2)
  sheet.to(sheet.at() + drawPen(sheet, drawn, { x: sheet.margin, y: sheet.at(), width: inner }) + 3)
  sheet.words(material.name, { face: 'bold' })
  if (story) sheet.words(story, { size: 9 })
  sheet.space(2)
  sheet.words(`Finish: ${method.name}`, { face: 'bold' })
  for (const one of [...care[method.family], ...careOfAll]) sheet.words(one, { size: 9 })
  sheet.space(2)
  if (words) sheet.words(words, { size: 10 })
  sheet.words(`${workshop}, ${pen.mark}`, { size: 9, colour: '#55635a' })
  const wide = 30
  sheet.needs(wide)
  code(sheet, ownText(handed), { x: sheet.width - sheet.margin - wide, y: sheet.height - sheet.margin - wide, width: wide })
}
