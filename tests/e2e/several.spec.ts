import type { Pen, PenPage, ShelfBlank } from '../../contract'
import type { Page } from '@playwright/test'
import { expect, test } from '../stand'

const key = (page: Page, name: string | RegExp) => page.getByRole('button', { name })
async function choose(page: Page, label: string, option: string | RegExp) {
  await page.getByRole('combobox', { name: new RegExp(`^${label}\\*?$`) }).click()
  await page.getByRole('option', { name: option }).first().click()
}

test('ten pens out of one form: marks counted on past a taken one, names by the pattern, one with its own wood; and a copy of one', async ({
  page,
  request,
  pen,
}) => {
  test.setTimeout(120_000)
  const taken = await pen({ mark: 'R3', name: 'In the way' })
  await page.goto('/pens/new?count=10')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Start 10 pens')
  await page.getByLabel('Witness mark', { exact: true }).fill('r1')
  await page.getByLabel('Name', { exact: true }).fill('Supper # of ten')
  await choose(page, 'Fitting', /click/)
  await choose(page, 'Material', 'Apple')
  const marks = page.getByLabel(/^Witness mark of pen/)
  await expect(marks).toHaveCount(10)
  await expect(marks.nth(2)).toHaveValue('R4')
  await expect(page.getByLabel('Name of pen 10')).toHaveValue('Supper 10 of ten')
  await page.getByLabel('Name of pen 2').fill('For the cook')
  await choose(page, 'Wood of pen 2', 'Holly')
  // A mark that is taken is told at its pen, and nothing is kept.
  await marks.nth(4).fill('R3')
  await key(page, 'Plan these 10 pens').click()
  const fifth = page.getByRole('list', { name: 'The pens' }).getByRole('listitem').nth(4)
  await expect(fifth.getByRole('alert')).toContainText('R3 is on “In the way” already.')
  await marks.nth(4).fill('R20')
  await key(page, 'Plan these 10 pens').click()
  await expect(page).toHaveURL(/\/pens\?stage=planned/)
  const { pens } = (await (await request.get('/api/pens?text=of ten&limit=50')).json()) as PenPage
  expect(pens.map(one => one.pen.name).sort()).toEqual([1, 10, 3, 4, 5, 6, 7, 8, 9].map(number => `Supper ${number} of ten`))
  const cook = ((await (await request.get('/api/pens?text=cook')).json()) as PenPage).pens[0]!.pen
  expect(cook).toMatchObject({ mark: 'R2', material: 'holly', fitting: taken.fitting })

  // Another like it, sized as it was.
  const sized = await request.patch(`/api/pens/${cook.id}`, { data: { version: cook.version, sizing: { depth: 30 } } })
  expect(sized.status()).toBe(200)
  await page.goto(`/pens/${cook.id}`)
  await page.getByRole('link', { name: 'Another like it' }).click()
  await expect(page.getByText('As R2, For the cook.')).toBeVisible()
  await expect(page.getByLabel('Shaped, sanded and finished as R2 was')).toBeChecked()
  await page.getByLabel('Name', { exact: true }).fill('For the cook’s sister')
  await key(page, 'Plan this pen').click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('For the cook’s sister')
  const id = /pens\/([0-9a-f-]+)$/.exec(page.url())![1]!
  const sister = (await (await request.get(`/api/pens/${id}`)).json()) as { pen: Pen }
  expect(sister.pen).toMatchObject({ material: 'holly', sizing: { depth: 30 } })
})

test('a board becomes sticks on the shelf and pens to cut from them; each pen that is cut counts one off', async ({ page, request }) => {
  await page.goto('/shelf/cutting')
  const board = page.getByRole('region', { name: 'How many pens does a board give?' })
  await board.getByLabel('Length, with the grain').fill('300 mm')
  await board.getByLabel('Width').fill('99.3 mm')
  await board.getByLabel('Thickness').fill('20 mm')
  await expect(board.getByText(/With 0\.10 mm less in the section it gives one strip more: \w+ pens? more/)).toBeVisible()
  await choose(page, 'The board is of', 'Plum')
  await board.getByLabel('Pens to start with it now').fill('3')
  await board.getByLabel('Pens to start with it now').press('Tab')
  await board.getByRole('button', { name: '8 sticks: 3 pens, 5 blanks to the shelf' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Start 3 pens')
  await page.getByLabel('Name', { exact: true }).fill('From the plum')
  await key(page, 'Plan these 3 pens').click()
  await expect(page).toHaveURL(/\/pens\?stage=planned/)
  const { pens } = (await (await request.get('/api/pens?text=From the plum')).json()) as PenPage
  expect(pens).toHaveLength(3)
  const { blank } = pens[0]!.pen
  const left = async () => ((await (await request.get('/api/blanks')).json()) as ShelfBlank[]).find(one => one.id === blank)!.count
  const before = await left()
  const done = { id: crypto.randomUUID(), pen: pens[0]!.pen.id, kind: 'done', barrels: [], device: 'test', payload: { step: 'cut' } }
  expect((await request.post('/api/events', { data: { events: [{ ...done, at: new Date().toISOString() }] } })).status()).toBe(200)
  expect(await left()).toBe(before - 1)
  await page.goto('/shelf/blanks')
  await expect(page.getByRole('link', { name: /Plum, from a board/ })).toBeVisible()
})

test('a board of the shelf is counted off when it is cut, and is there again when it was not cut after all', async ({ page }) => {
  await page.goto('/shelf/blanks')
  await page.getByRole('link', { name: 'Add a board' }).click()
  await page.getByLabel('Name on the shelf').fill('Quince plank')
  await page.getByLabel('Thickness').fill('20 mm')
  await page.getByLabel('Width').fill('100 mm')
  await page.getByLabel('Length, with the grain').fill('300 mm')
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await page.getByRole('link', { name: 'Cut sticks from it' }).click()
  const board = page.getByRole('region', { name: 'How many pens does a board give?' })
  await expect(board.getByRole('combobox', { name: 'Board' })).toContainText('Quince plank, 1 there')
  await expect(board.getByLabel('Width')).toHaveValue(/^100/)
  await board.getByLabel('Pens to start with it now').fill('0')
  await board.getByLabel('Pens to start with it now').press('Tab')
  await board.getByRole('button', { name: /sticks: 0 pens/ }).click()
  const boards = page.getByRole('region', { name: 'Boards' })
  await expect(boards.getByRole('listitem').filter({ hasText: 'Quince plank' })).toContainText('none left')
  await page.getByRole('link', { name: 'Quince plank, sticks' }).click()
  await expect(page.getByText('Cut from')).toContainText('Quince plank')
  await page.getByRole('button', { name: 'Not cut after all' }).click()
  await expect(boards.getByRole('listitem').filter({ hasText: 'Quince plank' })).toContainText('1 there')
  await expect(page.getByRole('link', { name: 'Quince plank, sticks' })).toHaveCount(0)
})
