import { randomUUID } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { connect } from 'node:net'
import type { Method } from '../../core/method'
import type { ShelfBlank, ShelfFitting, WorkshopList } from '../../contract'
import { expect, test } from '../stand'
import { junkOf } from './junk'

// What is taken of it changes shelf, air and names as nobody else’s should be.
test.use({ only: 'junk' })

/** So many junk bodies in all. */
const BODIES = 5000
const AT_ONCE = 6

/** Sound payloads, one of each kind of entry. */
function payloads(step: string, defect: string): Record<string, object> {
  return {
    begin: { step },
    done: { step },
    skip: { step },
    defect: { kind: 'chip', barrel: 'only', fromTip: 10, around: 90, size: 0.5, step },
    check: { step, check: 'bore', answer: 'yes' },
    look: { step: 'sand.P-320', answer: 'not yet' },
    measure: { barrel: 'only', fromTip: 5, diameter: 11, step },
    coat: { product: 'ca-thin', step },
    time: { step, seconds: 60 },
    answer: { defect, question: 'tool', answer: 'yes' },
    judge: { defect, cause: null },
    photo: { defect, photo: randomUUID() },
    repair: { defect, way: 'thin CA', step, from: step },
    settle: { defect, how: 'left' },
    undo: { entries: [defect] },
    touch: { step, felt: 'tacky' },
    extra: { work: 'sand', with: 'P-320', step },
    wait: { step, seconds: 60 },
    remark: { text: 'Junk', step },
    away: { how: 'back', why: '' },
    press: { step, part: 'Tip', verdict: 'in', left: 1, out: 2, back: true, as: { how: 'cut', to: 18, what: '' } },
  }
}

/** Pictures, and what asks for nothing but itself. */
const WITHOUT = ['POST /api/photos', 'PUT /api/photos/:id', 'POST /api/shelf/usual', 'POST /api/workshops/demo', 'PUT /api/workshops/demo']
/** The routes that take a body, by their files. */
const withBody = (): string[] =>
  readdirSync('server/api', { recursive: true, encoding: 'utf8' })
    .flatMap((file) => {
      const [, path = '', way = ''] = /^(.*?)\.(post|put|patch)\.ts$/.exec(file) ?? []
      return way ? [`${way.toUpperCase()} /api/${path.replace(/\/index$/, '').replaceAll('[id]', ':id')}`] : []
    })
    .filter(route => !WITHOUT.includes(route))
    .sort()

