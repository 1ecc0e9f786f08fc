import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect, test } from '../stand'

/** What a drawing that was saved says, read as another program would. */
async function saved(page: Page, name: string | RegExp) {
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name }).first().click()])
  return page.evaluate((text) => {
    const { documentElement: root } = new DOMParser().parseFromString(text, 'image/svg+xml')
    const drawn = [...root.querySelectorAll('rect, path')]
    return {
      name: root.nodeName, space: root.namespaceURI, width: root.getAttribute('width'), says: root.textContent,
      fills: drawn.map(one => one.getAttribute('fill')), classes: root.querySelectorAll('[class], [style]').length,
    }
  }, readFileSync(await download.path(), 'utf8'))
}

test('drawings are saved as SVG of their own, with the looks they have on the page', async ({ page, pen }) => {
  await page.goto('/shelf/stick/twist-7')
  const stick = await saved(page, 'Save the stick')
  expect(stick).toMatchObject({ name: 'svg', space: 'http://www.w3.org/2000/svg', width: expect.stringMatching(/^\d.*mm$/), classes: 0 })
  expect(stick.fills.every(fill => /^(rgb|none)/.test(fill ?? ''))).toBe(true)
  expect((await saved(page, 'Save the barrels')).says).toContain('lower barrel')
  const made = await pen()
  await page.goto(`/pens/${made.id}`)
  for (const name of ['Save the surface', 'Save the build section']) {
    const drawing = await saved(page, name)
    expect(drawing).toMatchObject({ name: 'svg', classes: 0, width: expect.stringMatching(/^\d+(\.\d+)?$/) })
    expect(drawing.fills.length).toBeGreaterThan(0)
  }
})

test('the evenings are saved as they are drawn, in a drawing of their own', async ({ page, pen }) => {
  const made = await pen()
  await page.goto('/evenings')
  await expect(page.getByRole('region', { name: 'The coming evenings' }).getByText(made.mark).first()).toBeVisible()
  const evenings = await saved(page, 'Save the evenings')
  expect(evenings).toMatchObject({ name: 'svg', width: '1200', classes: 0 })
  expect(evenings.says).toContain(made.mark)
  expect(evenings.says).toMatch(/\d\d:\d\d–\d\d:\d\d/)
  expect(evenings.fills.length).toBeGreaterThan(5)
})
