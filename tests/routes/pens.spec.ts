import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import type { APIRequestContext, APIResponse } from '@playwright/test'
import { expect, test } from '../stand'
import type { Pen } from '../../contract'

const done = (pen: string, step: string, id = randomUUID()) => ({
  id,
  pen,
  kind: 'done',
  barrels: ['only'],
  at: new Date().toISOString(),
  device: 'test',
  payload: { step },
})
const send = (request: APIRequestContext, events: unknown[]) => request.post('/api/events', { data: { events } })
const log = async (request: APIRequestContext, pen: Pen) =>
  (await (await request.get(`/api/pens/${pen.id}`)).json()).events as { id: string }[]

/** No answer may carry a stack trace or a file’s path. */
async function clean(answer: APIResponse): Promise<string> {
  const text = await answer.text()
  expect(text).not.toMatch(/\bat .*\(.*:\d+:\d+\)|\.mjs|node_modules|select |insert /)
  return text
}

test('a pen is started, planned and found again', async ({ request, pen }) => {
  const made = await pen({ material: 'oak', due: '2026-12-05' })
  const whole = await (await request.get(`/api/pens/${made.id}`)).json()
  expect(whole.pen).toMatchObject({ material: 'oak', due: '2026-12-05', planVersion: 1 })
  expect(whole.plan.steps.map((step: { kind: string }) => step.kind)).toEqual(
    expect.arrayContaining(['cut', 'sand', 'coat', 'level', 'assemble']),
  )
  const listed = await (await request.get('/api/pens')).json()
  const row = listed.pens.find((one: { pen: Pen }) => one.pen.id === made.id)
  expect(row.summary).toMatchObject({ stage: 'planned', next: { step: 'parts' } })
})

test('pens are asked for by what they have in common, page by page; what cannot be asked is told', async ({ request, pen }) => {
  const made = [await pen({ material: 'walnut', name: 'Paged one' }), await pen({ material: 'walnut', name: 'Paged two' })]
  const first = await (await request.get('/api/pens?material=walnut&stage=planned&text=paged&limit=1')).json()
  expect(first.pens.map((one: { pen: Pen }) => one.pen.id)).toEqual([made[1]!.id])
  const second = await (await request.get(`/api/pens?material=walnut&stage=planned&text=paged&limit=1&after=${first.next}`)).json()
  expect([second.pens.map((one: { pen: Pen }) => one.pen.id), second.next]).toEqual([[made[0]!.id], null])
  const wrong = await request.get('/api/pens?stage=lost&limit=many&after=x&colour=red')
  expect(wrong.status()).toBe(422)
  expect(Object.keys((await wrong.json()).fields).sort()).toEqual(['', 'limit', 'stage'])
  const stray = await request.get('/api/pens?after=x')
  expect([stray.status(), (await stray.json()).fields.after]).toEqual([422, 'This is no place in this list: begin at its beginning.'])
})

test('a taken mark and wrong fields are told one by one with what would do', async ({ request, pen }) => {
  const made = await pen()
  const taken = await request.post('/api/pens', {
    data: { mark: made.mark, name: 'Again', fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew', film: 'gloss' },
  })
  expect(taken.status()).toBe(422)
  expect((await taken.json()).fields.mark).toMatch(/is on “Test apple” already\. T\d+ is free/)
  const wrong = await request.post('/api/pens', { data: { mark: 'x', name: 'A', fitting: 'none', stray: 1 } })
  expect(wrong.status()).toBe(422)
  const { fields } = await wrong.json()
  expect(Object.keys(fields)).toEqual(expect.arrayContaining(['mark', 'material', 'method', 'tool', 'film', '']))
  expect(fields['']).toMatch(/stray/)
  const unknown = await request.post('/api/pens', {
    data: { mark: 'Z900', name: 'Again', fitting: 'none', material: 'apple', method: 'ca-thin-first', tool: 'skew', film: 'gloss' },
  })
  expect(unknown.status()).toBe(422)
  expect((await unknown.json()).fields.fitting).toMatch(/not on the shelf any more/)
})

test('the same events twice, and overlapping, change nothing', async ({ request, pen }) => {
  const made = await pen()
  const [one, two, three] = ['cut', 'drill', 'tube'].map(step => done(made.id, step))
  expect(await (await send(request, [one, two])).json()).toEqual({ added: [one!.id, two!.id], known: [] })
  expect(await (await send(request, [one, two])).json()).toEqual({ added: [], known: [one!.id, two!.id] })
  expect(await (await send(request, [two, three])).json()).toEqual({ added: [three!.id], known: [two!.id] })
  expect((await log(request, made)).map(event => event.id)).toEqual([one!.id, two!.id, three!.id])
})

test('a batch with one wrong event keeps none of it', async ({ request, pen }) => {
  const made = await pen()
  const stray = await send(request, [done(made.id, 'cut'), done(randomUUID(), 'cut')])
  expect(stray.status()).toBe(422)
  expect((await stray.json()).fields).toEqual({ 'events[1].pen': 'There is no such pen in this workshop.' })
  const wrong = await send(request, [done(made.id, 'cut'), { ...done(made.id, 'drill'), payload: { step: 'drill', extra: true } }])
  expect(wrong.status()).toBe(422)
  expect((await wrong.json()).fields['events[1].payload']).toMatch(/not known: extra/)
  expect(await log(request, made)).toEqual([])
})

test('a change of an older version is a conflict that shows the newer one', async ({ request, pen }) => {
  const made = await pen()
  expect((await request.patch(`/api/pens/${made.id}`, { data: { version: 1, material: 'oak' } })).status()).toBe(200)
  const late = await request.patch(`/api/pens/${made.id}`, { data: { version: 1, name: 'Late' } })
  expect(late.status()).toBe(409)
  expect((await late.json()).newer).toMatchObject({ material: 'oak', version: 2, planVersion: 2 })
  expect((await request.post(`/api/pens/${made.id}/plan`, { data: { version: 1 } })).status()).toBe(409)
})

test('what is not there is said to be missing', async ({ request }) => {
  for (const path of [`/api/pens/${randomUUID()}`, '/api/pens/not-an-id', '/api/nothing', `/api/pens/${randomUUID()}/record.json`]) {
    const answer = await request.get(path)
    expect(answer.status(), path).toBe(404)
    await clean(answer)
  }
})

test('a body over 1 MB is refused, whether it says its length or not, and what is not JSON too', async ({ request, stand }) => {
  expect((await request.post('/api/pens', { data: { name: 'x'.repeat(1_000_100) } })).status()).toBe(413)
  const chunks = new ReadableStream({
    start(stream) {
      for (let index = 0; index < 20; index++) stream.enqueue(new TextEncoder().encode('x'.repeat(100_000)))
      stream.close()
    },
  })
  const streamed = await fetch(`${stand.address}/api/events`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: chunks,
    duplex: 'half',
  } as RequestInit)
  expect(streamed.status).toBe(413)
  expect(
    (await request.post('/api/pens', { headers: { 'content-type': 'application/json' }, data: Buffer.from('{"mark":') })).status(),
  ).toBe(400)
  expect((await request.post('/api/pens', { headers: { 'content-type': 'text/plain' }, data: '{}' })).status()).toBe(415)
})

