import type { Page } from '@playwright/test'
import { expect, test } from '../stand'
import { kept, sent, space, title, workTo } from '../support/bench'

test.use({ serviceWorkers: 'allow' })

/** The questions that the bench asks when it opens, whose answers the worker keeps. */
const ASKED = ['workshop', 'shelf', 'air', 'learnt', 'fittings', 'blanks', 'bits', 'methods', 'bench', 'workshops']
  .map(name => `/api/${name}`)
const unkept = (page: Page): Promise<string[]> =>
  page.evaluate(async (asked) => {
    const kept = await Promise.all(asked.map(path => caches.match(path, { ignoreSearch: true })))
    return asked.filter((_, index) => !kept[index])
  }, ASKED)

test('the bench opens without a network, is worked, and catches up', async ({ page, context, pen, request }) => {
  const made = await pen({ name: 'No network' })
  await workTo(request, made, step => step.kind === 'coat')
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText('Thin CA, coat 1')
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  // Once more with the worker in charge, so that it has seen every answer.
  await page.reload()
  await expect(title(page)).toHaveText('Thin CA, coat 1')
  await expect(page.getByText('not connected')).toHaveCount(0)
  await expect.poll(() => unkept(page)).toEqual([])
  await context.setOffline(true)
  await page.reload()
  await expect(title(page)).toHaveText('Thin CA, coat 1')
  await space(page, 'Thin CA, coat 2')
  await expect(page.getByText('1 not sent yet')).toBeVisible()
  await page.reload()
  await expect(title(page)).toHaveText('Thin CA, coat 2')
  await context.setOffline(false)
  await expect(page.getByText(/not sent yet|not connected/)).toHaveCount(0)
  await sent(page)
  expect((await kept(request, made)).events.filter(event => event.kind === 'done' && event.payload.step === 'coat.1')).toHaveLength(1)
})
