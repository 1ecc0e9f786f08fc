import { randomUUID } from 'node:crypto'
import { addDays, format } from 'date-fns'
import type { ListedOrder, OrderPage, Pen, PenPage } from '../../contract'
import { expect, test } from '../stand'
import { kept } from '../support/bench'
import { holding } from '../support/holding'
import { workToEnd } from '../support/season'

test.use({ only: 'orders' })

const SATURDAY = format(addDays(new Date(), 20), 'yyyy-MM-dd')

test('of many customers one is found by a part of the name, and an order is for them', async ({ page, request }) => {
  const LAST = 'Zachary of the mill'
  for (let number = 10; number < 60; number++)
    await request.post('/api/customers', { data: { id: randomUUID(), name: `Neighbour ${number}`, reach: '', remark: '' } })
  await page.goto('/pens/customers')
  await page.getByRole('button', { name: 'Somebody new' }).click()
  await page.getByLabel('Name', { exact: true }).fill(LAST)
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByRole('form', { name: 'A customer' })).toHaveCount(0)
  // Not all are fetched at once, nor drawn; the list goes on as far as one looks.
  const list = page.getByRole('list').filter({ has: page.getByRole('button', { name: 'Neighbour 10' }) })
  await expect(page.getByRole('button', { name: LAST })).toHaveCount(0)
  await expect(list.getByRole('listitem')).not.toHaveCount(52)
  await expect(async () => {
    await page.mouse.wheel(0, 4000)
    await expect(page.getByRole('button', { name: LAST })).toBeVisible({ timeout: 1000 })
  }).toPass()
  await page.getByLabel('Look somebody up').fill('MILL')
  await expect(page.getByRole('button', { name: 'Neighbour 59' })).toHaveCount(0)
  await expect(page.getByRole('button', { name: LAST })).toBeVisible()
  await page.goto('/pens/orders/new')
  const found = page.waitForResponse(/api\/customers\?.*text=mill/)
  await page.getByLabel('Look somebody up').fill('mill')
  await found
  const whom = page.getByRole('combobox', { name: 'For whom' })
  await whom.click()
  await page.getByRole('option', { name: LAST }).click()
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByRole('heading', { name: new RegExp(`^Order \\d+, ${LAST}$`) })).toBeVisible()
  // Opened again they stand there by their name, though the list begins with others.
  await expect(page).not.toHaveURL(/\/new$/)
  await page.reload()
  await expect(whom).toContainText(LAST)
})

test('where more pens can stand for an order than are offered, one is looked up by a part of its name', async ({ page, pen }) => {
  const far = await pen({ name: 'Rootstock, the last one' })
  // As with hundreds of pens before it: what is offered without a word does not reach to it.
  await page.route('**/api/pens?*', async (route) => {
    const answer = await route.fetch()
    if (route.request().url().includes('text=')) return route.fulfill({ response: answer })
    const { pens } = (await answer.json()) as PenPage
    await route.fulfill({ response: answer, json: { pens: pens.filter(one => one.pen.id !== far.id), next: 'more' } })
  })
  await page.goto('/pens/orders/new')
  const first = page.getByRole('group', { name: 'Pen 1' })
  const stands = first.getByLabel('The pen that stands for it')
  await stands.click()
  await expect(page.getByRole('option').nth(1)).toBeVisible()
  await expect(page.getByRole('option', { name: /the last one/ })).toHaveCount(0)
  await page.keyboard.press('Escape')
  await first.getByLabel('Look a pen up').fill('nothing like it')
  await expect(first.getByText('No pen that is here says “nothing like it”.')).toBeVisible()
  await first.getByLabel('Look a pen up').fill('rootstock')
  await expect(first.getByText(/No pen that is here/)).toHaveCount(0)
  await expect(async () => {
    await stands.click()
    await page.getByRole('option', { name: `${far.mark}, Rootstock, the last one` }).click({ timeout: 1000 })
  }).toPass()
  await first.getByLabel('Look a pen up').fill('')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByRole('heading', { name: /^Order \d+$/ })).toBeVisible()
  await expect(first.locator('summary')).toContainText(far.mark)
})