test('nothing that comes in draws a 500: bodies', async ({ stand, request, pen }) => {
  test.setTimeout(300_000)
  const made = await pen()
  const get = async <T>(path: string) => (await (await request.get(path)).json()) as T
  const { fitting } = (await get<ShelfFitting[]>('/api/fittings'))[0]!
  const [{ id: _id, version: _version, source: _source, ...method } = {} as Method] = await get<Method[]>('/api/methods')
  const blank = (await get<ShelfBlank[]>('/api/blanks'))[0]!
  const workshop = (await get<WorkshopList>('/api/workshops')).workshops[0]!
  const entries = Object.entries(payloads('drill', randomUUID())).map(([kind, payload]) => ({
    id: randomUUID(), pen: made.id, kind, barrels: ['only'], at: new Date().toISOString(), device: 'junk', ahead: 0, payload,
  }))
  const sizing = {
    shapes: { only: { kind: 'free', points: [{ part: 0.5, diameter: 11 }] } }, ends: [{ barrel: 'only', end: 'tip', diameter: 10 }],
    glue: 'epoxy', ladder: ['P-320'], insist: [], refuse: [], marks: 5, leave: 10, sandSpeed: 1500, depth: 40, asItStands: false, jump: 2,
  }
  const { fitting: chosen, material, tool, film } = made
  const choices = { fitting: chosen, material, method: made.method, tool, film }
  const { name, bit, barrels } = fitting
  const sound: [string, string, unknown][] = [
    ...entries.map((entry): [string, string, unknown] => ['POST', '/api/events', { events: [entry], sentAt: entry.at }]),
    ['POST', '/api/pens', { mark: 'J1', name: 'Junk', reason: null, due: '2030-01-01', blank: null, ...choices }],
    ['POST', '/api/pens/several', { pens: [1, 2].map(one => ({ mark: `J${one}`, name: 'Junk', reason: null, due: null, ...choices })) }],
    ['PATCH', `/api/pens/${made.id}`, { version: 1, name: 'Junk', ...choices, sizing }],
    ['PATCH', `/api/pens/${made.id}`, { version: 1, sizing }],
    ['POST', `/api/pens/${made.id}/plan`, { version: 1 }],
    ['POST', '/api/fittings', { name, bit, barrels, parts: ['a clip'], sets: 1, bushings: 'there', version: 1 }],
    ['PUT', `/api/fittings/${fitting.id}`, { name, bit, barrels, sets: 1, bushings: 'there', version: 1 }],
    ['POST', '/api/methods', { of: made.method, name: 'Junk' }],
    ['PUT', `/api/methods/${made.method}`, { ...method, version: 1 }],
    ['PATCH', `/api/methods/${made.method}`, { gone: false }],
    ['POST', '/api/blanks', {
      name: 'Junk', material: 'apple', species: null, classes: ['close-grained'], origin: null, width: 20, height: 20, length: 130,
      count: 1, damp: false, photo: null,
    }],
    ['PUT', `/api/blanks/${blank.id}`, {
      version: 1, name: 'Junk', material: null, species: 'junk', classes: [], origin: null, width: 20, height: 20, length: null, count: 1,
      damp: true, photo: null,
    }],
    ['PATCH', `/api/workshops/${workshop.id}`, { name: 'Junk' }],
    ['POST', `/api/blanks/${blank.id}/readings`, { id: randomUUID(), at: new Date().toISOString(), grams: 50 }],
    ['PUT', '/api/bits', { diameter: 7, count: 1, there: true }],
    ['POST', '/api/air', { celsius: 20, humidity: 50 }],
    ['PUT', '/api/workshop', {
      version: 1, units: 'metric', air: { celsius: 20, humidity: 50 }, perEnd: 2, kerf: 1, wander: 0.01, leastWall: 1,
    }],
    ['PUT', '/api/shelf', { item: 'P-320', there: true, worn: 0.2, count: 3, wet: true, dry: true }],
    ['PUT', '/api/shelf/bottle', {
      item: 'ca-thin', opened: '2026-01-01', closed: false, keeps: 100, left: 20, size: 50, sealed: 1, price: 900,
    }],
    ['POST', '/api/shelf/own', { label: 'grey', coarser: 'P-320', finer: 'P-600', wet: true, dry: true }],
  ]
  // Every route that takes a body is among them.
  const named = sound.map(([way, path]) => `${way} ${path.replace(/\/(pens|fittings|methods|blanks|workshops)\/(?!several)[^/]+/, '/$1/:id')}`)
  expect([...new Set(named)].sort()).toEqual(withBody())
  const answers = new Map<number, number>()
  const bad: string[] = []
  let sent = 0
  async function send() {
    while (sent < BODIES) {
      const seed = sent++
      const [way, path, body] = sound[seed % sound.length]!
      const junk = JSON.stringify(junkOf(body, seed))
      const answer = await fetch(`${stand.address}${path}`, { method: way, headers: { 'content-type': 'application/json' }, body: junk })
      answers.set(answer.status, (answers.get(answer.status) ?? 0) + 1)
      const says = (await answer.json()) as { message?: string }
      if (answer.status >= 500 || (answer.status >= 400 && !says.message)) bad.push(`${answer.status} ${way} ${path} ${junk.slice(0, 400)}`)
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, send))
  expect(bad.slice(0, 20)).toEqual([])
  // It is junk to most of them, and some of it is sound.
  expect(answers.get(422)).toBeGreaterThan(BODIES / 2)
  expect((answers.get(200) ?? 0) + (answers.get(201) ?? 0)).toBeGreaterThan(50)
  // What was taken harms nobody: all lists and pens still open.
  for (const path of ['/api/pens', '/api/bench', `/api/pens/${made.id}`, '/api/fittings', '/api/shelf', '/api/methods', '/api/learnt'])
    expect((await request.get(path)).status(), path).toBe(200)
  expect(readFileSync(stand.logFile, 'utf8')).not.toContain('TypeError')
})

test('nothing that comes in draws a 500: addresses', async ({ stand }) => {
  const junk = [
    '', '%00', '%ff', '%F0%9D', 'constructor', '__proto__', '-1', '1e999', '9'.repeat(40), 'x'.repeat(3000), '[]', '%22', '{}', '%ED%A0%80',
    '..%2f', randomUUID(), randomUUID().toUpperCase(), '2026-02-30',
  ]
  const names = ['after', 'limit', 'text', 'stage', 'due', 'sort', 'kind', 'workshop', 'changed', 'constructor', '__proto__', 'after[]']
  const paths = ['/api/pens', '/api/defects', '/api/defects/history', '/api/bench', '/api/air', '/api/learnt']
  const asked = [
    ...paths.flatMap(path => names.flatMap(name => junk.map(one => `${path}?${name}=${one}`))),
    ...paths.flatMap(path => names.map(name => `${path}?${name}=a&${name}=b`)),
    ...['pens', 'methods', 'photos', 'fittings', 'blanks', 'nothing'].flatMap(kind => junk.map(one => `/api/${kind}/${one}`)),
    ...junk.flatMap(one => [`/api/pens/${one}/record.json`, `/api/pens/${one}/record.csv`]),
  ]
  const bad: string[] = []
  for (const path of asked) {
    const { status } = await fetch(`${stand.address}${path}`)
    if (status >= 500) bad.push(`${status} ${path.slice(0, 200)}`)
  }
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
