import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import type { PenPage } from '../../contract'
import { expect, test } from '../stand'

/** Eight tabs of one browser: more than a browser has connections to one server. */
const TABS = 8

test('eight tabs share one live connection; when the one that holds it goes, another does', async ({ context, request, pen }) => {
  const made = await pen({ name: 'Many tabs' })
  const enter = (step: string) => request.post('/api/events', {
    data: { events: [{
      id: randomUUID(), pen: made.id, kind: 'done', barrels: ['only'], at: new Date().toISOString(), device: 'elsewhere', payload: { step },
    }] },
  })
  await enter('parts')
  const asked: string[] = []
  context.on('request', one => one.url().includes('/api/live') && asked.push(one.url()))
  const tabs: Page[] = []
  for (let tab = 0; tab < TABS; tab++) {
    const page = await context.newPage()
    tabs.push(page)
    await page.goto(`/pens/${made.id}/work`)
    await expect(page.locator('.title')).toBeVisible()
  }
  const titles = () => Promise.all(tabs.map(page => page.locator('.title').textContent()))
  const first = (await titles())[0]
  await enter('cut')
  await expect.poll(async () => new Set(await titles())).not.toContain(first)
  expect(new Set(await titles()).size).toBe(1)
  expect(asked).toHaveLength(1)
  // The one that was opened first holds it.
  await tabs.shift()!.close()
  const second = (await titles())[0]
  await expect.poll(() => asked.length).toBe(2)
  await enter('drill')
  await expect.poll(async () => new Set(await titles())).not.toContain(second)
  expect(new Set(await titles()).size).toBe(1)
  // Every one of them can still ask the server.
  for (const page of tabs) {
    const told = await page.evaluate(async () => (await (await fetch('/api/pens')).json()) as PenPage)
    expect(told.pens.length).toBeGreaterThan(0)
  }
})
