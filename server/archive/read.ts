import { createReadStream } from 'node:fs'
import { createInterface } from 'node:readline'
import type { Readable } from 'node:stream'
import type { Knex } from 'knex'
import sharp from 'sharp'
import { extract } from 'tar-stream'
import { smallOf } from '../db/photos'
import type { TakenIn } from '../../contract'
import { ArchiveError } from './error'
import { FILES, kinds, type Kind } from './kinds'
import { faultOf } from './schema'
import type { About } from './write'

/** So many rows are kept by one statement, and so long is no line. */
const LOT = 500
const LONGEST = 20_000_000
const NONE = 'This is no archive of Oxlip: choose a file that was saved as one.'
const PHOTO = /^photos\/([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})\.webp$/
/** More is in no picture of ours, bytes. */
const MOST_PHOTO = 15_000_000

/**
 * Takes an archive into the workshop that the transaction has entered: what is not here is added, what is here stays but where the archive
 * has it newer; into a workshop without pens all of it comes as the archive has it. The same archive twice changes nothing.
 * @throws ArchiveError in words for whoever chose the file; the transaction must then be given up
 */
export async function takeIn(trx: Knex, file: string): Promise<TakenIn> {
  const taken: TakenIn = { rows: 0, changed: {}, photos: 0 }
  const isEmpty = !await trx('pens').first('id')
  let [told, whole] = [false, false]
  const tar = createReadStream(file).pipe(extract())
  try {
    for await (const part of tar) {
      const { name, size = 0, type } = part.header
      if (type !== 'file') throw new ArchiveError(`“${name}” in it is no plain file: this is no archive of Oxlip.`)
      const photo = PHOTO.exec(name)?.[1]
      if (name === FILES.about) {
        readAbout(await contentOf(part, size, 100_000))
        told = true
      } else if (!told) {
        throw new ArchiveError('This is no archive of Oxlip: it does not begin by saying what it is.')
      } else if (photo) {
        if (await keepPhoto(trx, photo, await contentOf(part, size, MOST_PHOTO))) taken.photos += 1
      } else if (name === FILES.rows) {
        await takeRows(trx, part, isEmpty, taken)
        whole = true
      } else if (name === FILES.schema) part.resume()
      else throw new ArchiveError(`“${name}” in it is not of an archive.`)
    }
  } catch (error) {
    throw asArchiveError(error)
  }
  if (!whole) throw new ArchiveError('This archive is cut off: its rows are missing. Fetch it again.')
  return taken
}

/** What goes wrong in reading it, in words; what is a fault of ours stays one. */
function asArchiveError(error: unknown): unknown {
  if (error instanceof ArchiveError) return error
  const { message = '', code = '' } = error as { message?: string, code?: string }
  if (message.startsWith('Unexpected end of data')) return new ArchiveError('This archive is cut off. Fetch it again.')
  if (message.startsWith('Invalid tar header')) return new ArchiveError(NONE)
  if (code === '23503') return new ArchiveError('Something in it speaks of what is not in it: the archive is damaged. Save it anew.')
  if (/^2[23]/.test(code)) return new ArchiveError(`Something in it cannot be kept: ${message.split(' - ').at(-1)}. The archive is damaged.`)
  return error
}

/** @throws ArchiveError for what is larger than it may be */
async function contentOf(part: Readable, size: number, most: number): Promise<Buffer> {
  if (size > most) throw new ArchiveError('Something in it is larger than anything Oxlip keeps.')
  const pieces: Buffer[] = []
  for await (const piece of part) pieces.push(piece as Buffer)
  return Buffer.concat(pieces)
}

function readAbout(content: Buffer): void {
  let about: Partial<About> | null = null
  try {
    about = JSON.parse(content.toString('utf8')) as Partial<About> | null
  } catch {
    // Told below.
  }
  if (about?.format !== 'oxlip-archive') throw new ArchiveError(NONE)
  if (about.version !== 1) throw new ArchiveError('This archive is of a newer Oxlip than this one. Bring this one up to date first.')
}

/** Keeps a picture as it is in the archive, and a small one of it. */
async function keepPhoto(trx: Knex, id: string, large: Buffer): Promise<boolean> {
  if (await trx('photos').where({ id }).first('id')) return false
  const read = sharp(large, { limitInputPixels: 100_000_000 }).metadata()
  const { format, width, height } = await read.catch(() => ({}) as Partial<sharp.Metadata>)
  if (format !== 'webp' || !width || !height) throw new ArchiveError(`The picture ${id} in it is damaged.`)
  await trx('photos').insert({ id, width, height, large, small: await smallOf(large) })
  return true
}

