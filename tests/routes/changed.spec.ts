import { randomUUID } from 'node:crypto'
import type { APIRequestContext } from '@playwright/test'
import type { Method } from '../../core/method'
import type { Pen, PenPage, ShelfBlank, ShelfFitting, WholePen } from '../../contract'
import { replay } from '../../core/bench'
import { chance } from '../support/chance'
import { expect, test } from '../stand'

// The shelf and the air are changed here as nobody else’s should be.
test.use({ only: 'changed' })

const whole = async (request: APIRequestContext, id: string) => (await (await request.get(`/api/pens/${id}`)).json()) as WholePen
const stateOf = async (request: APIRequestContext, id: string) => {
  const { plan, events } = await whole(request, id)
  return replay(plan!, events)
}

/** Does so many steps of a pen as they stand. */
async function work(request: APIRequestContext, pen: Pen, count: number) {
  const { plan } = await whole(request, pen.id)
  const from = Date.now() - 3_600_000
  const events = plan!.steps.slice(0, count).map((step, index) => ({
    id: randomUUID(), pen: pen.id, kind: 'done', barrels: step.barrels, at: new Date(from + index * 1000).toISOString(), device: 'test',
    payload: { step: step.id },
  }))
  if (events.length) expect((await request.post('/api/events', { data: { events } })).status()).toBe(200)
}

test('another fitting after drilling: what no longer fits is told, and open again or done as the turner says', async ({ request, pen }) => {
  const [mine, kept] = [await pen({ name: 'Drilled' }), await pen({ name: 'Drilled too' })]
  for (const one of [mine, kept]) await work(request, one, 5)
  const change = (one: Pen, data: object) => request.patch(`/api/pens/${one.id}`, { data: { version: 1, fitting: 'twist-7', ...data } })
  const refused = await change(mine, {})
  expect(refused.status()).toBe(422)
  expect(((await refused.json()) as { fields: object }).fields).toMatchObject({ fitting: expect.stringMatching(/One stick was cut.*Say whether/) })
  expect((await stateOf(request, mine.id)).steps.filter(one => one.status === 'done')).toHaveLength(5)

  expect((await change(mine, { begun: 'open again' })).status()).toBe(200)
  const opened = await stateOf(request, mine.id)
  expect(opened.next?.id).toBe('parts')
  expect(opened.steps.every(one => one.status === 'open')).toBe(true)
  expect(opened.plan.inputs.fitting.id).toBe('twist-7')
  // Nothing is lost from the log: what was done is taken back by an entry of its own.
  expect(opened.log).toHaveLength(6)

  expect((await change(kept, { begun: 'as done' })).status()).toBe(200)
  const done = await stateOf(request, kept.id)
  expect(done.steps.filter(one => one.status === 'done')).toHaveLength(5)
  expect(done.plan.inputs.fitting.id).toBe('twist-7')
})

test('a fitting that was changed on the shelf undoes nothing of a pen that is planned again', async ({ request, pen }) => {
  const fittings = (await (await request.get('/api/fittings')).json()) as ShelfFitting[]
  const { fitting: { id: _, source: __, ...like } } = fittings.find(one => one.fitting.id === 'click-8')!
  const rest = { name: 'Mine', sets: 1, bushings: 'there' }
  const own = (await (await request.post('/api/fittings', { data: { ...like, ...rest } })).json()) as ShelfFitting
  const made = await pen({ fitting: own.fitting.id })
  await work(request, made, 5)
  const narrower = { ...like, bit: like.bit - 1, barrels: like.barrels.map(one => ({ ...one, tubeOuter: one.tubeOuter - 1 })) }
  const put = await request.put(`/api/fittings/${own.fitting.id}`, { data: { ...narrower, ...rest, version: 1 } })
  expect(put.status()).toBe(200)
  expect((await request.post(`/api/pens/${made.id}/plan`, { data: { version: 1 } })).status()).toBe(200)
  const state = await stateOf(request, made.id)
  expect(state.plan.inputs.fitting.bit).toBe(like.bit)
  expect(state.steps.filter(one => one.status === 'done')).toHaveLength(5)
})

