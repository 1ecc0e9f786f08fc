import { randomUUID } from 'node:crypto'
import sharp from 'sharp'
import { expect, test } from '../stand'

const fitting = {
  name: 'Routed',
  bit: 7,
  sets: 1,
  bushings: 'there',
  barrels: [{ id: 'only', tubeLength: 50, tubeOuter: 6.9, tipEnd: 8, clipEnd: 9 }],
}
const blank = {
  name: 'Routed bough',
  material: 'apple',
  species: null,
  classes: [],
  origin: null,
  width: 19,
  height: 19,
  length: 130,
  count: 1,
  damp: false,
  photo: null,
}

test('an impossible fitting is refused field by field, and nothing of it is kept', async ({ request }) => {
  const before = await (await request.get('/api/fittings')).json()
  const wrong = await request.post('/api/fittings', {
    data: { ...fitting, bit: 6, barrels: [{ ...fitting.barrels[0], tubeLength: -4, clipEnd: 900 }] },
  })
  expect(wrong.status()).toBe(422)
  expect((await wrong.json()).fields).toMatchObject({
    'bit': expect.stringMatching(/does not go into a bore/),
    'barrels[0].tubeLength': expect.stringMatching(/above 0/),
    'barrels[0].clipEnd': expect.stringMatching(/more than a pen has/),
  })
  expect((await request.post('/api/fittings', { data: { ...fitting, barrels: [{ ...fitting.barrels[0], id: 'upper' }] } })).status()).toBe(
    422,
  )
  expect(await (await request.get('/api/fittings')).json()).toEqual(before)
  expect((await request.delete('/api/fittings/nobody-knows')).status()).toBe(404)
})

test('a conflict shows the newer fitting', async ({ request }) => {
  const made = await (await request.post('/api/fittings', { data: fitting })).json()
  await request.put(`/api/fittings/${made.fitting.id}`, { data: { ...fitting, name: 'Theirs', version: 1 } })
  const mine = await request.put(`/api/fittings/${made.fitting.id}`, { data: { ...fitting, name: 'Mine', version: 1 } })
  expect(mine.status()).toBe(409)
  expect((await mine.json()).newer).toMatchObject({ version: 2, fitting: { name: 'Theirs' } })
  await request.delete(`/api/fittings/${made.fitting.id}`)
})

test('a picture goes in large and comes out as WebP in two sizes; what is none is refused', async ({ request }) => {
  const data = await sharp({ create: { width: 2000, height: 900, channels: 3, background: '#336644' } })
    .png()
    .toBuffer()
  const kept = await request.post('/api/photos', { data, headers: { 'content-type': 'image/png' } })
  expect(kept.status()).toBe(201)
  const { id, width } = await kept.json()
  expect(width).toBe(1600)
  const small = await request.get(`/api/photos/${id}?size=small`)
  expect(small.headers()['content-type']).toBe('image/webp')
  expect((await sharp(await small.body()).metadata()).width).toBe(320)
  for (const [body, type, status] of [
    [Buffer.from('text'), 'image/png', 415],
    [data, 'text/plain', 415],
    [Buffer.alloc(15_000_001), 'image/png', 413],
  ] as const) {
    const answer = await request.post('/api/photos', { data: body, headers: { 'content-type': type } })
    expect(answer.status()).toBe(status)
    expect((await answer.json()).message).toMatch(/picture/)
  }
  expect((await request.get(`/api/photos/${randomUUID()}`)).status()).toBe(404)
})

test('a pad between two of one grain, or for no use, is refused; what is said of an abrasive is kept', async ({ request }) => {
  const pad = { label: 'odd pad', coarser: 'P-220', finer: 'CAMI-220', wet: true, dry: true }
  expect((await (await request.post('/api/shelf/own', { data: pad })).json()).fields.finer).toMatch(/of one grain/)
  expect(
    (await (await request.post('/api/shelf/own', { data: { ...pad, finer: 'P-320', wet: false, dry: false } })).json()).fields.dry,
  ).toMatch(/wet, dry or both/)
  const shelf = await (await request.put('/api/shelf', { data: { item: 'P-320', there: true, worn: 0.25, count: 4 } })).json()
  expect(shelf.abrasives.find((one: { id: string }) => one.id === 'P-320')).toMatchObject({ worn: 0.25, count: 4 })
  expect((await request.put('/api/shelf', { data: { item: 'marble', there: true } })).status()).toBe(422)
  await request.put('/api/shelf', { data: { item: 'P-320', there: true, worn: 0 } })
  expect((await request.get('/api/learnt')).status()).toBe(200)
})

test('a blank and its readings: what is wrong is told, what is sent twice is kept once', async ({ request }) => {
  const wrong = await request.post('/api/blanks', { data: { ...blank, width: 0, length: 30_000, classes: ['holy'] } })
  expect(Object.keys((await wrong.json()).fields).sort()).toEqual(['classes[0]', 'length', 'width'])
  const made = await (await request.post('/api/blanks', { data: blank })).json()
  const reading = { id: randomUUID(), at: '2026-11-20T08:00:00.000Z', grams: 41 }
  for (let times = 0; times < 2; times++)
    expect((await request.post(`/api/blanks/${made.id}/readings`, { data: reading })).status()).toBe(200)
  expect((await request.post(`/api/blanks/${made.id}/readings`, { data: { ...reading, id: randomUUID(), percent: 12 } })).status()).toBe(
    422,
  )
  const listed = await (await request.get('/api/blanks')).json()
  expect(listed.find((one: { id: string }) => one.id === made.id).readings).toEqual([reading])
  await request.delete(`/api/blanks/${made.id}`)
})
