import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import type { WholeBench } from '../../contract'
import { expect, test } from '../stand'
import { workTo } from '../support/bench'

// So many pens are in no other test’s way.
test.use({ only: 'lists' })

const rows = (page: Page) => page.locator('.rows li')
/** The names of the pens that are drawn now, from above. */
const drawn = (page: Page) => rows(page).evaluateAll(all =>
  all.sort((a, b) => a.getBoundingClientRect().top - b.getBoundingClientRect().top).map(one => one.querySelector('.what b')?.textContent))

/** Down to the end of a long list, which reads on meanwhile, until this stands there. */
const toEnd = (page: Page, text: string) => expect(async () => {
  await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight))
  await expect(page.getByText(text, { exact: true })).toBeVisible({ timeout: 500 })
}).toPass()

/** As a browser tells a page that it was put away, and is looked at again. */
function lookedAtAgain() {
  for (const state of ['hidden', 'visible']) {
    Object.defineProperty(document, 'visibilityState', { configurable: true, get: () => state })
    document.dispatchEvent(new Event('visibilitychange'))
  }
}

/** Hides a part of the page until its observers have seen that, and shows it again. */
async function hiddenAndShown(of: string) {
  const part = document.querySelector<HTMLElement>(of)!
  const frames = async () => {
    for (let left = 3; left; left--) await new Promise(done => requestAnimationFrame(done))
  }
  part.style.display = 'none'
  await frames()
  part.style.display = ''
  await frames()
}

test('a long list draws only what is near, reads on as it is scrolled, and follows row by row without being fetched anew', async ({
  page,
  pen,
  request,
}) => {
  const made = []
  for (let number = 1; number <= 70; number++) made.push(await pen({ name: `Longlist ${number}`, material: 'medlar' }))
  const asked: string[] = []
  page.on('request', one => one.url().includes('/api/pens?') && asked.push(one.url()))
  await page.goto('/pens?material=medlar&text=longlist')
  await expect(rows(page).first()).toContainText('Longlist 70')
  expect(await rows(page).count()).toBeLessThan(30)
  // Hidden at first, as it is where its rows are there before the page is, it shows from its top.
  await page.evaluate(hiddenAndShown, 'main')
  await expect(page.getByRole('heading', { name: 'Pens', exact: true })).toBeInViewport()
  expect(await page.evaluate(() => window.scrollY)).toBe(0)

  // To the end: the first that was made, of the second page, and still few rows.
  await toEnd(page, 'Longlist 1')
  expect(await rows(page).count()).toBeLessThan(30)
  expect(asked.filter(url => url.includes('after='))).toHaveLength(1)
  await page.evaluate(() => window.scrollTo(0, 0))
  await expect(rows(page).first()).toBeVisible()

  // Another device works on one of them: its row goes to the top as it is now, and the list is not asked for again.
  const before = asked.length
  const next = await workTo(request, made[68]!, step => step.kind === 'turn', 0)
  await expect(rows(page).filter({ hasText: 'Longlist 69' })).not.toContainText('Check the parts')
  await expect(rows(page).filter({ hasText: 'Longlist 69' })).toContainText(/free now|\d\d:\d\d/)
  expect(next.kind).toBe('turn')
  expect(asked).toHaveLength(before)
  await expect.poll(async () => (await drawn(page)).slice(0, 3)).toEqual(['Longlist 69', 'Longlist 70', 'Longlist 68'])

  // Looked at again after another window it has as many rows as before; gone back to from a pen it stands as it was left.
  await toEnd(page, 'Longlist 1')
  const near = page.getByText('Longlist 4', { exact: true })
  await page.evaluate(lookedAtAgain)
  await expect.poll(() => asked.at(-1)).toContain('limit=70')
  await expect(near).toBeInViewport()
  await near.click()
  await expect(page.getByRole('heading', { name: 'Longlist 4' })).toBeVisible()
  await page.goBack()
  await expect(near).toBeInViewport()
  // Come to anew it begins at its top.
  await page.getByRole('link', { name: 'Bench', exact: true }).click()
  await expect(page.getByRole('heading', { name: /on the bench/ })).toBeVisible()
  await page.goto('/pens?material=medlar&text=longlist')
  await expect(rows(page).first()).toContainText('Longlist 69')

  // A club's bench is a long list too; one of a few pens is drawn whole.
  const bench = page.getByRole('region', { name: 'In work' }).getByRole('listitem')
  const inWork = async () => ((await (await request.get('/api/bench')).json()) as WholeBench).pens.length
  await page.goto('/')
  await expect(bench).toHaveCount(await inWork())
  // The glue of fifteen sets one after the other, that of the others before them, at the same time.
  for (const [index, one] of made.slice(0, 40).entries())
    await workTo(request, one, step => step.gate !== undefined, index < 15 ? 2 * index : 40)
  await page.reload()
  await expect(bench.first()).toBeVisible()
  expect(await inWork()).toBeGreaterThan(40)
  expect(await bench.count()).toBeLessThan(30)
  // Forty pens whose glue sets do not push them out of sight: waits alike share a line.
  const waits = page.getByRole('group', { name: 'Waits on the clock' }).getByRole('listitem')
  await expect(waits.filter({ hasText: /^\d+ pens ?tube glue sets/ }).first()).toBeVisible()
  const drawnLanes = await waits.count()
  expect(drawnLanes).toBeLessThan(20)
  await page.getByRole('button', { name: /^Show \d+ more$/ }).click()
  expect(await waits.count()).toBeGreaterThan(drawnLanes)
  await page.getByRole('button', { name: 'Show fewer' }).click()
  await expect(waits).toHaveCount(drawnLanes)
  await page.evaluate(() => window.scrollTo(0, 2500))
  await expect(bench.first()).not.toHaveAttribute('aria-posinset', '1')
})

