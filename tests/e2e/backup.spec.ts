import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import type { Pen, PenPage, WholePen, WorkshopList } from '../../contract'
import { expect, test } from '../stand'

test.use({ only: 'backup' })

test('everything is saved in one file from the screen; the bench reminds once it is time, and not again for a week', async ({
  page, request,
}) => {
  const { workshops } = (await (await request.get('/api/workshops')).json()) as WorkshopList
  const own = workshops.find(one => one.kind === 'own')!.id
  const data = {
    mark: 'A1', name: 'Saved apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew',
    film: 'gloss',
  }
  const pen = (await (await request.post(`/api/pens?workshop=${own}`, { data })).json()) as Pen
  const { plan } = (await (await request.get(`/api/pens/${pen.id}?workshop=${own}`)).json()) as WholePen
  const step = plan!.steps[0]!
  const at = new Date().toISOString()
  const enter = (count: number) => request.post(`/api/events?workshop=${own}`, {
    data: {
      events: Array.from({ length: count }, () => ({
        id: randomUUID(), pen: pen.id, kind: 'remark', payload: { text: 'Kept', step: step.id }, barrels: step.barrels, at,
        device: 'tablet',
      })),
    },
  })
  await enter(10)
  await page.goto('/')
  await expect(page.getByText('Saved apple')).toBeVisible()
  await expect(page.getByText('was not saved elsewhere yet')).toHaveCount(0)
  await enter(30)
  await page.reload()
  await expect(page.getByText('What you keep here was not saved elsewhere yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Next week' }).click()
  await expect(page.getByText('was not saved elsewhere yet')).toHaveCount(0)
  await page.reload()
  await expect(page.getByText('Saved apple')).toBeVisible()
  await expect(page.getByText('was not saved elsewhere yet')).toHaveCount(0)

  await page.goto('/shelf/backup')
  const tables = page.getByRole('region', { name: 'Tables for a spreadsheet' })
  const [table] = await Promise.all([page.waitForEvent('download'), tables.getByRole('link', { name: 'Pens', exact: true }).click()])
  expect(readFileSync(await table.path(), 'utf8')).toMatch(/^mark,pen,.*\r\nA1,Saved apple,/)
  await expect(page.getByText('◆ Not saved yet.')).toBeVisible()
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Save now' }).click()])
  expect(download.suggestedFilename()).toMatch(/^oxlip-\d{4}-\d\d-\d\d\.tar$/)
  const manifest = JSON.parse(execFileSync('tar', ['-xOf', await download.path(), 'manifest.json'], { encoding: 'utf8' }))
  expect(manifest).toMatchObject({ format: 'oxlip-backup', tables: { pens: { rows: expect.any(Number) } } })
  expect(manifest.tables.events.rows).toBeGreaterThanOrEqual(40)
  await expect(async () => {
    await page.reload()
    await expect(page.getByText(/^Saved last: \d\d:\d\d, from this page, \d+\.\d MB\.$/)).toBeVisible({ timeout: 2000 })
  }).toPass()
})

test('a workshop is carried elsewhere as an archive: saved from the demo, taken into one’s own, a damaged one refused', async ({
  page, request,
}) => {
  const { workshops } = (await (await request.get('/api/workshops')).json()) as WorkshopList
  const [own, demo] = (['own', 'demo'] as const).map(kind => workshops.find(one => one.kind === kind)!.id)
  const archive = await (await request.get(`/api/archive?workshop=${demo}`)).body()
  const marks = async (workshop: string | undefined) => {
    const { pens } = (await (await request.get(`/api/pens?workshop=${workshop}&sort=marks&limit=200`)).json()) as PenPage
    return pens.map(one => one.pen.mark)
  }
  const before = await marks(own)
  await page.goto('/')
  await page.evaluate(id => sessionStorage.setItem('oxlip-workshop', id), own!)
  await page.goto('/shelf/backup')
  const take = (buffer: Buffer) =>
    page.getByLabel('Take an archive in').setInputFiles({ name: 'a.tar', mimeType: 'application/x-tar', buffer })
  await take(archive.subarray(0, archive.length / 2))
  await expect(page.getByText('This archive is cut off. Fetch it again.')).toBeVisible()
  expect(await marks(own)).toEqual(before)
  await take(archive)
  await expect(page.getByText(/^Taken in: \d+ things new or newer/)).toBeVisible()
  await expect.poll(async () => (await marks(own)).length).toBe(before.length + 14)
  await take(archive)
  await expect(page.getByText('All of it was here already.')).toBeVisible()
})