test('an order from promise to hand over: somebody new, two pens, one of them started for it, paid and gone', async ({
  page, request, pen,
}) => {
  const there = await pen({ name: 'Lies ready' })
  await page.goto('/pens/orders')
  await expect(page.getByRole('link', { name: /Order 1, The orchard association/ })).toContainText(/promised for Sat/)
  await page.getByRole('link', { name: 'New order' }).click()
  await page.getByRole('combobox', { name: 'For whom' }).click()
  await page.getByRole('option', { name: 'Somebody new' }).click()
  await page.getByLabel('Promised for').fill(SATURDAY)
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByText('Say a name, or choose somebody.')).toBeVisible()
  await page.getByLabel('Name', { exact: true }).fill('The bell ringer')
  await page.getByLabel('Paid beforehand').fill('10')
  const first = page.getByRole('group', { name: 'Pen 1' })
  await first.getByLabel('The pen that stands for it').click()
  await page.getByRole('option', { name: new RegExp(`^${there.mark}, Lies ready`) }).click()
  await first.getByLabel('Price').fill('38.50')
  await first.getByLabel('Price').blur()
  await page.getByRole('button', { name: 'Another pen' }).click()
  await expect(page.getByText('In all £77.00')).toBeVisible()
  await expect(page.getByText('still to be paid £67.00')).toBeVisible()
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByRole('heading', { name: /^Order \d+, The bell ringer$/ })).toBeVisible()
  await expect(page.getByText('On its way')).toBeVisible()
  const { orders } = (await (await request.get('/api/orders')).json()) as OrderPage
  const { order } = orders.find(one => one.name === 'The bell ringer')!
  expect(((await (await request.get(`/api/pens/${there.id}`)).json()) as { pen: Pen }).pen.due).toBe(SATURDAY)

  // The second pen is started for it: made as was wished, due on the day, and it stands for the order at once.
  const second = page.getByRole('group', { name: 'Pen 2' })
  await second.locator('summary').click()
  await second.getByRole('link', { name: 'Start a pen for it' }).click()
  await expect(page.getByLabel('Due')).toHaveValue(SATURDAY)
  await expect(page.getByLabel('For whom, or why')).toHaveValue('The bell ringer')
  await page.getByLabel('Name').fill('Made for it')
  await page.getByRole('button', { name: 'Plan this pen' }).click()
  await expect(second.locator('summary')).toContainText('Witness mark')
  const listed = async () => (await (await request.get(`/api/orders/${order.id}`)).json()) as ListedOrder
  const pens = (await listed()).pens.map(one => one.pen)
  expect(pens.map(one => one.name).sort()).toEqual(['Lies ready', 'Made for it'])

  await workToEnd(request, pens, () => [])
  await page.reload()
  await expect(page.getByText('✓ Ready to hand over')).toBeVisible()
  await page.getByRole('button', { name: 'Hand it over' }).click()
  await expect(page.getByText('Handed over', { exact: true })).toBeVisible()
  expect((await listed()).order.handed).toBe(true)
  const left = (await kept(request, there)).events.find(one => one.kind === 'leave')
  expect(left?.payload).toMatchObject({ how: 'sold', price: 3850, order: order.id, customer: order.customer })

  // Years later it is found again among those that are over.
  await page.goto('/pens/orders')
  await page.getByLabel('Look an order up').fill('bell')
  await expect(page.getByText('No order that is open says “bell”.')).toBeVisible()
  await page.getByRole('combobox', { name: 'Open or over' }).click()
  await page.getByRole('option', { name: 'Over' }).click()
  await expect(page.getByRole('link', { name: `Order ${order.number}, The bell ringer` })).toContainText('Handed over')
  await page.getByLabel('Look an order up').fill(there.mark)
  await expect(page).toHaveURL(/state=over&text=/)
  await expect(page.getByRole('list', { name: 'Orders' }).getByRole('link')).toHaveCount(1)
})

