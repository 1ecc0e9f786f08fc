import { setResponseHeaders, type H3Event } from 'h3'
import { ownerDb } from '../db/connection'
import { sheetOf, type Faces, type Paper, type Sheet } from '../papers/sheet'
import { workshopOf } from './workshop'

const FILES: Readonly<Record<keyof Faces, string>> = {
  plain: 'assets:text-faces:atkinson-hyperlegible-next-latin-400-normal.woff',
  bold: 'assets:text-faces:atkinson-hyperlegible-next-latin-700-normal.woff',
  head: 'assets:head-faces:bricolage-grotesque-latin-700-normal.woff',
}

let faces: Promise<Faces> | undefined
async function read(): Promise<Faces> {
  const found = Object.entries(FILES).map(async ([name, file]) => [name, Buffer.from((await useStorage().getItemRaw(file)) as Uint8Array)])
  return Object.fromEntries(await Promise.all(found)) as unknown as Faces
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
