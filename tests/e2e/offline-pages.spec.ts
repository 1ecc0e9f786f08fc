import type { Page } from '@playwright/test'
import type { PenPage } from '../../contract'
import { expect, test } from '../stand'
import { kept, sent, space, title, workTo } from '../support/bench'

test.use({ serviceWorkers: 'allow' })

/** Waits until this browser holds the whole program, and what the server told of these. */
const holds = (page: Page, told: readonly string[]) =>
  expect.poll(() => page.evaluate(async (told) => {
    const kept = (await (await caches.open('oxlip-answers')).keys()).map(one => new URL(one.url).pathname)
    const program = await caches.keys()
    return told.every(path => kept.includes(`/api${path}`)) && program.some(name => name.startsWith('oxlip-program-'))
  }, told), { timeout: 60_000 }).toBe(true)

test('after one visit every page opens without a network, those never visited too', async ({ page, context, request }) => {
  const ask = async (query: string) => ((await (await request.get(`/api/pens?${query}`)).json()) as PenPage).pens
  const [pens, first] = [await ask('limit=200'), (await ask('stage=planned&sort=marks&limit=30'))[0]!]
  const inWork = pens.find(one => one.summary.stage === 'in work')!.pen.id
  const planned = first.pen.id
  await page.goto(`/pens/${inWork}/work`)
  await expect(page.locator('.title')).toBeVisible()
  const told = [`/pens/${planned}`, '/evenings', '/methods/oil', '/pens/mark', '/pens/due', '/defects/history']
  await holds(page, told)
  await context.setOffline(true)
  for (const [path, heading] of [
    ['/', /on the bench/], ['/pens', 'Pens'], ['/pens/defects', 'Defects'], ['/pens/gallery', 'Gallery'],
    ['/pens/orders', 'Orders'], ['/pens/fair', 'Fair'], ['/pens/customers', 'Customers'],
    ['/pens/new', 'Start a pen'], [`/pens/${planned}`, /./],
    [`/pens/${planned}/record`, /./], [`/pens/${inWork}`, /./], ['/methods', 'Methods'], ['/methods/compare', /./], ['/methods/oil', /./],
    ['/shelf', /./], ['/shelf/finishes', /./], ['/shelf/fittings', /./], ['/shelf/fittings/new', /./], ['/shelf/blanks', /./],
    ['/shelf/blanks/new', /./], ['/shelf/cutting', /./], ['/shelf/devices', /./],
    ['/evenings', /as the hands go/], ['/evenings/sheet', 'The coming evenings'],
  ] as const) {
    await page.goto(path)
    await expect(page.locator('main').getByRole('heading', { name: heading }).first(), path).toBeVisible()
    await expect(page.getByText(/Not to be had just now|Not here/), path).toHaveCount(0)
  }
  // What stands there may be old, and that is told.
  await expect(page.getByText(/not connected|not fresh/).first()).toBeVisible()
  // A pen that this browser never met says so, and nothing else breaks.
  const other = pens.find(one => one.summary.stage === 'finished')!.pen.id
  await page.goto(`/pens/${other}`)
  await expect(page.getByText('does not answer')).toBeVisible()
  await context.setOffline(false)
  await expect(page.getByText('does not answer')).toHaveCount(0)
  await expect(page.getByText(/not connected|not fresh/)).toHaveCount(0)
})

test('the server held still for ten seconds: the bench works on, no fault page comes, and all of it is sent after', async ({
  page, request, pen, stand,
}) => {
  test.setTimeout(90_000)
  const made = await pen({ name: 'Held still' })
  await workTo(request, made, step => step.kind === 'sand', 60 * 10)
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText(/^P\d+$/)
  await holds(page, [`/pens/${made.id}`])
  const first = await title(page).innerText()
  const since = Date.now()
  stand.freeze(true)
  try {
    await space(page, new RegExp(`^(?!${first}$)`))
    await expect(page.getByText(/1 not sent yet/)).toBeVisible()
    await page.getByRole('link', { name: 'Plan', exact: true }).click()
    await expect(page.getByRole('region', { name: 'Steps' })).toContainText(first)
    await page.getByRole('link', { name: 'Work', exact: true }).click()
    // All the while it stands still the page stays what it is.
    await expect.poll(async () => {
      await expect(title(page)).not.toHaveText(first)
      await expect(page.getByText(/could not be fetched|This page broke/)).toHaveCount(0)
      return Date.now() - since
    }).toBeGreaterThan(10_000)
  } finally {
    stand.freeze(false)
  }
  await sent(page)
  await expect(page.getByText(/not sent yet/)).toHaveCount(0)
  const doneIn = (await kept(request, made)).events.filter(event => event.kind === 'done')
  expect(new Set(doneIn.map(event => JSON.stringify(event.payload))).size).toBe(doneIn.length)
  expect(doneIn.at(-1)).toMatchObject({ payload: { step: expect.stringMatching(/^sand\./) } })
})
