import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { connect } from 'node:net'
import type { ObjectSchema, SchemaObjectDescription } from 'yup'
import type { Method } from '../../core/method'
import { eventSchema } from '../../schemas/event'
import type { Person, ShelfBlank, ShelfFitting, WorkshopList } from '../../contract'
import { expect, test } from '../stand'
import { soundOf, type Kept } from '../support/sound'
import { junkOf } from './junk'
import { routes } from './routes'

// What is taken of it changes shelf, air and names as nobody else’s should be.
test.use({ only: 'junk' })
// They need nothing of one another, and come last: both workers take part.
test.describe.configure({ mode: 'parallel' })

/** So many junk bodies in all. */
const BODIES = 5000
const AT_ONCE = 6

/** Pictures, and what asks for nothing but itself. */
const WITHOUT = [
  'POST /api/archive',
  'POST /api/blanks/[id]/uncut', 'POST /api/door/out', 'POST /api/evenings/calendar', 'POST /api/pens/[id]/link',
  'POST /api/people/[id]/pairing', 'POST /api/photos', 'POST /api/shelf/usual', 'POST /api/workshops/demo',
  'PUT /api/photos/[id]', 'PUT /api/workshops/demo',
]

test('nothing that comes in draws a 500: bodies', async ({ stand, request, pen }) => {
  test.setTimeout(300_000)
  const made = await pen()
  const get = async <T>(path: string) => (await (await request.get(path)).json()) as T
  const fittings = (await get<ShelfFitting[]>('/api/fittings')).map(one => one.fitting)
  const fitting = fittings[0]!.id
  const methods = await get<Method[]>('/api/methods')
  const blank = (await get<ShelfBlank[]>('/api/blanks'))[0]!.id
  const workshop = (await get<WorkshopList>('/api/workshops')).workshops[0]!.id
  const trial = randomUUID()
  const tried = { id: trial, of: 'chip', by: 'tool', ways: ['skew', 'gouge'], pens: 2 }
  expect((await request.post('/api/findings/trials', { data: tried })).status()).toBe(201)
  const people = { id: randomUUID(), name: 'Junk', reach: '', remark: '' }
  const wish = { pen: null, material: null, fitting: null, method: null, refill: '', packing: '', wish: '', price: null }
  const order = {
    id: randomUUID(), kind: 'order', customer: people.id, promised: null, deposit: null, remark: '', calledOff: false,
    lines: [{ id: randomUUID(), ...wish }],
  }
  const place = { id: randomUUID(), name: 'Junk', kind: 'fair', day: null, cost: null, gone: false }
  for (const [path, data] of [['customers', people], ['orders', order], ['places', place]] as const)
    expect((await request.post(`/api/${path}`, { data })).status()).toBe(201)
  const somebody = ((await (await request.post('/api/people', {
    data: { name: 'Junk', mark: 'J', colour: '#3d6f8e', role: 'owner', secret: null },
  })).json()) as [Person])[0]
  const mine = { name: 'Junk', alike: 'thin-ca', build: null, keeps: null, caution: '', source: '' }
  expect((await request.post('/api/shelf/products', { data: mine })).status()).toBe(201)
  const [product] = await get<[{ id: string }]>('/api/shelf/products')
  const ids: Record<string, string> = {
    customers: people.id, people: somebody.id, classes: randomUUID(), orders: order.id, places: place.id, products: product.id,
    pens: made.id, fittings: fitting, methods: made.method, blanks: blank, workshops: workshop, trials: trial,
  }
  const defect = randomUUID()
  const kept: Kept = {
    'pen': [made.id], 'fitting': [fitting, made.fitting], 'method': [made.method], 'of': [made.method], 'blank': [blank, null],
    'step': ['drill', 'sand.P-320', 'turn'], 'from': ['sand.P-320'], 'defect': [defect], 'version': [1, 2],
    'product': ['ca-thin'], 'with': ['P-320', 'ca-thin', null], 'levelWith': ['P-600'],
    'check': ['bore'], 'question': ['tool'], 'device': ['junk'], 'ahead': [0],
    'layers': methods.map(one => one.layers), 'family': methods.map(one => one.family), 'levelling': ['never'], 'polishes': [0],
    'customer': [people.id, null], 'order': [order.id, null], 'place': [place.id, null], 'pens': [made.id], 'currency': ['GBP', null],
    'colour': ['#3d6f8e'], 'secret': ['plum, pear and walnut', null],
    'wood': [undefined], '/barrels': fittings.map(one => one.barrels), '/bit': fittings.map(one => one.bit),
  }
  // A machine that asks who it is would answer nothing else any more: that is tried in door.spec.ts.
  const all = routes().filter(({ way, path }) => way !== 'GET' && way !== 'DELETE' && path !== '/api/door/lock')
  expect(all.filter(route => !route.schema).map(({ way, path }) => `${way} ${path}`).sort()).toEqual(WITHOUT)
  const sound = all.flatMap(({ way, path, schema }) =>
    schema ? [{ way, path: path.replace(/(\w+)\/\[id\]/, (_, kind: string) => `${kind}/${ids[kind]}`), schema }] : [])
  expect(sound.filter(({ path }) => path.includes('undefined'))).toEqual([])
  const entries = sound.find(({ path }) => path === '/api/events')!
  const answers = new Map<number, number>()
  const bad: string[] = []
  const kinds = new Set<unknown>()
  const known = (eventSchema.describe() as SchemaObjectDescription & { fields: { kind: { oneOf: string[] } } }).fields.kind.oneOf
  let sent = 0
  let whole = 0
  async function send() {
    while (sent < BODIES) {
      const seed = sent++
      // Entries are most of what comes in, and of most kinds.
      const { way, path, schema } = seed % 3 ? sound[seed % sound.length]! : entries
      const body = soundOf(schema, seed, kept)
      for (const one of (body as { events?: { kind: unknown }[] }).events ?? []) kinds.add(one.kind)
      if (schema.isValidSync(body)) whole += 1
      const junk = JSON.stringify(seed % 5 ? junkOf(body, seed) : body)
      const answer = await fetch(`${stand.address}${path}`, { method: way, headers: { 'content-type': 'application/json' }, body: junk })
      answers.set(answer.status, (answers.get(answer.status) ?? 0) + 1)
      const says = (await answer.json()) as { message?: string }
      if (answer.status >= 500 || (answer.status >= 400 && !says.message)) bad.push(`${answer.status} ${way} ${path} ${junk.slice(0, 400)}`)
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, send))
  expect(bad.slice(0, 20)).toEqual([])
  // What it was made from is sound, and of every kind; it is junk to most of the routes then, and some of it is taken.
  expect(whole).toBeGreaterThan(0.9 * BODIES)
  expect([...kinds].sort()).toEqual([...known].sort())
  expect(answers.get(422)).toBeGreaterThan(BODIES / 3)
  expect((answers.get(200) ?? 0) + (answers.get(201) ?? 0)).toBeGreaterThan(BODIES / 20)
  // What was taken harms nobody: all lists and pens still open.
  const lists = [
    '/api/pens', '/api/bench', `/api/pens/${made.id}`, '/api/fittings', '/api/shelf', '/api/methods', '/api/learnt', '/api/orders',
    '/api/places', '/api/customers',
  ]
  for (const path of lists)
    expect((await request.get(path)).status(), path).toBe(200)
  expect(readFileSync(stand.logFile, 'utf8')).not.toContain('TypeError')
})