test('an order that cannot be kept is told on the bench once that is known; a pen that came back to be mended is there again', async ({
  page, context, request, pen,
}) => {
  const made = await pen({ name: 'Given up on' })
  const data = {
    id: randomUUID(), kind: 'gift', customer: null, promised: SATURDAY, deposit: null, remark: '', calledOff: false,
    lines: [{
      id: randomUUID(), pen: made.id, material: null, fitting: null, method: null, refill: '', packing: '', wish: '', price: null,
    }],
  }
  const { order } = (await (await request.post('/api/orders', { data })).json()) as ListedOrder
  const enter = (kind: string, payload: object) => request.post('/api/events', {
    data: { events: [{ id: randomUUID(), pen: made.id, kind, payload, barrels: [], at: new Date().toISOString(), device: 'tablet' }] },
  })
  await page.goto('/')
  await expect(page.getByRole('heading', { name: /on the bench/ })).toBeVisible()
  await expect(page.getByRole('link', { name: `Gift ${order.number}` })).toHaveCount(0)
  const other = await context.newPage()
  let asked = 0
  other.on('request', one => (asked += Number(new URL(one.url()).pathname === '/api/orders')))
  await other.goto('/pens/orders')
  const listed = other.getByRole('link', { name: `Gift ${order.number}` })
  await expect(listed).toContainText('On its way')
  await enter('away', { how: 'given up', why: '' })
  const told = page.getByRole('listitem').filter({ has: page.getByRole('link', { name: `Gift ${order.number}` }) })
  await expect(told).toContainText('◆ Cannot be kept')
  await expect(told).toContainText(`${made.mark}: it was given up.`)
  // The list of orders follows too, and is not fetched anew for it.
  await expect(listed).toContainText('◆ Cannot be kept')
  await enter('away', { how: 'back', why: '' })
  await expect(told).toHaveCount(0)
  await expect(listed).toContainText('On its way')
  expect(asked).toBe(1)
  await other.close()

  await workToEnd(request, [made], () => [])
  await page.goto(`/pens/${made.id}/record`)
  const where = page.getByRole('region', { name: 'Where it is' })
  await where.getByRole('button', { name: 'Hand it over' }).click()
  await where.getByLabel('How', { exact: true }).click()
  await page.getByRole('option', { name: 'Given away' }).click()
  await where.getByLabel('box').check()
  await where.getByRole('button', { name: 'It goes' }).click()
  await expect(where.getByText(/^Given away, \d\d:\d\d/)).toBeVisible()
  await expect(where).toContainText('with box')
  await where.getByRole('button', { name: 'It came back' }).click()
  await where.getByLabel('What is wrong').fill('The clip is loose')
  await where.getByRole('button', { name: 'It is here' }).click()
  await expect(page.getByText('Came back to be mended')).toBeVisible()
  await page.getByRole('link', { name: 'Work', exact: true }).click()
  await expect(page.locator('.title')).toHaveText(/Check and hand over/)
})

test('a fair on a phone without a network: looked up, sold in two taps, taken back, summed up, and sent once there is one', async ({
  page, request, context, pen,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const [one, two] = [await pen({ name: 'Hawthorn hedge' }), await pen({ name: 'Medlar by the gate', material: 'medlar' })]
  await workToEnd(request, [one, two], () => [])
  for (const [made, asked] of [[one, 4500], [two, 3800]] as const) {
    const { version } = ((await (await request.get(`/api/pens/${made.id}`)).json()) as { pen: Pen }).pen
    await request.patch(`/api/pens/${made.id}`, { data: { version, asked } })
  }
  const lose = await holding(page, '**/api/bench?*', route => route.abort())
  await page.goto('/pens/fair')
  await page.getByRole('combobox', { name: 'Place' }).click()
  await page.getByRole('option', { name: /Winter fair in the barn/ }).click()
  await expect(page.getByText('0 sold for £0.00')).toBeVisible()
  // What this page has no need of has not come when the network is lost: that is told, and what stands here stays.
  await context.setOffline(true)
  lose()
  await expect(page.getByRole('alert')).toContainText('asked again by itself')
  await page.getByLabel('Look a pen up').fill('medlar')
  const row = page.getByRole('button', { name: /Medlar by the gate/ })
  await expect(row).toContainText('£38.00')
  await row.click()
  await page.getByRole('button', { name: 'Sold for £38.00' }).click()
  await expect(row).toHaveCount(0)
  await page.getByLabel('Look a pen up').fill('hawthorn hedge')
  await page.getByRole('button', { name: /Hawthorn hedge/ }).click()
  await page.getByLabel('Price').fill('40')
  await page.getByLabel('Price').blur()
  await page.getByRole('button', { name: 'Sold for £40.00' }).click()
  await expect(page.getByText('2 sold for £78.00')).toBeVisible()
  await page.getByRole('listitem').filter({ hasText: '£40.00' }).getByRole('button', { name: 'Take it back' }).click()
  await expect(page.getByText('1 sold for £38.00')).toBeVisible()
  await expect(page.getByRole('button', { name: /Hawthorn hedge/ })).toBeVisible()
  await page.unroute('**/api/bench?*')
  await context.setOffline(false)
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect.poll(async () => (await kept(request, two)).events.filter(event => event.kind === 'leave').length).toBe(1)
  const sum = async () => (await (await request.get('/api/places')).json())[0].sum
  await expect.poll(sum).toMatchObject({ sold: 1, taken: 3800, left: 2300 })
  await page.reload()
  await expect(page.getByText('1 sold for £38.00')).toBeVisible()
  await expect(page.getByText('left £23.00')).toBeVisible()
})
