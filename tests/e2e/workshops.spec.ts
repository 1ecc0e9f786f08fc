import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { expect, test as base, type APIRequestContext } from '@playwright/test'
import type { Customer, ListedPen, OrderPage, Place, WorkshopEntry, WorkshopList } from '../../contract'
import { startStand, type Stand } from '../../scripts/lib/stand'
import { press } from '../support/bench'

/** An Oxlip of its own for each test: what opens by itself follows what is in the workshops. */
const test = base.extend<{ stand: Stand }>({
  // Playwright reads what a fixture needs from this pattern.
  // eslint-disable-next-line no-empty-pattern
  stand: async ({}, use) => {
    const stand = await startStand()
    await use(stand)
    await stand.end()
  },
  baseURL: ({ stand }, use) => use(stand.address),
})

const rooms = async (request: APIRequestContext): Promise<{ own: WorkshopEntry, demo: WorkshopEntry, opens: string }> => {
  const { workshops, opens } = (await (await request.get('/api/workshops')).json()) as WorkshopList
  return { own: workshops.find(one => one.kind === 'own')!, demo: workshops.find(one => one.kind === 'demo')!, opens }
}
const pen = {
  mark: 'Q7', name: 'My first', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'oil', tool: 'skew', film: 'gloss',
}

test('a new installation opens with the demo, an empty workshop of one’s own beside it; each tab stays where it is', async ({
  page, context, request,
}) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Five on the bench' })).toBeVisible()
  await expect(page.getByText('Harrow Lane · the demo: made-up pens to try things on.')).toBeVisible()
  await page.getByRole('button', { name: 'Go to My workshop' }).click()
  await expect(page.getByRole('heading', { name: 'No pens yet' })).toBeVisible()
  await expect(page.getByText('the demo:')).toHaveCount(0)
  await page.getByRole('link', { name: 'Shelf' }).click()
  await expect(page.getByRole('button', { name: 'Put the usual things on' })).toBeVisible()

  // A tab that stands in the demo stays there, whatever another does.
  const other = await context.newPage()
  const { own, demo } = await rooms(request)
  await other.goto('/')
  await other.evaluate(id => sessionStorage.setItem('oxlip-workshop', id), demo.id)
  await other.goto('/pens')
  await expect(other.getByText('Plum, north row')).toBeVisible()
  await request.post(`/api/pens?workshop=${own.id}`, { data: pen })
  await page.goto('/')
  await expect(page.getByText('My first')).toBeVisible()
  await other.reload()
  await expect(other.getByText('Plum, north row')).toBeVisible()
  await expect(other.getByText('My first')).toHaveCount(0)
  // Now that it has a pen the turner's own opens by itself on the next device.
  expect((await rooms(request)).opens).toBe(own.id)

  // The name it is given stands at the top; the demo is begun anew, and what was done in it is gone.
  await page.getByRole('button', { name: /set air, units/ }).click()
  const dialog = page.getByRole('dialog', { name: 'Workshop' })
  await dialog.getByLabel('Name of this workshop').fill('The shed')
  await dialog.getByRole('button', { name: 'Rename' }).click()
  await expect(page.locator('.air')).toContainText('The shed')
  await dialog.getByRole('button', { name: 'Begin anew' }).click()
  await expect(dialog.getByRole('alert')).toContainText('Everything done in the demo is lost')
  await dialog.getByRole('button', { name: 'Begin it anew' }).click()
  await expect(page.getByText('Harrow Lane · the demo:')).toBeVisible()
  // The other tab's demo is gone: it comes to the workshop that was entered last on this device.
  await other.getByRole('link', { name: 'Bench' }).click()
  await expect(other.getByRole('heading', { name: 'Five on the bench' })).toBeVisible()

  // Deleted, the demo is gone for good, until it is set up again.
  await page.getByRole('button', { name: /set air, units/ }).click()
  await dialog.getByRole('button', { name: 'Delete', exact: true }).click()
  await dialog.getByRole('button', { name: 'Delete it' }).click()
  await expect(page.getByText('My first')).toBeVisible()
  await page.getByRole('button', { name: /set air, units/ }).click()
  await expect(dialog.getByText('Harrow Lane')).toHaveCount(0)
  await dialog.getByRole('button', { name: 'Set it up' }).click()
  await expect(page.getByRole('heading', { name: 'Five on the bench' })).toBeVisible()
})

