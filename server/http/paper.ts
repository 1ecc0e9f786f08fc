import { setResponseHeaders, type H3Event } from 'h3'
import { ownerDb } from '../db/connection'
import { faceFiles, type FaceFile, type Faces } from '../papers/faces'
import { sheetOf, type Paper, type Sheet } from '../papers/sheet'
import { workshopOf } from './workshop'

let faces: Promise<Faces> | undefined
async function read(): Promise<Faces> {
  const storage = useStorage()
  const fileOf = async ({ family, file }: FaceFile) => Buffer.from((await storage.getItemRaw(`assets:${family}:${file}`)) as Uint8Array)
  const filesOf = (face: keyof Faces): Promise<Buffer[]> => Promise.all(faceFiles[face].map(fileOf))
  const [plain, bold, head] = await Promise.all([filesOf('plain'), filesOf('bold'), filesOf('head')])
  return { plain, bold, head }
}

/** Draws a paper and answers it as PDF, to be looked at in the browser or kept as a file of this name. */
export async function answerPaper(
  event: H3Event, { file, ...paper }: Omit<Paper, 'faces' | 'made'> & { file: string }, draw: (sheet: Sheet) => void,
): Promise<Buffer> {
  const sheet = sheetOf({ ...paper, faces: await (faces ??= read()), made: new Date() })
  draw(sheet)
  setResponseHeaders(event, { 'Content-Type': 'application/pdf', 'Content-Disposition': `inline; filename="${file}.pdf"` })
  return sheet.end()
}

/** What the workshop of a request is called. */
export async function workshopName(event: H3Event): Promise<string> {
  const row: { name: string } | undefined = await ownerDb()('workshops').where({ id: await workshopOf(event) }).first('name')
  return row?.name ?? ''
}
