import { randomUUID } from 'node:crypto'
import type { Locator, Page } from '@playwright/test'
import { expect, test } from '../stand'
import { kept, title, workTo } from '../support/bench'

/** Puts entries among those that this browser has not sent yet, as an older Oxlip left them, which knew one workshop only. */
const leaveUnsent = (page: Page, entries: { id: string }[]): Promise<void> =>
  page.evaluate(
    async entries =>
      new Promise<void>((resolve, reject) => {
        const asked = indexedDB.open('oxlip-outbox')
        asked.onupgradeneeded = () => asked.result.createObjectStore('entries')
        asked.onerror = () => reject(asked.error)
        asked.onsuccess = () => {
          const work = asked.result.transaction('entries', 'readwrite')
          for (const event of entries) work.objectStore('entries').put({ event }, event.id)
          work.oncomplete = () => {
            asked.result.close()
            resolve()
          }
        }
      }),
    entries,
  )

test('an entry that the server refuses is shown with its reason: one is put right and sent, one is put aside', async ({
  page,
  pen,
  request,
}) => {
  const made = await pen({ name: 'Refused' })
  await workTo(request, made, step => step.kind === 'coat')
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText('Thin CA, coat 1')
  const reading = (diameter: number, minutesAgo: number) => ({
    id: randomUUID(),
    pen: made.id,
    kind: 'measure',
    barrels: ['only'],
    device: 'old tablet',
    at: new Date(Date.now() - minutesAgo * 60_000).toISOString(),
    payload: { barrel: 'only', fromTip: 0, diameter, step: 'coat.1' },
  })
  const [wrong, hopeless] = [reading(1013, 3), reading(-4, 2)]
  await leaveUnsent(page, [wrong, hopeless])
  await page.reload()

  const told = page.getByRole('alert', { name: 'Not taken' })
  await expect(told.getByRole('listitem')).toHaveCount(2)
  await expect(told).toContainText('A diameter')
  const first = told.getByRole('listitem').filter({ has: page.locator('input') }).first()
  await expect(first).toContainText(/◆ .*60/)
  await expect(first.getByRole('textbox')).toHaveValue('1013')
  await first.getByRole('textbox').fill('nothing')
  await first.getByRole('button', { name: 'Try again' }).click()
  await expect(first).toContainText('Should be a number.')
  await first.getByRole('textbox').fill('10,13')
  await first.getByRole('button', { name: 'Try again' }).click()
  await expect(told.getByRole('listitem')).toHaveCount(1)
  await expect
    .poll(async () => (await kept(request, made)).events.find(event => event.id === wrong.id)?.payload)
    .toMatchObject({ diameter: 10.13 })

  await told.getByRole('button', { name: 'Put aside' }).click()
  await expect(told).toHaveCount(0)
  // Work goes on, nothing is tried again by itself, and what was put aside is still to be seen.
  await page.reload()
  await expect(title(page)).toHaveText('Thin CA, coat 1')
  await expect(told).toHaveCount(0)
  expect((await kept(request, made)).events.some(event => event.id === hopeless.id)).toBe(false)
  await page.goto('/')
  await page.getByRole('button', { name: /set air, units/ }).click()
  await page.getByText('Entries put aside on this device: 1').click()
  await expect(page.getByRole('dialog').getByRole('listitem').filter({ hasText: 'A diameter' })).toContainText('old tablet')
})

test('what was changed on the shelf and in the methods while the connection was away is there when it is back', async ({
  page,
  context,
  request,
}) => {
  const away = async (path: string, loaded: Locator, change: () => Promise<unknown>) => {
    await page.goto(path)
    // What stands there came from the server: the page has all it needs before the connection goes.
    await expect(loaded).toBeVisible()
    await expect(page.getByText('not connected')).toHaveCount(0)
    await context.setOffline(true)
    await expect(page.getByText('not connected')).toBeVisible()
    await change()
    await context.setOffline(false)
    await expect(page.getByText('not connected')).toHaveCount(0)
  }
  const paper = page.getByRole('checkbox', { name: /^P400 / })
  const papers = page.locator('summary').filter({ hasText: 'Paper, P grades' })
  await away('/shelf', papers, async () => {
    await papers.click()
    await expect(paper).toBeChecked()
    expect((await request.put('/api/shelf', { data: { item: 'P-400', there: false } })).ok()).toBe(true)
    await expect(paper).toBeChecked()
  })
  await expect(paper).not.toBeChecked()
  await request.put('/api/shelf', { data: { item: 'P-400', there: true } })
  await expect(paper).toBeChecked()

  const copy = page.getByText('Oil for the supper')
  await away('/methods', page.getByText('CA film, thin first').first(), async () => {
    expect((await request.post('/api/methods', { data: { of: 'oil', name: 'Oil for the supper' } })).ok()).toBe(true)
    await expect(copy).toHaveCount(0)
  })
  await expect(copy.first()).toBeVisible()
})
