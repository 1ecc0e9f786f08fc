import { randomUUID } from 'node:crypto'
import type { Shelf } from '../../core/shelf'
import type { ListedOrder, ShelfFitting } from '../../contract'
import { expect, test } from '../stand'
import { workTo } from '../support/bench'

test.use({ only: 'buy' })

test('what is missing for pens and orders is bought by where it is sold, ticked, booked in, and off the list', async ({
  page, request, pen,
}) => {
  const fittings = (await (await request.get('/api/fittings')).json()) as ShelfFitting[]
  const { fitting, ...set } = fittings.find(one => one.fitting.id === 'click-8')!
  const { id, source: _, ...rest } = fitting
  expect((await request.put(`/api/fittings/${id}`, { data: { ...rest, ...set, sets: 1 } })).status()).toBe(200)
  await pen({ name: 'Wants a set' })
  await page.goto('/shelf/buy')
  const row = page.getByRole('listitem').filter({ hasText: '8 mm one-barrel click' }).first()
  await expect(row).toContainText(/(\d+) needed, 1 there/)
  const needed = Number(/(\d+) needed/.exec((await row.textContent()) ?? '')![1])
  expect(needed).toBeGreaterThan(1)
  // A pen of an order that nobody started takes a set too, and a pen blank.
  const line = { pen: null, material: 'medlar', fitting: 'click-8', method: null, refill: '', packing: '', wish: '', price: null }
  const order = {
    id: randomUUID(), kind: 'order', customer: null, promised: null, deposit: null, remark: '', calledOff: false,
    lines: [{ id: randomUUID(), ...line }],
  }
  expect(((await (await request.post('/api/orders', { data: order })).json()) as ListedOrder).order.lines).toHaveLength(1)
  await page.reload()
  await expect(row).toContainText(`${needed + 1} needed, 1 there`)
  await expect(row).toContainText(`${needed} sets`)
  await expect(page.getByText('Medlar, pen blank')).toBeVisible()

  await row.getByRole('button', { name: 'Where' }).click()
  await row.getByLabel('Where it is bought').fill('the pen shop')
  await row.getByLabel('Pieces in a pack').fill('5')
  await row.getByLabel('Pieces in a pack').blur()
  await row.getByRole('button', { name: 'Keep' }).click()
  const shop = page.getByRole('region', { name: 'the pen shop' })
  const packs = Math.ceil(needed / 5) * 5
  await expect(shop).toContainText(`${packs} sets`)
  await shop.getByRole('checkbox', { name: '8 mm one-barrel click' }).check()
  await page.getByRole('button', { name: 'Book in what is ticked' }).click()
  await expect(shop).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'Bought, counted and thrown away lately' }))
    .toContainText(`8 mm one-barrel click: ${packs} sets bought, 1 before`)
  const now = ((await (await request.get('/api/fittings')).json()) as ShelfFitting[]).find(one => one.fitting.id === id)!
  expect(now.sets).toBe(1 + packs)
})

test('a bottle that is sealed still is opened at the bench with one tap when a coat asks for it', async ({ page, request, pen }) => {
  const made = await pen({ name: 'Lacquered', method: 'sealer-lacquer-wax' })
  const opened = async () => {
    const { products } = (await (await request.get('/api/shelf')).json()) as Shelf
    return products.find(one => one.role === 'melamine lacquer')!.bottle!.opened
  }
  expect(await opened()).toBeNull()
  await workTo(request, made, step => step.kind === 'coat' && step.product.role === 'melamine lacquer', 60 * 24)
  await page.goto(`/pens/${made.id}/work`)
  await expect(page.getByText('is still sealed.')).toBeVisible()
  await page.getByRole('button', { name: 'Opened now' }).click()
  await expect(page.getByText('is still sealed.')).toHaveCount(0)
  expect(await opened()).toMatch(/^\d{4}-\d\d-\d\d$/)
})