test('defects are read page by page, followed pen by pen, and narrowed in the address', async ({ page, pen, request }) => {
  const [many, other] = [await pen({ name: 'Many chips' }), await pen({ name: 'One bleed' })]
  const note = async (on: string, count: number, kind: string, year: number) => {
    const events = Array.from({ length: count }, (_, index) => ({
      id: randomUUID(), pen: on, kind: 'defect', barrels: ['only'], device: 'test',
      at: new Date(Date.UTC(year, 0, 1, 0, index)).toISOString(),
      payload: { kind, barrel: 'only', fromTip: 1 + index / 2, size: 0.5, step: null },
    }))
    expect((await request.post('/api/events', { data: { events } })).status()).toBe(200)
  }
  // Before all others there are, so that they end the list.
  await note(many.id, 60, 'chip', 2019)
  const asked: string[] = []
  page.on('request', one => one.url().includes('/api/defects?') && asked.push(one.url()))
  await page.goto('/pens/defects?kind=chip')
  await expect(rows(page).first()).toBeVisible()
  expect(await rows(page).count()).toBeLessThan(30)
  await expect(async () => {
    await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight))
    await expect(rows(page).last()).toContainText('1.0 mm from its tip end', { timeout: 500 })
  }).toPass()
  expect(asked.filter(url => url.includes('after='))).toHaveLength(1)

  // Narrowed further, in the address; the kind changed, the cause of the other kind falls away.
  await page.evaluate(() => window.scrollTo(0, 0))
  await page.getByLabel('Cause').click()
  await page.getByRole('option', { name: 'A dull tool tore it' }).click()
  await expect(page.getByText('No defect fits')).toBeVisible()
  expect(Object.fromEntries(new URL(page.url()).searchParams)).toEqual({ kind: 'chip', cause: 'dull tool' })
  await page.getByLabel('Kind').click()
  await page.getByRole('option', { name: 'Colour bleed', exact: true }).click()
  await expect.poll(() => Object.fromEntries(new URL(page.url()).searchParams)).toEqual({ kind: 'bleed' })
  await expect(page.getByRole('listitem').filter({ hasText: 'One bleed' })).toHaveCount(0)

  // Another device notes two: what fits stands there, and only the pens they are on were asked for.
  const before = asked.length
  await note(other.id, 1, 'bleed', 2020)
  await note(many.id, 1, 'void', 2020)
  await expect(page.getByRole('listitem').filter({ hasText: 'One bleed' })).toHaveCount(1)
  await expect(page.getByRole('listitem').filter({ hasText: 'Many chips' })).toHaveCount(0)
  expect(asked.slice(before).every(url => url.includes('pens='))).toBe(true)
  // Its record and back: the same choice, the same row.
  await page.getByRole('link', { name: /One bleed/ }).click()
  await expect(page.getByRole('heading', { name: 'One bleed' })).toBeVisible()
  await page.goBack()
  await expect(page.getByRole('listitem').filter({ hasText: 'One bleed' })).toHaveCount(1)
})

test('what a list shows stands in its address: narrowed, gone back, opened again, sent to somebody', async ({ page, pen }) => {
  const plum = await pen({ name: 'Narrow plum', material: 'plum', due: '2031-03-04' })
  const pear = await pen({ name: 'Narrow pear', material: 'pear' })
  await page.goto('/pens')
  await page.getByRole('searchbox', { name: 'Look a pen up' }).fill('narrow')
  await expect(rows(page)).toHaveCount(2)
  await page.getByRole('combobox', { name: 'Material' }).click()
  await page.getByRole('option', { name: 'Plum', exact: true }).click()
  await expect(rows(page)).toHaveCount(1)
  await expect(rows(page)).toContainText(plum.mark)
  expect(Object.fromEntries(new URL(page.url()).searchParams)).toEqual({ material: 'plum', text: 'narrow' })
  await page.reload()
  await expect(rows(page)).toHaveCount(1)
  await expect(page.getByRole('combobox', { name: 'Material' })).toContainText('Plum')
  await page.goBack()
  await expect(rows(page)).toHaveCount(2)

  await page.goto('/pens?due=2031-03-04&stage=planned&sort=due')
  await expect(rows(page)).toHaveCount(1)
  await page.getByRole('button', { name: 'Show all pens' }).click()
  await expect.poll(() => rows(page).count()).toBeGreaterThan(1)
  expect(new URL(page.url()).search).toBe('?sort=due')
  // What is no choice in an address is passed over.
  await page.goto(`/pens?stage=lost&text=${pear.mark}`)
  await expect(rows(page)).toHaveCount(1)
  await page.goto('/pens?stage=finished&material=plum')
  await expect(page.getByText('No pen is like that.')).toBeVisible()
})
