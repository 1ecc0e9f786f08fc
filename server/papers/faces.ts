import { create, type Font } from 'fontkit'

/** The faces that papers are set in: of each its files as WOFF, in the order in which they are asked for a sign. */
export interface Faces {
  /** For reading. */
  plain: readonly Buffer[]
  /** For what matters. */
  bold: readonly Buffer[]
  /** For headings and marks. */
  head: readonly Buffer[]
}

/** A file of a package of faces. */
export interface FaceFile {
  /** The package. */
  family: 'atkinson-hyperlegible-next' | 'bricolage-grotesque' | 'noto-sans'
  /** The file in it. */
  file: string
}

const fileOf = (family: FaceFile['family'], part: string, weight: number): FaceFile =>
  ({ family, file: `${family}-${part}-${weight}-normal.woff` })
const HEAD = ['latin', 'latin-ext', 'vietnamese'].map(part => fileOf('bricolage-grotesque', part, 700))
/** Names are written in other letters too: what the faces lack stands in a face that has Greek, Cyrillic and more of Latin. */
const others = (weight: number) =>
  ['greek', 'greek-ext', 'cyrillic', 'cyrillic-ext', 'latin-ext', 'vietnamese'].map(part => fileOf('noto-sans', part, weight))
const reading = (weight: number) =>
  [...['latin', 'latin-ext'].map(part => fileOf('atkinson-hyperlegible-next', part, weight)), ...HEAD, ...others(weight)]

/** The files of each face: the first of them sets whatever it has. */
export const faceFiles: Readonly<Record<keyof Faces, readonly FaceFile[]>> = {
  plain: reading(400), bold: reading(700), head: [...HEAD, ...others(700)],
}

const opened = new WeakMap<Buffer, Font>()
/** A file of a face, read once. */
export function fontOf(file: Buffer): Font {
  const known = opened.get(file)
  if (known) return known
  const font = create(file)
  if (!('hasGlyphForCodePoint' in font)) throw new TypeError('A file of a face holds one face, not several.')
  opened.set(file, font)
  return font
}
