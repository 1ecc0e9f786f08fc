import type { Page } from '@playwright/test'
import { expect, test } from '../stand'
import { finish, kept, sent, space, title, workTo } from '../support/bench'

/** Notes a defect in three touches: something is wrong, what it looks like, where. */
async function note(page: Page, looks: string) {
  await page.getByRole('button', { name: /^Something is wrong/ }).click()
  await page.getByText(looks, { exact: true }).click()
  const strip = page.getByRole('img', { name: /tap where the defect is/ })
  const box = (await strip.boundingBox())!
  await strip.click({ position: { x: box.width * 0.35, y: box.height * 0.5 } })
  await expect(page.getByRole('heading', { name: looks, level: 2 })).toBeVisible()
}
const chances = (page: Page) =>
  page
    .getByRole('list', { name: /Causes/ })
    .locator('.cause')
    .allTextContents()

test('a chip at the last grit: why, a question, the mend in the plan, a new version of it, and the pen is finished', async ({
  page,
  pen,
  request,
}) => {
  test.setTimeout(150_000)
  const made = await pen({ name: 'Chip at the end' })
  const grits = (await kept(request, made)).steps.filter(step => step.kind === 'sand')
  await workTo(request, made, step => step.id === grits.at(-1)!.id)
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText(/^P\d+/)
  const last = await title(page).textContent()
  await note(page, 'Chip, tear-out')

  // Why: ranked causes with evidence; an answer moves them; a judgement is kept.
  const before = await chances(page)
  expect(before.length).toBeGreaterThanOrEqual(3)
  expect(await page.locator('.causes .for, .causes .against').count()).toBeGreaterThan(0)
  await page.getByRole('group', { name: /\?$/ }).getByRole('button', { name: 'Yes' }).click()
  await expect.poll(() => chances(page)).not.toEqual(before)
  await page.getByRole('button', { name: 'It was this' }).first().click()
  await expect(page.getByRole('button', { name: 'Judged so' })).toBeVisible()

  // What now: the recommended way first, what it costs, what it means for the day; it goes into the plan as a new version.
  const way = page.getByRole('button', { name: /fine dust and CA, then from two grits back/ })
  await expect(way).toContainText(/more work/)
  await expect(way).toContainText(/works \d+ times in 10/)
  await way.click()
  await expect(title(page)).toHaveText('Fill: shavings and CA')
  await expect.poll(async () => (await kept(request, made)).planVersion).toBe(2)
  await space(page, 'Bring the fill flush')
  await space(page, /^P\d+/)
  await space(page, last!)
  await expect(page.getByText(/shavings and CA, done/)).toBeVisible()
  await page.getByRole('button', { name: 'It is gone' }).click()
  await expect(page.getByText(/Chip, tear-out/)).toHaveCount(0)
  // The plan tells its version and shows what was put in; a mend is no change of the shelf.
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(page.getByText(/plan 2/)).toBeVisible()
  await expect(page.getByText(/have changed since this was planned/)).toHaveCount(0)
  await page.getByRole('link', { name: 'Go on at the bench' }).click()
  await expect(title(page)).toHaveText(last!)
  await finish(page, request, made)

  await page.goto(`/pens/${made.id}/record`)
  const defects = page.getByRole('region', { name: 'Defects' })
  await expect(defects).toContainText('mended')
  await expect(defects).toContainText('shavings and CA')
  await expect(defects).toContainText('Cause:')
  await page.goto('/pens/defects')
  await expect(page.getByRole('listitem').filter({ hasText: made.mark })).toContainText('Mended')
  await page.getByLabel('Outcome').click()
  await page.getByRole('option', { name: 'Mended', exact: true }).click()
  await expect(page.getByRole('listitem').filter({ hasText: made.mark })).toBeVisible()
  await page.getByLabel('Outcome').click()
  await page.getByRole('option', { name: 'Left as it is' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: made.mark })).toHaveCount(0)
})

test('a sand-through at the last levelling: covered, levelled and polished again; one that still shows is mended another way', async ({
  page,
  pen,
  request,
}) => {
  test.setTimeout(180_000)
  const made = await pen({ name: 'Through at the last', method: 'ca-thin-staged' })
  const { steps } = await kept(request, made)
  const last = steps.findLast(step => step.kind === 'level')!
  await workTo(request, made, step => step.id === last.id, 60)
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText(/^Level/)
  await page.getByRole('group', { name: 'No colour on the paper?' }).getByRole('button', { name: 'No', exact: true }).click()
  await page.getByText('Sand-through', { exact: true }).click()
  await page.getByLabel('From its tip end').fill('12 mm')
  await page.getByRole('button', { name: 'Note it' }).click()
  await page.getByRole('button', { name: 'All causes' }).click()
  await expect(page.getByText(/Levelling was to take \d+ of \d+ µm/).first()).toBeVisible()
  await page.getByRole('button', { name: /Cover it with coats, then level again/ }).click()
  await expect(title(page)).toHaveText(/^Thin CA, coat/)
  await expect(page.getByText('It builds up what was bared')).toBeVisible()
  await space(page, /^Level/, 60_000)
  await space(page, /^(?!Level)/)
  await expect(page.getByText(/Sand-through.*more coats, done/)).toBeVisible()
  await page.getByRole('button', { name: 'It still shows' }).click()
  await expect(page.getByText(/Tried already: more coats/)).toBeVisible()
  await page.getByRole('button', { name: /Strip back and start the finish again/ }).click()
  await expect(title(page)).toHaveText(/^Sand back with/)
  await finish(page, request, made)
  const { events } = await kept(request, made)
  expect(events.filter(event => event.kind === 'repair')).toHaveLength(2)
})