/** Sticks of every kind to make pens from: sound, too short, too thin, damp, of which nothing is known. */
async function sticksOf(request: APIRequestContext): Promise<string[]> {
  const sizes = [[20, 20, 130], [20, 20, 40], [9, 9, 130], [19, 40, 900], [null, null, null]]
  const made = sizes.flatMap(([width, height, length], index) => ['apple', 'green-resin', 'unknown'].map(material => ({
    name: `Stick ${index}`, material, width, height, length, count: index, damp: index % 2 === 1, species: null, origin: null, photo: null,
    classes: material === 'green-resin' ? ['resin'] : [],
  })))
  return Promise.all(made.map(async (data) => {
    const answer = await request.post('/api/blanks', { data })
    expect(answer.status(), await answer.text()).toBeLessThan(300)
    return ((await answer.json()) as ShelfBlank).id
  }))
}

/** Changes something of the shelf or the air, as another device would meanwhile. */
const shelfOf = (request: APIRequestContext, pick: <T>(all: readonly T[]) => T) => async () => {
  const abrasives = ['P-120', 'P-220', 'P-320', 'P-400', 'P-600', 'P-800', 'pad-1800']
  const items = [...abrasives, 'thin-ca', 'medium-ca', 'accelerator', 'epoxy', 'friction-polish']
  const answer = await pick([
    () => request.put('/api/shelf', { data: { item: pick(items), there: pick([true, true, false]) } }),
    () => request.put('/api/shelf', { data: { item: pick(abrasives), there: true, worn: pick([0, 0.5, 0.9]), count: pick([0, 1, 9]) } }),
    () => request.put('/api/shelf/bottle', { data: { item: pick(['thin-ca', 'medium-ca']), left: pick([0, 0.1, 20]) } }),
    () => request.post('/api/air', { data: { celsius: pick([2, 12, 21, 33]), humidity: pick([15, 50, 88]) } }),
  ])()
  expect([200, 422], await answer.text()).toContain(answer.status())
}

test('whatever is changed of pens at whatever stage, on whatever shelf, every list and every pen still opens (fuzz)', async ({
  request, pen,
}) => {
  test.setTimeout(180_000)
  const { uniform } = chance(11)
  const pick = <T>(all: readonly T[]): T => all[Math.floor(uniform() * all.length)]!
  const fittings = ((await (await request.get('/api/fittings')).json()) as ShelfFitting[]).map(one => one.fitting.id)
  const methods = ((await (await request.get('/api/methods')).json()) as Method[]).map(one => one.id)
  const materials = ['apple', 'pear', 'damson', 'holly', 'spalted-apple', 'burr-resin']
  const sticks = await sticksOf(request)
  const shelf = shelfOf(request, pick)
  const answers = new Set<number>()
  for (let round = 0; round < 25; round++) {
    const made = await pen({ fitting: pick(fittings), method: pick(methods) })
    for (let turn = 0; turn < 4; turn++) {
      await work(request, made, Math.floor(uniform() * 30))
      const now = await whole(request, made.id)
      await shelf()
      const what = pick<object>([
        { fitting: pick(fittings) }, { material: pick(materials), blank: null }, { method: pick(methods) }, { film: 'close to the wood' },
        { blank: pick(sticks) }, { blank: null },
      ])
      const begun = pick([{}, { begun: 'open again' }, { begun: 'as done' }])
      const change = turn === 3
        ? await request.post(`/api/pens/${made.id}/plan`, { data: { version: now.pen.version } })
        : await request.patch(`/api/pens/${made.id}`, { data: { version: now.pen.version, ...what, ...begun } })
      answers.add(change.status())
      expect([200, 422], `${JSON.stringify(what)} ${await change.text()}`).toContain(change.status())
    }
    for (const part of ['', '/record.json', '/record.csv'])
      expect((await request.get(`/api/pens/${made.id}${part}`)).status(), part).toBe(200)
  }
  expect([...answers].sort()).toEqual([200, 422])
  for (const path of ['/api/pens?limit=200', '/api/bench', '/api/defects', '/api/learnt', '/api/pens/due'])
    expect((await request.get(path)).status(), path).toBe(200)
  const { pens } = (await (await request.get('/api/pens?limit=200')).json()) as PenPage
  expect(pens.filter(one => one.summary.broken)).toEqual([])
})
