import { randomUUID } from 'node:crypto'
import { abrasiveName } from '../../core/abrasives'
import type { Shelf } from '../../core/shelf'
import { expect, test } from '../stand'
import { kept, press } from '../support/bench'

test.use({ only: 'own-things' })

test('a product of one’s own stands on the shelf with what its label warns of; thrown away it is off, and noted', async ({ page }) => {
  await page.goto('/shelf/finishes')
  await page.getByText('A product of your own').click()
  const form = page.locator('.mine form')
  await form.getByLabel('What you call it').fill('Thin CA')
  await form.getByRole('button', { name: 'Put it on the shelf' }).click()
  await expect(form.getByText('Another product is called so already.')).toBeVisible()
  await form.getByLabel('What you call it').fill('Thin CA from the fair')
  await form.getByLabel('What its label warns of').fill('Not for closed rooms.')
  await form.getByLabel('Where that stands').fill('label of 2026')
  await form.getByRole('button', { name: 'Put it on the shelf' }).click()
  const mine = page.locator('details.bottle').filter({ hasText: 'Thin CA from the fair' })
  await mine.locator('summary').click()
  await expect(mine.getByText('◆ Not for closed rooms.')).toBeVisible()
  // Ours are those of the one it is like; its own label stands above them.
  await expect(mine.getByRole('rowheader', { name: 'next coat' })).toBeVisible()
  await mine.getByLabel('Opened on').fill(new Date().toISOString().slice(0, 10))
  await mine.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(mine.locator('summary')).toContainText('opened')
  await mine.getByRole('button', { name: 'Thrown away' }).click()
  await expect(mine).toHaveCount(0)
  await expect(page.getByRole('group', { name: 'Not on the shelf' }).getByText('Thin CA from the fair')).toBeVisible()
  await page.goto('/shelf/buy')
  await expect(page.getByText(/Thin CA from the fair.*thrown away/)).toBeVisible()
})

test('an order asks for a day for the pens that are not started; an evening says what it came to', async ({ page, pen }) => {
  await page.goto('/pens/orders/new')
  const line = page.locator('details').first()
  await line.getByRole('combobox', { name: 'Fitting' }).click()
  await page.getByRole('option', { name: '8 mm one-barrel click' }).click()
  await page.getByRole('link', { name: 'Ask the evenings' }).click()
  const asking = page.getByRole('region', { name: /promise/i }).or(page.getByRole('dialog'))
  await expect(asking.getByRole('combobox', { name: 'Fitting' })).toContainText('8 mm one-barrel click')

  const made = await pen()
  await page.goto(`/pens/${made.id}/work`)
  await page.getByRole('button', { name: /^Begin/ }).click()
  await press(page, /^Parts there/, /^Cut/)
  await page.goto('/evenings')
  await page.getByText('What an evening came to').click()
  await expect(page.locator('.sum')).toContainText(/hands on \d+ pens?\d+/)
  await page.getByLabel('Evening of').fill('2019-03-01')
  await expect(page.getByText('Nothing was done then.')).toBeVisible()
})

test('a caution of one’s own stands at every step of its kind, planned or at the bench, until it is taken away', async ({ page, pen }) => {
  const made = await pen()
  await page.goto(`/pens/${made.id}`)
  await page.getByRole('button', { name: /Check the parts/ }).first().click()
  await page.getByText(/Add a caution of your own/).click()
  await page.getByLabel('What to mind').fill('The tubes roll off the bench.')
  await page.getByLabel('Where that stands').fill('my own floor')
  await page.getByRole('button', { name: 'Keep the caution' }).click()
  const shown = page.getByText('◆ Yours: The tubes roll off the bench.')
  await expect(shown).toBeVisible()
  await page.goto(`/pens/${made.id}/work`)
  await page.getByRole('button', { name: /^Begin/ }).click()
  await expect(shown).toBeVisible()
  await page.goto(`/pens/${made.id}`)
  await page.getByRole('button', { name: /Check the parts/ }).first().click()
  await page.getByText(/Change your own caution/).click()
  await page.getByRole('button', { name: 'Take it away' }).click()
  await expect(shown).toHaveCount(0)
})

test('what is known of a wood of one’s own is said at one blank and stands at the next; sheets wear as grits take of them', async ({
  page, request, pen,
}) => {
  const blank = async (name: string, wood: RegExp | string) => {
    await page.goto('/shelf/blanks/new')
    await page.getByLabel('Name on the shelf').fill(name)
    await page.getByRole('combobox', { name: 'What it is' }).click()
    await page.getByRole('option', { name: wood, exact: true }).click()
  }
  await blank('Hornbeam, the first', 'Another, by name')
  await page.getByLabel('Its name').fill('Hornbeam')
  await page.getByText('What you know of this wood or resin').click()
  await page.getByLabel('Side hardness, N').fill('7200')
  await page.getByLabel('What to mind with it').fill('Its dust makes me sneeze.')
  // A finger that bounces puts one there.
  await page.getByRole('button', { name: 'Put it on the shelf' }).dblclick()
  await expect(page.getByText('Hornbeam, the first: kept.', { exact: true })).toBeVisible()
  await blank('Hornbeam, the second', 'Hornbeam')
  await expect(page.getByLabel('What to mind with it')).toHaveValue('Its dust makes me sneeze.')
  await expect(page.getByText('It holds for every blank of this name: 1 other on the shelf.')).toBeVisible()
  await page.getByLabel('What to mind with it').fill('A mask, always.')
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await expect(page.getByText('Hornbeam, the second: kept.', { exact: true })).toBeVisible()
  await page.goto('/shelf/blanks')
  await page.getByRole('link', { name: /Hornbeam, the first/ }).first().click()
  await expect(page.getByLabel('What to mind with it')).toHaveValue('A mask, always.')

  const made = await pen()
  const { steps } = await kept(request, made)
  const grit = steps.find(step => step.kind === 'sand') as Extract<(typeof steps)[number], { kind: 'sand' }>
  await page.goto('/shelf')
  const many = page.getByLabel(`How many of ${abrasiveName(grit.abrasive)}`, { exact: true })
  await many.fill('4')
  await many.blur()
  const sheets = async () => ((await (await request.get('/api/shelf')).json()) as Shelf).abrasives.find(one => one.id === grit.abrasive.id)
  await expect.poll(async () => (await sheets())?.count).toBe(4)
  const upTo = steps.slice(0, steps.indexOf(grit) + 1)
  const at = (index: number) => new Date(Date.now() + 1000 + 60_000 * index + 7000 * index ** 2).toISOString()
  const events = upTo.map((step, index) => (
    { id: randomUUID(), pen: made.id, kind: 'done', payload: { step: step.id }, barrels: ['only'], device: 'bench', at: at(index) }))
  expect((await request.post('/api/events', { data: { events } })).status()).toBe(200)
  await expect.poll(async () => (await sheets())?.worn ?? 0).toBeGreaterThan(0.05)
  // The next pen is planned with the sheet as it is by now.
  const next = await pen()
  await page.goto(`/pens/${next.id}`)
  await page.getByRole('button', { name: 'Sanding ladder' }).click()
  await expect(page.getByText(/· \d+ % worn/).first()).toBeVisible()
})
