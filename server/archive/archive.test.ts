import { randomUUID } from 'node:crypto'
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Ajv from 'ajv/dist/2020'
import fc from 'fast-check'
import type { Knex } from 'knex'
import sharp from 'sharp'
import { extract, pack } from 'tar-stream'
import type { TakenIn, WorkshopEntry } from '../../contract'
import { onDatabase } from '../../tests/database/suite'
import { appendEvents } from '../db/append'
import { deleteDemo, setUpDemo } from '../db/demo'
import { addOrder, changeOrder, listOrders } from '../db/orders'
import { keepPhoto, develop, readPhoto } from '../db/photos'
import { projectAll } from '../db/projections'
import { inWork, pagePens } from '../db/rows'
import { withinWorkshop } from '../db/within'
import { ArchiveError } from './error'
import { FILES, kinds } from './kinds'
import { takeIn } from './read'
import { archiveSchema, faultOf } from './schema'
import { writeArchive } from './write'

// Two workshops with the same rows cannot be made one again: the demo goes before the database does.
afterEach(async () => {
  await theirs.destroy()
  await deleteDemo(database.owner())
  await rm(folder, { recursive: true, force: true })
})
const database = onDatabase()
const NOW = new Date('2026-11-23T19:42:00.000Z')
let [folder, demo, theirs]: [string, WorkshopEntry, Knex] = ['', undefined as never, undefined as never]
const PHOTO = randomUUID()
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'oxlip-archive-test-'))
  demo = await setUpDemo(database.owner(), NOW)
  theirs = database.pool(demo.id)
  const picture = await sharp({ create: { width: 900, height: 500, channels: 3, background: '#7a4a2b' } }).png().toBuffer()
  await keepPhoto(theirs, await develop(picture, PHOTO))
  await theirs('prices').insert({ what: 'hour', minor: 1850 })
  const pen = (await inWork(theirs))[0]!
  await appendEvents(theirs, [{
    id: randomUUID(), pen: pen.id, kind: 'remark', payload: { text: 'So it was', step: null, photo: PHOTO }, barrels: [],
    at: '2026-11-23T19:00:00.000Z', device: 'the tablet in the shed',
  }])
})

async function saved(workshop: string, name = 'a.tar'): Promise<string> {
  const file = join(folder, name)
  await writeArchive(database.owner(), workshop, { file, scratch: join(folder, `${name}.rows`) }, NOW)
  return file
}
const within = () => withinWorkshop(database.pool(), database.workshop())
const taken = (file: string): Promise<TakenIn> => within()(trx => takeIn(trx, file))
/** The parts of an archive, by their names. */
async function parts(file: string): Promise<Map<string, Buffer>> {
  const found = new Map<string, Buffer>()
  const tar = extract()
  tar.end(await readFile(file))
  for await (const part of tar) {
    const pieces: Buffer[] = []
    for await (const piece of part) pieces.push(piece as Buffer)
    found.set(part.header.name, Buffer.concat(pieces))
  }
  return found
}
const linesOf = async (file: string): Promise<string[]> => (await parts(file)).get(FILES.rows)!.toString('utf8').trimEnd().split('\n')
/** An archive of these parts. */
async function packed(all: Iterable<[string, Buffer]>, name = `${randomUUID()}.tar`): Promise<string> {
  const tar = pack()
  for (const [part, content] of all) tar.entry({ name: part }, content)
  tar.finalize()
  const pieces: Buffer[] = []
  for await (const piece of tar) pieces.push(piece as Buffer)
  const file = join(folder, name)
  await writeFile(file, Buffer.concat(pieces))
  return file
}
const countAll = async (): Promise<Record<string, number>> => {
  const counts: [string, number][] = []
  for (const { kind } of kinds) counts.push([kind, Number((await database.knex()(kind).count('* as count').first())!.count)])
  return Object.fromEntries(counts)
}