test('entries that are not sent stay with their workshop: that is told before one leaves it, and they are sent when one is back', async ({
  page, request,
}) => {
  const { own, demo } = await rooms(request)
  const { pens } = (await (await request.get(`/api/pens?workshop=${demo.id}`)).json()) as { pens: ListedPen[] }
  const made = pens.find(one => one.pen.mark === 'C1')!.pen
  const logOf = async () => {
    const answer = await request.get(`/api/pens/${made.id}?workshop=${demo.id}`)
    return ((await answer.json()) as { events: { kind: string }[] }).events
  }
  await page.goto(`/pens/${made.id}/work`)
  await page.getByRole('button', { name: /^Begin/ }).click()
  await expect.poll(async () => (await logOf()).length).toBe(1)
  const done = async () => (await logOf()).filter(one => one.kind === 'done').length
  await page.route('**/api/events*', route => route.abort())
  await press(page, /^Parts there/, /^Cut/)
  await page.goto('/')
  await expect(page.getByText('1 not sent yet')).toBeVisible()
  await page.getByRole('button', { name: /set air, units/ }).click()
  const dialog = page.getByRole('dialog', { name: 'Workshop' })
  await dialog.getByRole('button', { name: 'Go there' }).click()
  await expect(dialog.getByRole('alert')).toContainText('Not sent yet: 1.')
  await dialog.getByRole('button', { name: 'Go all the same' }).click()
  await expect(page.getByRole('heading', { name: 'No pens yet' })).toBeVisible()
  await expect(page.getByText('not sent yet')).toHaveCount(0)
  await page.unroute('**/api/events*')
  expect(await done()).toBe(0)
  await page.getByRole('button', { name: 'Look at the demo' }).click()
  await expect.poll(done).toBe(1)
  expect((await (await request.get(`/api/bench?workshop=${own.id}`)).json()).pens).toEqual([])
})

