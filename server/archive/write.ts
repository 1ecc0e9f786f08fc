import { createReadStream, createWriteStream } from 'node:fs'
import { stat } from 'node:fs/promises'
import { once } from 'node:events'
import { pipeline } from 'node:stream/promises'
import type { Knex } from 'knex'
import { pack, type Pack } from 'tar-stream'
import { FILES, kinds, type Kind } from './kinds'
import { archiveSchema } from './schema'

/** So many rows are read at a time. */
const LOT = 1000

/** What an archive says of itself. */
export interface About {
  format: 'oxlip-archive'
  version: 1
  /** When it was made, ISO 8601. */
  made: string
  /** What the workshop is called. */
  workshop: string
}

/**
 * Writes a workshop as an archive: rows as JSON Lines, their schema, and the pictures beside, in one tar file, as all of it stands at one
 * moment. `owner` is a pool of the tables’ owner, `scratch` a file that is written on the way; both files are the caller’s to take away.
 */
export async function writeArchive(
  owner: Knex, workshop: string, { file, scratch }: { file: string, scratch: string }, now: Date,
): Promise<void> {
  await owner.transaction(async (trx) => {
    const { name } = await trx('workshops').where({ id: workshop }).first('name')
    const about: About = { format: 'oxlip-archive', version: 1, made: now.toISOString(), workshop: name }
    await writeRows(trx, workshop, scratch)
    const tar = pack()
    const written = pipeline(tar, createWriteStream(file, { mode: 0o600 }))
    await entry(tar, FILES.about, Buffer.from(`${JSON.stringify(about, null, 2)}\n`))
    await entry(tar, FILES.schema, Buffer.from(`${JSON.stringify(archiveSchema(), null, 2)}\n`))
    const ids: string[] = await trx('photos').where({ workshop_id: workshop }).orderBy(['created_at', 'id']).pluck('id')
    for (const id of ids) {
      const { large } = await trx('photos').where({ workshop_id: workshop, id }).first('large')
      await entry(tar, `${FILES.photos}${id}.webp`, large as Buffer)
    }
    const { size } = await stat(scratch)
    await pipeline(createReadStream(scratch), tar.entry({ name: FILES.rows, size, ...PLAIN }))
    tar.finalize()
    await written
  }, { isolationLevel: 'repeatable read' })
}

/** Nothing in it tells whose machine it was made on, or when each file was. */
const PLAIN = { mode: 0o644, uid: 0, gid: 0, mtime: new Date(0) }

const entry = (tar: Pack, name: string, content: Buffer): Promise<void> =>
  new Promise((resolve, reject) => tar.entry({ name, ...PLAIN }, content, error => (error ? reject(error) : resolve())))

async function writeRows(trx: Knex, workshop: string, scratch: string): Promise<void> {
  const out = createWriteStream(scratch, { mode: 0o600 })
  let rows = 0
  const line = async (text: string) => {
    if (!out.write(`${text}\n`)) await once(out, 'drain')
  }
  for (const kind of kinds) {
    for await (const lot of lots(trx, workshop, kind)) {
      for (const text of lot) await line(text)
      rows += lot.length
    }
  }
  await line(JSON.stringify({ kind: 'end', rows }))
  out.end()
  await once(out, 'finish')
}

/** The rows of a kind lot by lot, each as its line. */
async function* lots(trx: Knex, workshop: string, { kind, fields, order }: Kind): AsyncGenerator<string[]> {
  const told = Object.keys(fields).map(name => `'${name}', ${column(name, fields[name] ?? '')}`).join(', ')
  await trx.raw(
    `declare lines no scroll cursor for
     select jsonb_build_object('kind', '${kind}', 'row', jsonb_build_object(${told}))::text as line
     from ${kind} where workshop_id = '${workshop}' order by ${order}`)
  for (;;) {
    const { rows }: { rows: { line: string }[] } = await trx.raw(`fetch ${LOT} from lines`)
    if (rows.length) yield rows.map(row => row.line)
    if (rows.length < LOT) break
  }
  await trx.raw('close lines')
}

/** Moments are written in UTC. */
const column = (name: string, field: string): string =>
  field.startsWith('moment') ? `to_char("${name}" at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')` : `"${name}"`