it('an archive taken into an empty workshop is that workshop: saved again it has the same rows and pictures', async () => {
  const first = await saved(demo.id)
  const told = await taken(first)
  expect(told.photos).toBe(1)
  await projectAll(within())
  const second = await saved(database.workshop(), 'b.tar')
  // What both begin with (fittings, methods, the usual shelf) is there once; the rest line by line as it was.
  const [before, after] = [await linesOf(first), await linesOf(second)]
  const both = ['methods', 'method_versions', 'fittings']
  const all = (lines: string[]) => lines.slice(0, -1).filter(line => !both.includes((JSON.parse(line) as { kind: string }).kind))
  const without = (some: string[], others: string[]) => some.filter(line => !others.includes(line)).map(line => line.slice(-300))
  expect([without(all(after), all(before)), without(all(before), all(after))]).toEqual([[], []])
  expect((await parts(second)).get(`photos/${PHOTO}.webp`)!.equals((await parts(first)).get(`photos/${PHOTO}.webp`)!)).toBe(true)
  expect((await readPhoto(database.knex(), PHOTO, 'small')).length).toBeGreaterThan(50)
  const marks = async (knex: Knex) =>
    (await pagePens(knex, 'metric', { sort: 'marks' })).pens.map(({ pen, summary }) => [pen.mark, summary])
  expect(await marks(database.knex())).toEqual(await marks(theirs))
})
it('the same archive twice changes nothing; what was done here since stays', async () => {
  const file = await saved(demo.id)
  await taken(file)
  const counts = await countAll()
  const { orders: [listed] } = await listOrders(database.knex(), 'metric', {})
  const { number: _, made: __, handed: ___, id, version, ...order } = listed!.order
  await changeOrder(database.knex(), 'metric', id, { ...order, version, remark: 'changed here' })
  const again = await taken(file)
  expect([again.changed, again.photos]).toEqual([{}, 0])
  expect(await countAll()).toEqual(counts)
  expect((await listOrders(database.knex(), 'metric', {})).orders[0]!.order.remark).toBe('changed here')
})
it('into a used workshop it is merged: orders take free numbers, what is newer in it stands', async () => {
  const knex = database.knex()
  await taken(await saved(demo.id))
  const own = {
    id: randomUUID(), kind: 'gift' as const, customer: null, promised: null, deposit: null, remark: 'mine', calledOff: false,
    lines: [{ id: randomUUID(), pen: null, material: null, fitting: null, method: null, refill: '', packing: '', wish: 'x', price: null }],
  }
  await addOrder(knex, 'metric', own)
  const theirOwn = { ...own, id: randomUUID(), remark: 'theirs', lines: [{ ...own.lines[0]!, id: randomUUID() }] }
  await addOrder(theirs, 'metric', theirOwn)
  const { orders: [listed] } = await listOrders(theirs, 'metric', {})
  const { number: _, made: __, handed: ___, id, version, ...order } = listed!.order
  await changeOrder(theirs, 'metric', id, { ...order, version, remark: 'newer there', lines: order.lines.slice(0, 3) })
  const { changed } = await taken(await saved(demo.id))
  expect(changed).toEqual({ orders: 2, order_lines: 4 })
  const { orders } = await listOrders(knex, 'metric', {})
  expect(orders.map(one => [one.order.number, one.order.remark, one.order.lines.length]).sort()).toEqual([
    [1, 'newer there', 3], [2, 'mine', 1], [3, 'theirs', 1],
  ])
})
it('an archive from before Oxlip asked for all there is today comes in; what it does not say is as it was then', async () => {
  const found = await parts(await saved(demo.id))
  const rows = found.get(FILES.rows)!.toString('utf8').trimEnd().split('\n').map((text) => {
    const line = JSON.parse(text) as { kind: string, row?: Record<string, unknown> }
    const { added = {} } = kinds.find(one => one.kind === line.kind) ?? {}
    for (const name of Object.keys(added)) delete line.row?.[name]
    return JSON.stringify(line)
  })
  await taken(await packed([...found, [FILES.rows, Buffer.from(`${rows.join('\n')}\n`)]].reduce(
    (all, [name, content]) => all.set(name as string, content as Buffer), new Map<string, Buffer>())))
  expect(await database.knex()('blanks').whereNotNull('hardness')).toEqual([])
  expect((await database.knex()('workshop').first('cautions'))!.cautions).toEqual({})
  expect(await countAll()).toMatchObject({ pens: 14 })
})
it('nothing in it names a device, a folder or a machine; every line is as the schema says that lies beside', async () => {
  const found = await parts(await saved(demo.id))
  const text = [...found.values()].map(content => content.toString('latin1')).join('\n')
  expect(text).not.toMatch(/tablet in the shed|bench at Harrow Lane|\/tmp|\/home|\/work\//)
  const schema = JSON.parse(found.get(FILES.schema)!.toString('utf8')) as object
  expect(schema).toEqual(archiveSchema())
  const isLine = new Ajv({ strict: false }).compile(schema)
  for (const line of found.get(FILES.rows)!.toString('utf8').trimEnd().split('\n')) {
    const ok = isLine(JSON.parse(line))
    expect([ok, ok ? '' : line.slice(0, 200)]).toEqual([true, ''])
  }
})
it('what the schema refuses is refused when it comes in, and the other way round (property)', async () => {
  interface Line { kind: string, row: Record<string, unknown> }
  const lines = (await linesOf(await saved(demo.id))).slice(0, -1).map(line => JSON.parse(line) as Line)
  const byKind = kinds.flatMap(kind => lines.find(line => line.kind === kind.kind) ?? [])
  expect(byKind.length).toBeGreaterThan(15)
  const isLine = new Ajv({ strict: false }).compile(archiveSchema())
  const junk = fc.constantFrom<unknown>(
    null, '', 'x', 0, 1.5, -1, true, [], {}, ['a'], [1], '2026-11-23', '2026-11-23T19:42:00Z', randomUUID(), 1e15,
  )
  fc.assert(fc.property(fc.constantFrom(...byKind), fc.nat(), junk, fc.boolean(), ({ kind, row }, at, value, drop) => {
    const name = Object.keys(row)[at % Object.keys(row).length]!
    const { [name]: _, ...rest } = row
    const changed = drop ? rest : { ...row, [name]: value }
    const known = kinds.find(one => one.kind === kind)!
    expect([kind, name, value, faultOf(changed, known) === undefined]).toEqual([kind, name, value, isLine({ kind, row: changed })])
  }), { numRuns: 2000 })
})
it('an archive that is cut off anywhere, or has a byte of its rows changed, is refused or the same, and nothing is half kept', async () => {
  const file = await saved(demo.id)
  const bytes = await readFile(file)
  const before = await countAll()
  for (const part of [0, 0.001, 0.3, 0.6, 0.9, 0.99]) {
    const cut = join(folder, 'cut.tar')
    await writeFile(cut, bytes.subarray(0, Math.floor(bytes.length * part)))
    await expect(taken(cut)).rejects.toThrow(ArchiveError)
    expect(await countAll()).toEqual(before)
  }
})
it('another program’s file, a newer archive, a damaged row, a reference into nothing: each says so, and nothing is kept', async () => {
  const good = await parts(await saved(demo.id))
  const lines = good.get(FILES.rows)!.toString('utf8').trimEnd().split('\n')
  const withRows = (rows: string[]) =>
    packed([...good].map(([name, content]) => [name, name === FILES.rows ? Buffer.from(rows.join('\n')) : content]))
  const at = (place: number, what: RegExp, becomes: string) =>
    withRows(lines.map((line, index) => (index === place ? line.replace(what, becomes) : line)))
  const pen = lines.findIndex(line => line.includes('"kind": "pens"'))
  expect(pen).toBeGreaterThan(0)
  const event = lines.findIndex(line => line.includes('"kind": "events"'))
  const about = JSON.parse(good.get(FILES.about)!.toString('utf8')) as object
  const cases: [string, Promise<string>, RegExp][] = [
    ['no tar', writeFile(join(folder, 'x'), 'mark,pen\nA1,Apple\n'.repeat(100)).then(() => join(folder, 'x')), /no archive of Oxlip/],
    ['another tar', packed([['notes.txt', Buffer.from('x')]]), /no archive of Oxlip/],
    ['newer', packed([[FILES.about, Buffer.from(JSON.stringify({ ...about, version: 2 }))]]), /newer Oxlip/],
    ['no rows', packed([...good].filter(([name]) => name !== FILES.rows)), /cut off/],
    ['stray part', packed([...good, ['../evil', Buffer.from('x')]]), /is not of an archive/],
    ['no json', withRows([...lines.slice(0, 3), '{', ...lines.slice(3)]), /^Line 4 is no JSON object/],
    ['bad field', at(pen, /"mark": "[^"]*"/, '"mark": 7'), /^Line \d+: “mark”/],
    ['end missing', withRows(lines.slice(0, -1)), /cut off/],
    ['row missing', withRows(lines.filter((_, index) => index !== event)), /cut off/],
    ['into nothing', at(event, /"pen_id": "[^"]*"/, `"pen_id": "${randomUUID()}"`), /speaks of what is not in it/],
    ['bad picture', packed([...good].map(([name, content]) => [name, name.startsWith('photos/') ? Buffer.from('x') : content])), /picture/],
  ]
  const before = await countAll()
  for (const [name, made, says] of cases) {
    const fault = await taken(await made).then(() => undefined, (error: unknown) => error)
    expect([name, fault]).toEqual([name, expect.any(ArchiveError)])
    expect([name, says.test((fault as Error).message) ? '' : (fault as Error).message]).toEqual([name, ''])
    expect([name, await countAll()]).toEqual([name, before])
  }
})
