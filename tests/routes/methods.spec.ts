import type { Workshop } from '../../schemas'
import { expect, test } from '../stand'

test('methods are listed, copied, changed by version and put away; what is wrong is told at its field', async ({ request }) => {
  const list = (await (await request.get('/api/methods')).json()) as { id: string, family: string }[]
  expect(new Set(list.map(method => method.family)).size).toBe(10)
  const copied = await request.post('/api/methods', { data: { of: 'friction-polish', name: 'Three rubs' } })
  expect(copied.status()).toBe(201)
  const { id, version, source: _, ...settings } = await copied.json()

  const wrong = await request.put(`/api/methods/${id}`, { data: { version, ...settings, layers: [] } })
  expect(wrong.status()).toBe(422)
  expect((await wrong.json()).fields.layers).toMatch(/at least one product/)
  const changed = await request.put(`/api/methods/${id}`, { data: { version, ...settings, sheen: 'satin' } })
  expect(await changed.json()).toMatchObject({ version: 2, sheen: 'satin' })
  const stale = await request.put(`/api/methods/${id}`, { data: { version, ...settings } })
  expect(stale.status()).toBe(409)
  expect((await stale.json()).newer).toMatchObject({ version: 2 })

  expect((await request.patch(`/api/methods/${id}`, { data: { gone: true } })).ok()).toBe(true)
  expect(((await (await request.get('/api/methods')).json()) as { id: string }[]).some(method => method.id === id)).toBe(false)
  expect(((await (await request.get(`/api/methods/${id}`)).json()) as unknown[]).length).toBe(2)
  expect((await request.get('/api/methods/nothing')).status()).toBe(404)
  expect((await request.post('/api/methods', { data: { of: 'nothing', name: 'x' } })).status()).toBe(404)
})

test('a bottle that cannot be is refused at its field; a sound one stands on the shelf', async ({ request }) => {
  const wrong = await request.put('/api/shelf/bottle', { data: { item: 'thin-ca', left: -2, opened: 'soon' } })
  expect(wrong.status()).toBe(422)
  expect(Object.keys((await wrong.json()).fields).sort()).toEqual(['left', 'opened'])
  const kept = await request.put('/api/shelf/bottle', { data: { item: 'thin-ca', left: 5, label: { 'next coat': { plain: 300 } } } })
  const { products } = (await kept.json()) as { products: { id: string, label?: object, bottle?: { left?: number } }[] }
  expect(products.find(product => product.id === 'thin-ca')).toMatchObject({ bottle: { left: 5 }, label: { 'next coat': { plain: 300 } } })
})

test('a wait that is running follows the air: warmed, it is over sooner', async ({ request, pen }) => {
  const made = await pen({ name: 'In changing air' })
  const { plan } = (await (await request.get(`/api/pens/${made.id}`)).json()) as { plan: { steps: { id: string }[] } }
  const tube = plan.steps.findIndex(step => step.id === 'tube')
  await request.post('/api/events', {
    data: {
      events: plan.steps
        .slice(0, tube + 1)
        .map(({ id }, index) => ({
          id: crypto.randomUUID(),
          pen: made.id,
          kind: 'done',
          barrels: ['only'],
          device: 'test',
          payload: { step: id },
          at: new Date(Date.now() - 60_000 + index).toISOString(),
        })),
    },
  })
  const until = async () => {
    const { pens: listed } = (await (await request.get('/api/pens?limit=200')).json()) as {
      pens: { pen: { id: string }, summary: { wait: { until: string } } }[]
    }
    return Date.parse(listed.find(one => one.pen.id === made.id)!.summary.wait.until)
  }
  const before = await until()
  const { version, units, celsius, humidity } = (await (await request.get('/api/workshop')).json()) as Workshop
  const warmed = await request.put('/api/workshop', { data: { version, units, air: { celsius: celsius + 10, humidity } } })
  expect(warmed.ok()).toBe(true)
  // Two hours of epoxy have hardly begun: ten degrees more halve nearly all that is left.
  const [left, was] = [(await until()) - Date.now(), before - Date.now()]
  expect(left / was).toBeGreaterThan(0.45)
  expect(left / was).toBeLessThan(0.6)
  await request.put('/api/workshop', { data: { version: (await warmed.json()).version, units, air: { celsius, humidity } } })
})
