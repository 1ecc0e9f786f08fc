import type { Page } from '@playwright/test'
import { expect, test } from '../stand'
import { workTo } from '../support/bench'

const rows = (page: Page) => page.locator('.rows li')
/** The names of the pens that are drawn now, from above. */
const drawn = (page: Page) => rows(page).evaluateAll(all =>
  all.sort((a, b) => a.getBoundingClientRect().top - b.getBoundingClientRect().top).map(one => one.querySelector('.what b')?.textContent))

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
  await expect(async () => {
    await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight))
    await expect(page.getByText('Longlist 1', { exact: true })).toBeVisible({ timeout: 500 })
  }).toPass()
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