test('junk never gives a 500, nor a stack trace', async ({ request, pen, stand }) => {
  const made = await pen()
  const junk: unknown[] = [
    null,
    [],
    {},
    'text',
    7,
    true,
    { events: null },
    { events: {} },
    { events: [null] },
    { events: [{ id: {}, payload: [] }] },
    { events: Array(600).fill({}) },
    { mark: {}, name: [], fitting: 3 },
    { version: 'x' },
    { version: -1 },
    { version: 1e300 },
    { version: 1, celsius: 'warm', humidity: null, units: {} },
    { item: 'P-9999', there: 'yes' },
    { version: 1, name: '\u0000' },
    { events: [{ ...done(made.id, 'x'), at: '9999-99-99T99:99:99.999Z' }] },
    { events: [{ ...done(made.id, '\u0000') }] },
    JSON.parse('{"__proto__":{"x":1}}'),
    { events: [{ ...done(made.id, 'x'), at: '+275760-09-13T00:00:00.000Z' }] },
    { events: [{ ...done(made.id, 'x'), at: '0000-01-01T00:00:00.000Z' }] },
    { version: 1, due: '0000-00-00' },
    { version: 1, due: '0000-01-01' },
  ]
  const routes: ['post' | 'put' | 'patch', string][] = [
    ['post', '/api/pens'],
    ['post', '/api/events'],
    ['patch', `/api/pens/${made.id}`],
    ['post', `/api/pens/${made.id}/plan`],
    ['put', '/api/workshop'],
    ['put', '/api/shelf'],
    ['patch', '/api/pens/%00'],
    ['patch', '/api/pens/..%2f..'],
  ]
  for (const [method, path] of routes) {
    for (const data of junk) {
      const answer = await request[method](path, { headers: { 'content-type': 'application/json' }, data: JSON.stringify(data) })
      const text = await clean(answer)
      expect(answer.status(), `${method} ${path} ${JSON.stringify(data)}: ${text}`).toBeLessThan(500)
      if (!(data && typeof data === 'object' && 'version' in data))
        expect(answer.status(), `${method} ${path} ${JSON.stringify(data)}`).toBeGreaterThanOrEqual(400)
    }
  }
  expect(readFileSync(stand.logFile, 'utf8')).not.toMatch(/:memory:|password/i)
})

test('writes from another origin and foreign host names are refused', async ({ request, stand }) => {
  const data = { item: 'P-600', there: true }
  expect((await request.put('/api/shelf', { data, headers: { origin: 'http://elsewhere.example' } })).status()).toBe(403)
  expect((await request.put('/api/shelf', { data, headers: { 'sec-fetch-site': 'cross-site' } })).status()).toBe(403)
  expect((await request.put('/api/shelf', { data, headers: { origin: 'null' } })).status()).toBe(403)
  expect((await request.put('/api/shelf', { data, headers: { origin: stand.address } })).status()).toBe(200)
  const { request: raw } = await import('node:http')
  const status = await new Promise((resolve) => {
    raw(`${stand.address}/api/pens`, { headers: { host: 'rebound.example' } }, answer => resolve(answer.statusCode)).end()
  })
  expect(status).toBe(421)
})

test('a page carries a strict policy: no inline script without this answer’s nonce', async ({ request }) => {
  const [one, two] = await Promise.all([request.get('/'), request.get('/')])
  const policy = one.headers()['content-security-policy']!
  expect(policy).toContain('default-src \'self\'')
  expect(policy).toContain('object-src \'none\'')
  expect(policy.match(/script-src [^;]*/)![0]).not.toContain('unsafe')
  expect(policy).not.toBe(two.headers()['content-security-policy'])
  expect(one.headers()['x-content-type-options']).toBe('nosniff')
})