test('nothing that comes in draws a 500: addresses', async ({ stand }) => {
  const junk = [
    '', '%00', '%ff', '%F0%9D', 'constructor', '__proto__', '-1', '1e999', '9'.repeat(40), 'x'.repeat(3000), '[]', '%22', '{}', '%ED%A0%80',
    '..%2f', randomUUID(), randomUUID().toUpperCase(), '2026-02-30',
  ]
  const always = ['workshop', 'changed', 'constructor', '__proto__', 'after[]']
  const reads = routes().filter(({ way, path }) => (way === 'GET' && path !== '/api/live') || way === 'DELETE')
  const asked = reads.flatMap(({ way, path, schema }) => {
    if (path.includes('[')) return junk.map(one => ({ way, path: path.replaceAll(/\[[\w.]+\]/g, one) }))
    const names = [...always, ...Object.keys((schema as ObjectSchema<object> | undefined)?.fields ?? {})]
    return names.flatMap(name => [...junk, `a&${name}=b`].map(one => ({ way, path: `${path}?${name}=${one}` })))
  })
  expect(asked.length).toBeGreaterThan(1500)
  const bad: string[] = []
  const left = asked.values()
  async function ask() {
    for (const { way, path } of left) {
      const { status } = await fetch(`${stand.address}${path}`, { method: way })
      if (status >= 500) bad.push(`${status} ${way} ${path.slice(0, 200)}`)
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, ask))
  expect(bad).toEqual([])
})

test('half a body is not waited for for ever, and one that breaks off is no fault of ours', async ({ stand }) => {
  const { port } = new URL(stand.address)
  const before = readFileSync(stand.logFile, 'utf8')
  const head = `POST /api/air HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\ncontent-type: application/json\r\ncontent-length: 40\r\n\r\n{"cel`
  const halves = [true, false].map(ends => new Promise<void>((resolve, reject) => {
    const socket = connect(Number(port), '127.0.0.1', () => socket.write(head, () => ends && setImmediate(() => socket.destroy())))
    socket.on('close', () => resolve()).on('error', () => resolve())
    socket.setTimeout(60_000, () => reject(new Error('It is still open.')))
  }))
  await Promise.all(halves)
  expect(readFileSync(stand.logFile, 'utf8').slice(before.length)).toBe('')
})
