import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { faceFiles, type FaceFile, type Faces } from '../../server/papers/faces'

const pathOf = ({ family, file }: FaceFile) => `node_modules/@fontsource/${family}/files/${file}`
/** Where the files of each face lie, as the packages have them. */
export const facePaths = (face: keyof Faces): string[] => faceFiles[face].map(pathOf)
const filesOf = (face: keyof Faces) => faceFiles[face].map(file => read(pathOf(file)))
const known = new Map<string, Buffer>()
/** A file, once: two faces that have it in common have the same. */
function read(path: string): Buffer {
  const file = known.get(path) ?? readFileSync(path)
  known.set(path, file)
  return file
}
/** The faces that papers are set in. */
export const faces: Faces = { plain: filesOf('plain'), bold: filesOf('bold'), head: filesOf('head') }

/** Does something with a PDF as a file; the folder is gone after. */
function withFile<T>(pdf: Buffer, work: (folder: string, file: string) => T): T {
  const folder = mkdtempSync(join(tmpdir(), 'oxlip-pdf-'))
  try {
    const file = join(folder, 'paper.pdf')
    writeFileSync(file, pdf)
    return work(folder, file)
  } finally {
    rmSync(folder, { recursive: true })
  }
}

/** What stands in a PDF, as poppler reads it: a program that is not ours. */
export const textOf = (pdf: Buffer): string =>
  withFile(pdf, (_, file) => execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }))

/** A word in a PDF, and the box that it stands in, mm from the top left corner of its page. */
export interface PlacedWord { page: number, word: string, left: number, top: number, right: number, bottom: number }

/** Where each word of a PDF stands. */
export function wordsIn(pdf: Buffer): PlacedWord[] {
  const told = withFile(pdf, (_, file) => execFileSync('pdftotext', ['-bbox', file, '-'], { encoding: 'utf8' }))
  const mm = (points: string | undefined) => (Number(points) * 25.4) / 72
  return told.split('<page ').slice(1).flatMap((body, page) =>
    [...body.matchAll(/<word xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">(.*?)<\/word>/g)]
      .map(([, left, top, right, bottom, word = '']) =>
        ({ page, word, left: mm(left), top: mm(top), right: mm(right), bottom: mm(bottom) })))
}

/** The size of its pages, mm, and how many there are. */
export function pagesOf(pdf: Buffer): { pages: number, width: number, height: number } {
  const told = withFile(pdf, (_, file) => execFileSync('pdfinfo', [file], { encoding: 'utf8' }))
  const [, width, height] = /Page size:\s+([\d.]+) x ([\d.]+) pts/.exec(told) ?? []
  return { pages: Number(/Pages:\s+(\d+)/.exec(told)?.[1]), width: (Number(width) * 25.4) / 72, height: (Number(height) * 25.4) / 72 }
}

/** The faces that are in it. */
export const facesIn = (pdf: Buffer): string => withFile(pdf, (_, file) => execFileSync('pdffonts', [file], { encoding: 'utf8' }))

/** A picture of its first page: grey values row by row. */
export function pictureOf(pdf: Buffer, dpi: number): { width: number, height: number, grey: Uint8Array } {
  const file = withFile(pdf, (folder, file) => {
    execFileSync('pdftoppm', ['-gray', '-singlefile', '-r', String(dpi), file, join(folder, 'page')])
    return readFileSync(join(folder, 'page.pgm'))
  })
  const [, width, height] = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(file.subarray(0, 40).toString('latin1')) ?? []
  const size = Number(width) * Number(height)
  return { width: Number(width), height: Number(height), grey: file.subarray(file.length - size) }
}
