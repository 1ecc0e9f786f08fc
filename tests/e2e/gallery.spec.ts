import { expect, test } from '../stand'
import { kept, sent } from '../support/bench'
import { workToEnd } from '../support/season'

const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAgAAAAICAIAAABLbSncAAAAEklEQVR4nGP4z8CAFWEXHbQSACj/P8Fu7N9hAAAAAElFTkSuQmCC', 'base64')
const picture = { name: 'seen.png', mimeType: 'image/png', buffer: PNG }

test('a finished pen hangs in the gallery as it is drawn, and once a picture is taken of it as it is', async ({ page, request, pen }) => {
  const [done, begun] = [await pen({ name: 'Bough for the gallery' }), await pen({ name: 'Bough not finished' })]
  await workToEnd(request, [done], () => [])
  await page.goto('/pens')
  await page.getByRole('link', { name: 'Gallery', exact: true }).click()
  await page.getByLabel('Look a finished pen up').fill('Bough')
  const card = page.getByRole('listitem').filter({ hasText: 'Bough for the gallery' })
  await expect(card.getByRole('img', { name: /to scale$/ })).toBeVisible()
  await expect(page.getByText('Bough not finished')).toHaveCount(0)
  await expect(page).toHaveURL(/text=Bough/)
  await card.getByRole('link').click()
  await page.getByLabel('Add a picture').setInputFiles(picture)
  const life = page.getByRole('region', { name: 'Pictures' })
  await expect(life.getByRole('img', { name: 'A picture, opens large' })).toBeVisible()
  await sent(page)
  await page.goBack()
  await expect(page.getByLabel('Look a finished pen up')).toHaveValue('Bough')
  await expect(card.locator('img')).toHaveAttribute('src', /\/api\/photos\//)
  await expect.poll(() => card.locator('img').evaluate(one => (one as HTMLImageElement).naturalWidth)).toBeGreaterThan(0)
  expect((await kept(request, begun)).events).toEqual([])
})

test('a picture with words is taken at the bench, and stands in the story of the pen', async ({ page, request, pen }) => {
  const made = await pen()
  await page.goto(`/pens/${made.id}/work`)
  await page.getByRole('button', { name: /Something else/ }).click()
  await page.getByLabel('A remark, for the record').fill('The figure came out at last')
  await page.getByLabel('With a picture').setInputFiles(picture)
  await expect(page.getByLabel('A remark, for the record')).toHaveCount(0)
  await sent(page)
  const [entry] = (await kept(request, made)).events
  expect(entry).toMatchObject({ kind: 'remark', payload: { text: 'The figure came out at last', photo: expect.any(String) } })
  await page.goto(`/pens/${made.id}/record`)
  await expect(page.getByRole('img', { name: 'The figure came out at last, opens large' }).first()).toBeVisible()
})