test('no route tells or changes anything of another workshop', async ({ request }) => {
  const { own, demo } = await rooms(request)
  const get = async (path: string, workshop: string) => request.get(`${path}${path.includes('?') ? '&' : '?'}workshop=${workshop}`)
  const { pens } = (await (await get('/api/pens', demo.id)).json()) as { pens: ListedPen[] }
  const one = pens.find(each => each.pen.mark === 'A1')!.pen
  const blanks = (await (await get('/api/blanks', demo.id)).json()) as { id: string, readings: { id: string }[] }[]
  const blank = blanks.find(each => each.readings.length)!
  const pin = { id: randomUUID(), pen: one.id, kind: 'first', step: null, at: null, group: null, weight: null }
  const first = async <T>(path: string) => (await (await get(path, demo.id)).json()) as T
  const [{ order }] = (await first<OrderPage>('/api/orders')).orders as [OrderPage['orders'][number]]
  const [[customer], [place]] = [await first<[Customer]>('/api/customers'), await first<[Place]>('/api/places')]
  const names: [string, string][] = [
    ['/pens/:id', one.id], ['/blanks/:id', blank.id], [':reading', blank.readings[0]!.id], ['/methods/:id', one.method],
    ['/fittings/:id', 'click-8'], ['/photos/:id', randomUUID()],
    ['/customers/:id', customer.id], ['/orders/:id', order.id], ['/places/:id', place.id], ['/pins/:id', pin.id],
    ['/people/:id', randomUUID()], ['/devices/:id', randomUUID()],
    ['/products/:id', 'own-here'], ['/intakes/:id', randomUUID()], ['/classes/:id', randomUUID()],
  ]
  expect((await request.put(`/api/evenings/pins?workshop=${demo.id}`, { data: pin })).status()).toBe(200)
  const filled = (path: string) =>
    names.reduce((text, [name, id]) => text.replace(name, name.startsWith(':') ? id : name.replace(':id', id)), path)
  const contract = [...readFileSync('contract/routes.ts', 'utf8').matchAll(/^ {2}'([A-Z]+) ([^']+)':/gm)]
    .map(([, method = '', path = '']) => ({ method, path }))
    .filter(({ path }) => !/workshops|health|door|shown/.test(path))
  const reads = [...contract.filter(each => each.method === 'GET').map(each => filled(each.path)), '/api/pens?text=apple']
  const records = ['json', 'csv'].map(kind => `/api/pens/${one.id}/record.${kind}`)
  /** What is told, its fields in one order: what was learnt is kept and comes back in another. */
  const inOrder = (_: string, value: unknown) =>
    typeof value === 'object' && value && !Array.isArray(value) ? Object.fromEntries(Object.entries(value).sort()) : value
  const told = async (workshop: string) => [
    ...await Promise.all(reads.map(async path => JSON.stringify(await (await get(path, workshop)).json(), inOrder))),
    ...await Promise.all(records.map(async path => (await get(path, workshop)).text())),
  ]
  const before = await told(demo.id)
  const known = [...pens.map(each => each.pen.id), ...blanks.map(each => each.id), ...pens.map(each => each.pen.name)]
  expect(before.filter(text => known.some(word => text.includes(word))).length).toBeGreaterThan(7)
  const elsewhere = await told(own.id)
  expect(elsewhere.filter(text => known.some(word => text.includes(word)))).toEqual([])

  const asBlank = { name: 'x', material: 'apple', species: null, classes: [], origin: null, width: 19, height: 19, length: 130, count: 1 }
  const bodies: Record<string, object> = {
    'PATCH /api/pens/:id': { version: one.version, name: 'Taken over' },
    'POST /api/pens/:id/plan': { version: one.version },
    'PUT /api/blanks/:id': { ...asBlank, damp: false, photo: null, version: 1 },
    'POST /api/blanks/:id/readings': { id: randomUUID(), at: new Date().toISOString(), grams: 50 },
    'PUT /api/evenings/pins': { ...pin, id: randomUUID() },
    'PUT /api/findings/trials/:id/pens': { pen: one.id },
    'PUT /api/customers/:id': { version: 1, name: 'x', reach: '', remark: '' },
    'PUT /api/orders/:id': {
      version: 1, kind: 'gift', customer: null, promised: null, deposit: null, remark: '', calledOff: true,
      lines: [{
        id: randomUUID(), pen: null, material: null, fitting: null, method: null, refill: '', packing: '', wish: '', price: null,
      }],
    },
    'PUT /api/shelf/products/:id': { version: 1, name: 'x', alike: 'thin-ca', build: null, keeps: null, caution: '', source: '' },
    'POST /api/people/:id/second': { current: 'a long enough password' },
    'PUT /api/places/:id': { version: 1, name: 'x', kind: 'shop', day: null, cost: null, gone: true },
    'PATCH /api/findings/trials/:id': { ended: true },
    'PUT /api/classes/:id': {
      version: 1, name: 'x', ended: false, work: { looks: [], cautions: [], tools: [], clearing: [], free: [], criteria: [] },
    },
    'POST /api/classes/:id/pupils': { people: [] },
    'PUT /api/classes/:id/marks': { pen: one.id, points: [], words: '' },
    'POST /api/events': {
      events: [{
        id: randomUUID(), pen: one.id, kind: 'done', barrels: ['only'], at: new Date().toISOString(), device: 'x', payload: { step: 'x' },
      }],
    },
  }
  const statuses: Record<string, number> = {}
  for (const { method, path } of contract.filter(each => each.method !== 'GET' && (/:id|:reading|events|pins/.test(each.path)))) {
    // Whoever looks after the installation takes people in anywhere: `door.spec.ts` tries who may not.
    if (/methods|fittings|photos/.test(path) || (method === 'PUT' && path.includes('people'))) continue
    const name = `${method} ${path}`
    const data = bodies[name]
    const answer = await request.fetch(`${filled(path)}?workshop=${own.id}`, { method, ...(data ? { data } : {}) })
    statuses[name] = answer.status()
  }
  expect(statuses).toEqual({
    'PUT /api/blanks/:id': 404,
    'DELETE /api/blanks/:id': 404,
    'POST /api/blanks/:id/uncut': 404,
    'POST /api/blanks/:id/readings': 404,
    'DELETE /api/blanks/:id/readings/:reading': 404,
    // Taking back what is not here is as if it had been: what is there stays, as is seen below.
    'PUT /api/evenings/pins': 422,
    'DELETE /api/evenings/pins/:id': 200,
    'PUT /api/findings/trials/:id/pens': 404,
    'PATCH /api/findings/trials/:id': 404,
    'POST /api/events': 422,
    'PUT /api/customers/:id': 404,
    'DELETE /api/customers/:id': 200,
    'PUT /api/orders/:id': 404,
    'PUT /api/places/:id': 404,
    'PUT /api/shelf/products/:id': 404,
    'DELETE /api/intakes/:id': 404,
    'POST /api/people/:id/pairing': 404,
    // Nobody is signed in on the machine itself: nobody can do it for themselves.
    'POST /api/people/:id/second': 403,
    'DELETE /api/people/:id/second': 404,
    'PUT /api/classes/:id': 404,
    'POST /api/classes/:id/pupils': 404,
    'PUT /api/classes/:id/marks': 404,
    'DELETE /api/devices/:id': 404,
    'PATCH /api/pens/:id': 404,
    'POST /api/pens/:id/link': 404,
    'DELETE /api/pens/:id/link': 200,
    'POST /api/pens/:id/plan': 404,
  })
  // What both have under one name is changed in one of them only.
  await request.delete(`/api/fittings/click-8?workshop=${own.id}`)
  await request.patch(`/api/methods/${one.method}?workshop=${own.id}`, { data: { gone: true } })
  expect(await told(demo.id)).toEqual(before)

  // A workshop that is not there, or no id at all.
  for (const id of [randomUUID(), 'demo', `${demo.id}'`]) {
    const answer = await get('/api/pens', encodeURIComponent(id))
    expect([id, answer.status()]).toEqual([id, 410])
  }
  expect((await request.get(`/api/live?workshop=${randomUUID()}`)).status()).toBe(410)
})
