import type { APIRequestContext, Page } from '@playwright/test'
import type { Pen, PenPage } from '../../contract'
import { expect, test } from '../stand'
import { kept, sent, workTo } from '../support/bench'

const key = (page: Page, says: string | RegExp) => page.getByRole('button', { name: says })
const head = (page: Page) => page.getByRole('heading', { level: 1 })
const tile = (page: Page, { mark }: Pen) =>
  page.getByRole('listitem').getByRole('button').filter({ hasText: new RegExp(`Witness mark ${mark}(?!\\d)`) })

/** What the log has of a pen since its own work began: kinds, with the part of the time where there is one. */
async function entries(request: APIRequestContext, pen: Pen) {
  return (await kept(request, pen)).events.map(({ kind, payload }) => ({ kind, ...(payload as { shared?: { pens: number } }).shared }))
}

test('ten pens through drill, glue, one grit and one coat together, with an exception each', async ({ page, request, pen }) => {
  test.setTimeout(240_000)
  const pens: Pen[] = []
  for (let count = 0; count < 10; count++) pens.push(await pen({ name: `Row ${count}`, material: count % 2 ? 'pear' : 'apple' }))
  for (const one of pens) await workTo(request, one, step => step.kind === 'drill', 5)
  const [first, second, third] = pens as [Pen, Pen, Pen]

  // From the bench in one tap, with what it saves; one touch more and all are drilled.
  await page.goto('/')
  await page.getByRole('navigation', { name: 'Together' }).getByRole('link', { name: /Drill.*ten pens/ }).click()
  await expect(head(page)).toHaveText(/^Drill/)
  await expect(page.getByText('One bit for all of them: 9 changes of bit saved.')).toBeVisible()
  // One is taken out by a tap.
  await tile(page, first).click()
  await key(page, 'Not this time').click()
  await expect(tile(page, first)).toContainText('Not this time')
  await key(page, 'Nine of ten: Drilled').click()
  await expect(key(page, 'Nine of ten: Drilled')).toHaveCount(0)
  await sent(page)
  expect((await entries(request, second)).at(-1)).toMatchObject({ kind: 'done', pens: 9 })
  expect((await entries(request, first)).at(-1)).not.toHaveProperty('pens')

  // Taken back as one, and done again with all of them.
  await page.keyboard.press('z')
  await expect(key(page, 'All ten: Drilled')).toBeEnabled()
  await page.keyboard.press('Space')
  await expect(head(page)).not.toHaveText(/^Drill/)
  await sent(page)
  const shares = await Promise.all(pens.map(async one => (await kept(request, one)).events.at(-1)!))
  expect(new Set(shares.map(one => one.at)).size).toBe(10)

  // Glue: one has something wrong with it, and is left out until somebody has decided about it.
  for (const one of pens) await workTo(request, one, step => step.kind === 'tube', 5)
  await page.goto(`/together?pens=${pens.map(one => one.id).join(',')}`)
  await expect(key(page, 'All ten: Tube is in')).toBeVisible()
  await tile(page, second).click()
  await key(page, 'Something is wrong').click()
  await page.getByRole('radio', { name: /^Crack/ }).check({ force: true })
  await page.getByLabel('From its tip end').fill('12 mm')
  await key(page, 'Note it').click()
  await expect(tile(page, second)).toContainText('Something is wrong')
  await key(page, 'Nine of ten: Tube is in').click()
  await sent(page)
  expect((await entries(request, second)).at(-1)!.kind).toBe('defect')
  expect((await entries(request, third)).at(-1)).toMatchObject({ kind: 'done', pens: 9 })

  // A grit, and a coat: what is read off one of them is its own.
  const rest = pens.slice(2)
  for (const one of rest) await workTo(request, one, step => step.kind === 'sand', 5)
  await page.goto(`/together?pens=${rest.map(one => one.id).join(',')}`)
  // Looked at: not yet on any of them, then the light shows nothing on all but one.
  await expect(page.getByRole('list', { name: 'Look at' }).getByText(/raking light/)).toBeVisible()
  await key(page, 'Not yet').click()
  await tile(page, third).click()
  await page.getByRole('region', { name: third.mark }).getByRole('button', { name: 'Yes', exact: true }).click()
  await key(page, 'Yes on all 7').click()
  await expect(page.getByText('✓ looked at')).toBeVisible()
  await sent(page)
  for (const one of rest) expect((await entries(request, one)).slice(-2).map(entry => entry.kind)).toEqual(['look', 'check'])
  await key(page, 'All eight: Scratches gone').click()
  await sent(page)
  for (const one of rest) await workTo(request, one, step => step.kind === 'coat', 5)
  await page.goto(`/together?pens=${rest.map(one => one.id).join(',')}`)
  await expect(key(page, 'All eight: Coat 1 is on')).toBeVisible()
  await tile(page, third).click()
  await key(page, 'Measure').click()
  await page.getByRole('button', { name: /tip end/ }).click()
  await page.getByLabel('The calliper says').fill('11.2 mm')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await page.getByLabel('A remark').fill('A knot at the clip end')
  await key(page, 'Keep the remark').click()
  await key(page, 'All eight: Coat 1 is on').click()
  // All of them wait now, each from its own coat.
  await expect(tile(page, third)).toContainText(/Ready \d\d:\d\d|coat 2/)
  await sent(page)
  expect((await entries(request, third)).slice(-3).map(one => one.kind)).toEqual(['measure', 'remark', 'done'])
  const { pens: listed } = (await (await request.get('/api/pens?stage=in%20work')).json()) as PenPage
  expect(listed.filter(one => rest.some(each => each.id === one.pen.id)).map(one => one.summary.coats.on)).toEqual(rest.map(() => 1))
})

test('pens that have nothing in common, and none, are told as such', async ({ page, request, pen }) => {
  const [one, other] = [await pen(), await pen({ fitting: 'twist-7' })]
  await workTo(request, one, step => step.kind === 'turn', 5)
  await workTo(request, other, step => step.kind === 'coat', 5)
  // A third one is not there any more: that stands in nobody's way.
  await page.goto(`/together?pens=${one.id},00000000-0000-4000-8000-000000000000,${other.id}`)
  await expect(tile(page, one).or(tile(page, other))).toHaveCount(2)
  await expect(page.getByRole('button', { name: 'Take back' })).toBeDisabled()
  await page.goto('/together')
  await expect(head(page)).toHaveText('No pens are chosen')
  await page.getByRole('link', { name: 'Choose them on the bench' }).click()
  await expect(head(page)).toHaveText(/on the bench/)
})
