import type { Locator, Page } from '@playwright/test'
import type { Pen } from '../../contract'
import { expect, test } from '../stand'
import { kept, sent, title, workTo } from '../support/bench'

// Many pens on the bench are this file’s own matter.
test.use({ only: 'from afar' })

/** How high a capital stands on a 10 inch tablet, mm: 1280 px over 217 mm; by the box of the letter in the face it is drawn in. */
const capital = (letters: Locator): Promise<number> =>
  letters.evaluate((element) => {
    const context = document.createElement('canvas').getContext('2d')!
    const { fontStyle, fontWeight, fontSize, fontFamily } = getComputedStyle(element)
    context.font = `${fontStyle} ${fontWeight} ${fontSize} ${fontFamily}`
    return (context.measureText('H').actualBoundingBoxAscent * 217) / 1280
  })
const inSight = async (page: Page, what: Locator) => {
  const box = (await what.boundingBox())!
  const { width, height } = page.viewportSize()!
  return box.x >= 0 && box.y >= 0 && box.x + box.width <= width && box.y + box.height <= height
}
const sideways = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)

test('from two metres: what, which and until when in letters of 12 mm, how in letters of 7 mm; one key turns all else on again', async ({
  page,
  pen,
  request,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  const made = await pen({ name: 'From afar' })
  await workTo(request, made, step => step.id === 'coat.2', 0)
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText('Thin CA, coat 2')
  await page.keyboard.press('f')
  await expect(page.getByRole('button', { name: /^Something is wrong/ })).toHaveCount(0)
  await page.evaluate(() => document.fonts.ready)
  const far = page.locator('section.far')
  expect(await capital(title(page))).toBeGreaterThanOrEqual(12)
  expect(await capital(far.getByText(/^\d+ of \d+$/))).toBeGreaterThanOrEqual(12)
  expect(await capital(far.getByRole('timer'))).toBeGreaterThanOrEqual(12)
  const how = far.getByText(/500 rev\/min or slower, closed-cell foam/)
  expect(await capital(how)).toBeGreaterThanOrEqual(7)
  for (const seen of [title(page), how, page.getByRole('button', { name: /^Coat 2 is on/ })]) expect(await inSight(page, seen)).toBe(true)
  // The pedal held down turns the rest on, and enters nothing; pressed, it is “done”.
  await page.keyboard.down('Space')
  await expect(page.getByRole('button', { name: /^Something is wrong/ })).toBeVisible()
  await page.keyboard.up('Space')
  await expect(title(page)).toHaveText('Thin CA, coat 2')
  const before = (await kept(request, made)).events.length
  await page.keyboard.press('Space')
  await expect(title(page)).toHaveText(/coat 3|Level/)
  await sent(page)
  expect((await kept(request, made)).events).toHaveLength(before + 1)
  // A key of the screen does the same.
  await page.getByRole('button', { name: 'From afar' }).click()
  await expect(far).toBeVisible()
  await page.getByRole('button', { name: /^Everything/ }).click()
  await expect(far).toHaveCount(0)
})

test('a phone with 15 pens in work: the yellow key is in sight, the pens fold, nothing scrolls sideways', async ({
  page,
  pen,
  request,
}) => {
  test.setTimeout(120_000)
  const made: Pen[] = []
  for (let count = 0; count < 15; count++) made.push(await pen({ name: `On the phone ${count}` }))
  for (const one of made) await workTo(request, one, step => step.id === 'coat.1', 1)
  for (const width of [360, 390]) {
    await page.setViewportSize({ width, height: 740 })
    await page.goto(`/pens/${made[7]!.id}/work`)
    await expect(title(page)).toHaveText('Thin CA, coat 1')
    const key = page.getByRole('button', { name: /^Coat 1 is on/ })
    expect(await inSight(page, key)).toBe(true)
    expect(await inSight(page, page.getByText('◆ Fumes sting and sink'))).toBe(true)
    expect(await sideways(page)).toBe(0)
    const bench = page.getByRole('navigation', { name: 'Pens on the bench' })
    expect(await bench.getByRole('link').count()).toBeLessThanOrEqual(4)
    // The rest is a touch away, and looked up by its mark.
    await bench.getByRole('button', { name: /^All \d+/ }).click()
    await bench.getByRole('searchbox').fill(made[3]!.mark)
    await expect(bench.getByRole('link', { name: new RegExp(`^${made[3]!.mark} `) })).toBeVisible()
    await bench.getByRole('button', { name: 'Fewer' }).click()
    const own = `/pens/${made[0]!.id}`
    for (const where of ['/', '/pens', '/pens/new?count=3', own, `${own}/record`, `/together?pens=${made.map(one => one.id).join(',')}`]) {
      await page.goto(where)
      await expect(page.getByRole('heading').first()).toBeVisible()
      await expect.poll(() => sideways(page), where).toBe(0)
    }
  }
})

test('six colour pads one after the other: what is typed while the last one is still being kept is not lost', async ({ page, request }) => {
  await page.goto('/shelf')
  // The server takes its time.
  let answer = Promise.resolve()
  await page.route('**/api/shelf/own*', async (route) => {
    const before = answer
    answer = before.then(() => new Promise(done => setTimeout(done, 250)))
    await answer
    await route.continue()
  })
  const label = page.getByLabel('What you call it')
  const colours = ['Grey', 'Green', 'Orange', 'Yellow', 'Blue', 'White']
  for (const colour of colours) {
    await label.fill(`${colour} pad`)
    await page.getByRole('button', { name: 'Put it on the shelf' }).click()
    await label.fill('next one')
  }
  // They stand in the list; what is said of each goes by itself after a while.
  const own = page.getByRole('region', { name: 'An abrasive of your own' })
  for (const colour of colours) await expect(own.getByRole('listitem').filter({ hasText: `${colour} pad` })).toBeVisible()
  await expect(label).toHaveValue('next one')
  const shelf = (await (await request.get('/api/shelf')).json()) as { abrasives: { label?: string }[] }
  expect(shelf.abrasives.flatMap(one => one.label ?? [])).toEqual(expect.arrayContaining(colours.map(colour => `${colour} pad`)))
})