test('a bleed on a laminate: diagnosed out of what was done, sanded back there, sealed, covered; two defects at once', async ({
  page,
  pen,
  request,
}) => {
  test.setTimeout(180_000)
  const made = await pen({ name: 'Laminate bleeds', material: 'plum-holly' })
  await workTo(request, made, step => step.id === 'coat.3', 60)
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText(/coat 3/)
  await note(page, 'Colour bleed')
  await expect(page.getByText(/bleeds|does not bleed/).first()).toBeVisible()
  await page.getByRole('button', { name: /^Later It stays/ }).click()
  // A second one beside it; both stand open.
  await note(page, 'White dots, haze')
  await page.getByRole('button', { name: /Sand them out before anything goes over them/ }).click()
  await expect(title(page)).toHaveText(/^Level/)
  await page.getByRole('button', { name: 'Why, and what now' }).click()
  await page.getByRole('button', { name: /Sand back below it there, seal thin, cover/ }).click()
  await expect(title(page)).toHaveText(/^Sand back there/)
  await expect(page.locator('.how')).toContainText('no wipe')
  await space(page, 'Blow off, no wipe')
  await space(page, /^Thin CA, coat/)
  await finish(page, request, made)
  await page.goto(`/pens/${made.id}/record`)
  await expect(page.getByRole('region', { name: 'Defects' }).getByText('mended', { exact: true })).toHaveCount(2)
})

test('one barrel scrapped: it is cut and worked again, its pair is told about, and left is left', async ({ page, pen, request }) => {
  const made = await pen({ name: 'Scrapped', fitting: 'twist-7' })
  await workTo(request, made, step => step.kind === 'clean', 60)
  await page.goto(`/pens/${made.id}/work`)
  await note(page, 'Crack, blow-out')
  await expect(page.getByText(/the grain will not run on/)).toBeVisible()
  await expect(page.getByText(/Both halves from one stick/)).toBeVisible()
  await page.getByRole('button', { name: /Scrap the barrel: cut it again/ }).click()
  await expect(title(page)).toHaveText('Cut again')
  await expect(page.locator('.how')).toContainText('lower barrel')
  // Taken back, it is open again; left, it is over.
  await page.keyboard.press('z')
  await expect(page.getByText(/◆ Crack, blow-out/)).toBeVisible()
  await page.getByRole('button', { name: 'Why, and what now' }).click()
  await page.getByRole('button', { name: 'Leave it' }).click()
  await expect(page.getByText(/◆ Crack/)).toHaveCount(0)
  await expect(title(page)).toHaveText(/Blow off|Wipe/)
})

test.describe('touch alone on a tablet', () => {
  test.use({ hasTouch: true, viewport: { width: 1024, height: 768 } })
  test('a pen is begun, worked, changed for another, a defect noted, pictured and mended with one finger', async ({
    page,
    pen,
    request,
  }) => {
    const [made, other] = [await pen({ name: 'One finger' }), await pen({ name: 'Other finger' })]
    for (const one of [made, other]) await workTo(request, one, step => step.kind === 'coat')
    await page.goto('/')
    await page.getByRole('link', { name: /One finger/ }).tap()
    await expect(title(page)).toHaveText('Thin CA, coat 1')
    await page.getByRole('button', { name: /^Coat on/ }).tap()
    await expect(title(page)).toHaveText('Thin CA, coat 2')
    // Where other tests have put many pens on the bench, the row is folded.
    const bench = page.getByRole('navigation', { name: 'Pens on the bench' })
    const tab = bench.getByRole('link', { name: new RegExp(`^${other.mark} `) })
    const all = bench.getByRole('button', { name: /^All \d/ })
    await expect(tab.or(all).first()).toBeVisible()
    if (!(await tab.isVisible())) await all.tap()
    await tab.tap()
    await expect(title(page)).toHaveText('Thin CA, coat 1')
    await page.getByRole('button', { name: /^Something is wrong/ }).tap()
    await page
      .getByText('Fish-eyes', { exact: true })
      .or(page.getByText('White dots, haze', { exact: true }))
      .first()
      .tap()
    const strip = page.getByRole('img', { name: /tap where the defect is/ })
    const box = (await strip.boundingBox())!
    await page.touchscreen.tap(box.x + box.width * 0.5, box.y + box.height * 0.62)
    await expect(page.getByRole('heading', { level: 2 })).toHaveText(/White dots|Fish-eyes/)
    const png = Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAgAAAAICAIAAABLbSncAAAAEklEQVR4nGP4z8CAFWEXHbQSACj/P8Fu7N9hAAAAAElFTkSuQmCC',
      'base64',
    )
    await page.getByLabel('Photo').setInputFiles({ name: 'seen.png', mimeType: 'image/png', buffer: png })
    await expect(page.getByRole('img', { name: 'The defect, opens large' })).toBeVisible()
    await page.getByRole('button', { name: 'Not known' }).first().tap()
    await page.locator('.ways .key').first().tap()
    await expect(page.getByText(/under way/)).toBeVisible()
    await sent(page)
    const { events } = await kept(request, other)
    const noted = events.find(event => event.kind === 'defect')!
    expect(noted.payload).toMatchObject({ barrel: 'only' })
    expect((noted.payload as { around: number }).around).toBeGreaterThan(0)
    const photo = async () => (await kept(request, other)).events.flatMap(event => (event.kind === 'photo' ? [event.payload.photo] : []))[0]
    await expect.poll(photo).toBeTruthy()
    await expect.poll(async () => (await request.get(`/api/photos/${await photo()}?size=small`)).status()).toBe(200)
    // Every key on the screen is large enough for a gluey finger.
    for (const key of await page.locator('.keys .key, .pens .tab').all())
      expect((await key.boundingBox())!.height).toBeGreaterThanOrEqual(64)
  })
})
