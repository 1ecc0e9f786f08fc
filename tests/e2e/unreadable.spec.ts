import { randomUUID } from 'node:crypto'
import type { APIRequestContext } from '@playwright/test'
import { Client } from 'pg'
import { expect, test } from '../stand'

const enter = (request: APIRequestContext, pen: string, step: string) => request.post('/api/events', {
  data: { events: [{
    id: randomUUID(), pen, kind: 'done', barrels: ['only'], at: new Date().toISOString(), device: 'test', payload: { step },
  }] },
})

test('a pen whose plan is damaged says so where it stands, shows what was entered, and is mended by planning it anew', async ({
  page, request, stand, pen,
}) => {
  const [harmed, other] = [await pen({ name: 'Harmed' }), await pen({ name: 'Not harmed' })]
  for (const one of [harmed, other]) expect((await enter(request, one.id, 'parts')).status()).toBe(200)
  await page.goto('/')
  await expect(page.getByText('Not harmed')).toBeVisible()
  const client = new Client({ connectionString: stand.databaseUrl })
  await client.connect()
  await client.query('update plans set body = \'{"inputs": {}, "steps": [null]}\' where pen_id = $1', [harmed.id])
  await client.end()
  // It still takes entries, and its row tells at once what is wrong.
  expect((await enter(request, harmed.id, 'cut')).status()).toBe(200)
  await page.reload()
  const told = page.getByRole('region', { name: 'Cannot be worked out' })
  await expect(told).toContainText('Harmed')
  await expect(page.getByText('Not harmed')).toBeVisible()
  // It is looked up: among many pens its row may not be drawn.
  await page.goto('/pens')
  await page.getByRole('searchbox', { name: 'Look a pen up' }).fill('Harmed')
  await expect(page.getByRole('listitem').filter({ hasText: 'What was entered is kept' })).toContainText('Harmed')
  for (const path of ['/api/bench', '/api/defects', `/api/pens/${harmed.id}`]) expect((await request.get(path)).status(), path).toBe(200)
  expect((await request.get(`/api/pens/${harmed.id}/record.json`)).status()).toBe(409)

  await page.goto(`/pens/${harmed.id}/work`)
  await expect(page.getByRole('alert')).toContainText('do not fit together')
  await expect(page.getByRole('row')).toHaveCount(3)
  await page.getByRole('button', { name: 'Plan it anew' }).click()
  await expect(page.locator('.title')).toBeVisible()
  await page.goto('/')
  await expect(page.getByText('Not harmed')).toBeVisible()
  await expect(page.getByText('Cannot be worked out')).toHaveCount(0)
})
