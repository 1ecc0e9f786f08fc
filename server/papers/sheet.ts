import PDFDocument from 'pdfkit'
import { nth } from '../../core/sure'
import { fontOf, type Faces } from './faces'
import { cutTo, linesOf } from './lines'

/** How words are set. */
export interface Setting {
  /** Where from the left, mm; the margin where nothing is said. */
  x?: number
  /** Where from the top, mm; below what was set last where nothing is said: then the next goes below it. */
  y?: number
  /** How wide, mm; to the right margin where nothing is said. */
  width?: number
  /** In points. */
  size?: number
  /** In which face. */
  face?: keyof Faces
  /** To which side; the left where nothing is said. */
  align?: 'left' | 'right' | 'center'
  /** In which colour. */
  colour?: string
  /** In so many lines at the most: what is longer is cut; however many it takes where nothing is said. */
  lines?: number
}

/** A sheet of paper that is drawn on, in mm from its top left corner. */
export interface Sheet {
  /** How wide it is, mm. */
  width: number
  /** How tall it is, mm. */
  height: number
  /** What is left free at its edges, mm. */
  margin: number
  /** Sets words; answers where they end, mm from the top. */
  words: (text: string, setting?: Setting) => number
  /** Leaves so much free, mm. */
  space: (mm: number) => void
  /** Where the next words go, mm from the top. */
  at: () => number
  /** Moves there. */
  to: (y: number) => void
  /** Begins a new page where less than this is left, mm. */
  needs: (mm: number) => void
  /** A straight line. */
  line: (from: readonly [number, number], to: readonly [number, number], width?: number, colour?: string) => void
  /** A box, filled or not. */
  box: (x: number, y: number, width: number, height: number, drawn?: { fill?: string, line?: string, weight?: number }) => void
  /** An outline in mm about its own nought, put at a place, larger or smaller. */
  path: (path: string, drawn: { x: number, y: number, scale?: number, fill?: string, line?: string, weight?: number }) => void
  /** Begins a new page. */
  page: () => void
  /** The whole as PDF. */
  end: () => Promise<Buffer>
}

/** What a paper is made from. */
export interface Paper {
  /** What it is, for whoever lists files. */
  title: string
  /** What it is set in. */
  faces: Faces
  /** When it was made: the same paper made again at the same time is the same file. */
  made: Date
  /** Its size, mm; A4 where nothing is said. */
  size?: readonly [number, number]
  /** What is left free at its edges, mm. */
  margin?: number
}

/** A mm in points. */
const MM = 72 / 25.4
/** Signs that no face has, in words. */
const INSTEAD: Readonly<Record<string, string>> = { '→': 'to', '≤': 'at most ', '≥': 'at least ', '≈': 'about ', '◆': '!', '✓': 'yes' }
/** The text with every sign in it that a face has. */
export const printable = (text: string): string => text.replace(/[→≤≥≈◆✓]/gu, sign => INSTEAD[sign] ?? sign)

/** What a file of a face is called in a paper. */
const nameOf = (face: keyof Faces, file: number): string => `${face} ${file}`

/** A sheet to draw on. Texts are set in the faces that ship, each sign in the first of their files that has it. */
export function sheetOf({ title, faces, made, size = [210, 297], margin = 14 }: Paper): Sheet {
  const [width, height] = size
  const doc = new PDFDocument({
    size: [width * MM, height * MM], margin: 0, font: null as never,
    info: { Title: title, CreationDate: made, ModDate: made, Producer: 'Oxlip', Creator: 'Oxlip' },
  })
  for (const face of ['plain', 'bold', 'head'] as const)
    faces[face].forEach((file, index) => doc.registerFont(nameOf(face, index), file))
  const pieces: Buffer[] = []
  doc.on('data', (piece: Buffer) => pieces.push(piece))
  const ended = new Promise<Buffer>(resolve => doc.on('end', () => resolve(Buffer.concat(pieces))))
  let cursor = margin

  function words(text: string, setting: Setting = {}): number {
    const { x = margin, y = cursor, size = 10, face = 'plain', align = 'left', colour = '#1c2b24' } = setting
    const wide = (setting.width ?? width - margin - x) * MM
    const files = faces[face]
    const { ascent, descent, lineGap, unitsPerEm } = fontOf(nth(files, 0))
    const [above, tall] = [(ascent / unitsPerEm) * size, ((ascent - descent + lineGap) / unitsPerEm) * size]
    doc.fontSize(size).fillColor(colour)
    const set = (said: string) => linesOf(said, files, wide, run => doc.font(nameOf(face, run.file)).widthOfString(run.text))
    const lines = cutTo(printable(text), setting.lines ?? Infinity, set)
    for (const [row, { runs, length }] of lines.entries()) {
      let left = x * MM + (align === 'left' ? 0 : (wide - length) / (align === 'right' ? 1 : 2))
      // All files stand on one line, whatever each has above it.
      for (const run of runs) {
        doc.font(nameOf(face, run.file)).text(run.text, left, y * MM + row * tall, { lineBreak: false, baseline: -above })
        left += doc.widthOfString(run.text)
      }
    }
    const ends = y + (lines.length * tall) / MM
    if (setting.y === undefined) cursor = ends
    return ends
  }
  function page() {
    doc.addPage({ size: [width * MM, height * MM], margin: 0 })
    cursor = margin
  }
  function drawn(fill?: string, line?: string, weight = 0.3) {
    if (line) doc.lineWidth(weight * MM)
    if (fill && line) doc.fillAndStroke(fill, line)
    else if (fill) doc.fill(fill)
    else doc.stroke(line ?? '#1c2b24')
  }
  return {
    width, height, margin, words, page,
    space: (mm) => {
      cursor += mm
    },
    at: () => cursor,
    to: (y) => {
      cursor = y
    },
    needs: (mm) => {
      if (cursor + mm > height - margin) page()
    },
    line: ([x1, y1], [x2, y2], weight = 0.3, colour = '#55635a') => {
      doc.moveTo(x1 * MM, y1 * MM).lineTo(x2 * MM, y2 * MM).lineWidth(weight * MM).stroke(colour)
    },
    box: (x, y, w, h, { fill, line, weight } = {}) => {
      doc.rect(x * MM, y * MM, w * MM, h * MM)
      drawn(fill, line ?? (fill ? undefined : '#1c2b24'), weight)
    },
    path: (path, { x, y, scale = 1, fill, line, weight = 0.3 }) => {
      doc.save().translate(x * MM, y * MM).scale(scale * MM)
      doc.path(path)
      if (line) doc.lineWidth(weight / scale)
      if (fill && line) doc.fillAndStroke(fill, line)
      else if (fill) doc.fill(fill)
      else doc.stroke(line ?? '#1c2b24')
      doc.restore()
    },
    end: () => {
      doc.end()
      return ended
    },
  }
}