async function takeRows(trx: Knex, part: Readable, isEmpty: boolean, taken: TakenIn): Promise<void> {
  const known = new Map(kinds.map(kind => [kind.kind, kind]))
  let lot: { kind: Kind, rows: Record<string, unknown>[] } | undefined
  let end: number | undefined
  const keep = async () => {
    if (!lot) return
    const changed = await keepRows(trx, lot.kind, lot.rows, isEmpty)
    if (changed) taken.changed[lot.kind.kind] = (taken.changed[lot.kind.kind] ?? 0) + changed
    lot = undefined
  }
  for await (const text of createInterface({ input: part, crlfDelay: Infinity })) {
    const number = taken.rows + 1
    if (text.length > LONGEST) throw new ArchiveError(`Line ${number} is longer than any row.`)
    if (end !== undefined) throw new ArchiveError(`After its end there is more, in line ${number + 1}.`)
    const line = parsed(text, number)
    if (line.kind === 'end') {
      end = Number(line.rows)
      continue
    }
    const kind = known.get(String(line.kind))
    if (!kind) throw new ArchiveError(`Line ${number} is of no kind that Oxlip knows.`)
    const fault = faultOf(line.row, kind)
    if (fault !== undefined) throw new ArchiveError(`Line ${number}: “${fault}” is not what it should be in a row of ${kind.kind}.`)
    if (lot && (lot.kind !== kind || lot.rows.length >= LOT)) await keep()
    lot ??= { kind, rows: [] }
    lot.rows.push({ ...kind.added, ...(line.row as Record<string, unknown>) })
    taken.rows += 1
  }
  await keep()
  if (end !== taken.rows) throw new ArchiveError('This archive is cut off: rows are missing at its end. Fetch it again.')
}

function parsed(text: string, number: number): { kind?: unknown, row?: unknown, rows?: unknown } {
  try {
    const line: unknown = JSON.parse(text)
    if (typeof line === 'object' && line !== null) return line
  } catch {
    // Told below.
  }
  throw new ArchiveError(`Line ${number} is no JSON object: the archive is damaged.`)
}

const isVersioned = ({ fields }: Kind): boolean => 'version' in fields

/** Keeps rows of a kind; answers how many are new or were changed by it. */
async function keepRows(trx: Knex, kind: Kind, rows: Record<string, unknown>[], isEmpty: boolean): Promise<number> {
  if (kind.kind === 'workshop') return isEmpty ? trx('workshop').update(rows.at(-1) ?? {}) : 0
  const own = await asHere(trx, kind, rows)
  const names = Object.keys(own[0] ?? {})
  const columns = names.map(name => `"${name}"`).join(', ')
  const key = ['workshop_id', ...kind.key].join(', ')
  const sets = names.filter(name => !kind.key.includes(name)).map(name => `"${name}" = excluded."${name}"`).join(', ')
  const newer = isVersioned(kind) ? `where ${kind.kind}.version < excluded.version` : ''
  const update = !kind.fixed && sets && (isEmpty || newer) ? `do update set ${sets} ${isEmpty ? '' : newer}` : 'do nothing'
  const { rowCount } = await trx.raw(
    `insert into ${kind.kind} (${columns}) select ${columns} from jsonb_populate_recordset(null::${kind.kind}, ?::jsonb)
     on conflict (${key}) ${update}`,
    [JSON.stringify(own)])
  await settle(trx, kind, own)
  return Number(rowCount)
}

/** Rows as they are kept here: entries are of no device that is known; orders have numbers of their own. */
async function asHere(trx: Knex, { kind }: Kind, rows: Record<string, unknown>[]): Promise<Record<string, unknown>[]> {
  if (kind === 'events') return rows.map(row => ({ ...row, device: 'archive' }))
  if (kind !== 'orders') return rows
  // An order that is newer in the archive has its lines from there.
  for (const { id, version } of rows) {
    const older = trx('orders').where({ id: id as string }).where('version', '<', version as number).select('id')
    await trx('order_lines').whereIn('order_id', older).delete()
  }
  return renumbered(trx, rows)
}

/** Orders that are new here take the next numbers where theirs are taken. */
async function renumbered(trx: Knex, rows: Record<string, unknown>[]): Promise<Record<string, unknown>[]> {
  const here: { id: string, number: number }[] = await trx('orders').select('id', 'number')
  const [known, taken] = [new Map(here.map(one => [one.id, one.number])), new Set(here.map(one => one.number))]
  return rows.map((row) => {
    const own = known.get(row.id as string)
    const number = own ?? (taken.has(row.number as number) ? Math.max(...taken) + 1 : (row.number as number))
    taken.add(number)
    return { ...row, number }
  })
}

/** Pens that rows speak of are worked out anew after. */
async function settle(trx: Knex, { kind }: Kind, rows: Record<string, unknown>[]): Promise<void> {
  const pens = kind === 'pens' ? rows.map(row => row.id) : ['plans', 'events'].includes(kind) ? rows.map(row => row.pen_id) : []
  if (pens.length) await trx('pen_rows').whereIn('pen_id', [...new Set(pens)] as string[]).update({ projection: 0 })
}
