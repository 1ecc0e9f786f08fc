import type { Page } from '@playwright/test'
import { expect, test } from '../stand'
import { kept, press, sent, space, title, workTo } from '../support/bench'

// Number keys reach the first nine pens only.
test.use({ only: 'evening' })

/** Presses the number key of a pen, as it stands in the row. */
async function goTo(page: Page, mark: string) {
  const number = await page
    .getByRole('navigation', { name: 'Pens on the bench' })
    .getByRole('link', { name: new RegExp(`^${mark} `) })
    .locator('kbd')
    .textContent()
  await page.keyboard.press(number!)
  await expect(
    page.getByRole('link', { name: new RegExp(`^${mark} `), exact: false }).and(page.locator('[aria-current=page]')),
  ).toBeVisible()
}
/**
 * Keys at the pace of an instrument: all in one go inside the page, since between the test and the page a busy machine takes as long
 * over a key as a finger does.
 */
const typeFast = (page: Page, keys: string[]) =>
  page.evaluate(
    keys => keys.forEach(key => document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))),
    keys,
  )
/** Takes what comes next, read and pressed at once since it may change in between, as soon as it is none of these; gives its mark. */
async function takeNext(page: Page, none: string[]): Promise<string> {
  const taken = await page.waitForFunction((none) => {
    const mark = /Next (\w+):/.exec(document.querySelector('nav .why')?.textContent ?? '')?.[1]
    if (!mark || none.includes(mark)) return undefined
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: '0', bubbles: true, cancelable: true }))
    return mark
  }, none)
  return (await taken.jsonValue())!
}
const doneSteps = (events: { kind: string, payload: object }[]) =>
  events.filter(event => event.kind === 'done').map(event => (event.payload as { step: string }).step)

test('three pens side by side with the keyboard: their waits on one line, which comes next and why, and each one’s own time', async ({
  page,
  pen,
  request,
}) => {
  const made = await Promise.all(['One', 'Two', 'Three'].map(name => pen({ name: `Parallel ${name}` })))
  for (const one of made) await workTo(request, one, step => step.id === 'coat.1')
  await page.goto(`/pens/${made[0]!.id}/work`)
  await expect(title(page)).toHaveText('Thin CA, coat 1')
  for (const one of made) {
    await goTo(page, one.mark)
    await expect(title(page)).toHaveText('Thin CA, coat 1')
    await space(page, 'Thin CA, coat 2')
  }
  const line = page.getByRole('group', { name: 'Waits on the clock' })
  for (const one of made) await expect(line.getByText(one.mark, { exact: true })).toBeVisible()
  // All three wait, so the one that comes next is another, that is free; it is told why, and 0 goes there.
  const bench = page.getByRole('navigation', { name: 'Pens on the bench' })
  await expect(bench.locator('.why')).toContainText(/Next \w+: .+, (.+ of work|ready in|as good as any)/)
  const mark = await takeNext(page, made.map(one => one.mark))
  await expect(page.locator('[aria-current=page]').filter({ hasText: mark })).toBeVisible()
  await expect(bench.getByRole('link', { name: new RegExp(`^${mark} .*, free`) })).toBeVisible()
  await goTo(page, made[0]!.mark)
  await page.keyboard.press('c')
  await expect(title(page)).toHaveText(/coat 3|Level/)
  await expect(page.getByText(/too early/)).toBeVisible()
  await page.keyboard.press('z')
  await expect(title(page)).toHaveText('Thin CA, coat 2')
  await sent(page)
  for (const one of made) expect(doneSteps((await kept(request, one)).events)).toContain('coat.1')
  // The record counts for each pen only the time that hands were on it, and the time can be put right.
  await page.goto(`/pens/${made[2]!.id}/record`)
  const row = page.getByRole('row', { name: /Thin CA, coat 1/ })
  await row.getByRole('button').first().click()
  await row.getByRole('textbox').fill('40 s')
  await row.getByRole('button', { name: 'Keep' }).click()
  await expect(row).toContainText('40 s')
  await expect(row).toContainText('yours')
})

test('the network is cut for several entries, the tab is closed, and everything is there once', async ({ page, context, pen, request }) => {
  const made = await pen({ name: 'Cut off' })
  const first = await workTo(request, made, step => step.kind === 'coat')
  // It is cut at the worst time: the pen stands, and the shelf has not come yet.
  await page.route('**/api/shelf?*', () => undefined)
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText('Thin CA, coat 1')
  await context.setOffline(true)
  await page.unrouteAll({ behavior: 'ignoreErrors' })
  await space(page, 'Thin CA, coat 2')
  await space(page, 'Thin CA, coat 3')
  await press(page, /^Coat on/, /coat 4|Level|Medium/)
  await expect(page.getByText('3 not sent yet')).toBeVisible()
  expect(doneSteps((await kept(request, made)).events)).not.toContain(first.id)
  await page.close()

  await context.setOffline(false)
  const again = await context.newPage()
  await again.goto(`/pens/${made.id}/work`)
  await expect(title(again)).toHaveText(/coat 4|Level|Medium/)
  await expect(again.getByText(/not sent yet/)).toHaveCount(0)
  await expect
    .poll(async () => doneSteps((await kept(request, made)).events).filter(step => step.startsWith('coat.')))
    .toEqual(['coat.1', 'coat.2', 'coat.3'])
})

test('the same pen on two screens: both press at once and one coat is on; apart and back, they agree', async ({
  page,
  browser,
  baseURL,
  pen,
  request,
}) => {
  const made = await pen({ name: 'Two screens' })
  await workTo(request, made, step => step.kind === 'coat')
  const tablet = await browser.newContext({ baseURL, serviceWorkers: 'block', timezoneId: 'Europe/London' })
  const other = await tablet.newPage()
  for (const one of [page, other]) {
    await one.goto(`/pens/${made.id}/work`)
    await expect(title(one)).toHaveText('Thin CA, coat 1')
    await expect(one.getByText('not connected')).toHaveCount(0)
  }
  await Promise.all([page.keyboard.press('Space'), other.keyboard.press('Space')])
  for (const one of [page, other]) await expect(title(one)).toHaveText('Thin CA, coat 2')
  for (const one of [page, other]) await sent(one)
  const pressed = (await kept(request, made)).events.filter(event => event.kind === 'done').map(event => event.payload.step)
  expect(pressed).toContain('coat.1')
  expect(pressed).not.toContain('coat.2')

  // What one enters the other shows; how soon is asked in a benchmark (bench/screens.ts).
  await space(page, 'Thin CA, coat 3')
  await expect(title(other)).toHaveText('Thin CA, coat 3')

  // The tablet loses the network; both go on; back, both show the same.
  await tablet.setOffline(true)
  await space(other, /coat 4|Level|Medium/)
  await page.keyboard.press('w')
  await page.getByText('White dots').click()
  await page.getByLabel('From its tip end').fill('20 mm')
  await page.getByRole('button', { name: 'Note it' }).click()
  await page.getByRole('heading', { name: 'White dots, haze' }).waitFor()
  await page.keyboard.press('Escape')
  await expect(other.getByText(/◆ White dots/)).toHaveCount(0)
  await tablet.setOffline(false)
  await expect(other.getByText(/not connected|not sent yet/)).toHaveCount(0)
  await expect(other.getByText(/◆ White dots/)).toBeVisible()
  await expect(title(page)).toHaveText((await title(other).textContent()) ?? '')
  await tablet.close()
})

test('a clock that is an hour wrong: its entries stand where they happened, and it is told', async ({
  page,
  browser,
  baseURL,
  pen,
  request,
}) => {
  const made = await pen({ name: 'Wrong clock' })
  await workTo(request, made, step => step.kind === 'coat')
  const fast = await browser.newContext({ baseURL, serviceWorkers: 'block', timezoneId: 'Europe/London' })
  const other = await fast.newPage()
  await other.clock.install({ time: Date.now() + 3_600_000 })
  await other.goto(`/pens/${made.id}/work`)
  await expect(other.getByText(/clock is 1 h ahead/)).toBeVisible()
  const before = Date.now()
  await space(other, 'Thin CA, coat 2')
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText('Thin CA, coat 2')
  await expect(page.getByRole('timer')).toHaveText(/^[01]:\d\d$/)
  const entry = (await kept(request, made)).events.find(event => event.kind === 'done' && event.payload.step === 'coat.1')!
  expect(Math.abs(Date.parse(entry.at) - (entry.ahead ?? 0) - before)).toBeLessThan(15_000)
  expect(entry.ahead! / 3_600_000).toBeCloseTo(1, 2)
  await fast.close()
})

test('the server is killed between two coats and started again: nothing is lost, nothing doubled', async ({
  page,
  stand,
  pen,
  request,
}) => {
  const made = await pen({ name: 'Power cut' })
  await workTo(request, made, step => step.kind === 'coat')
  await page.goto(`/pens/${made.id}/work`)
  await space(page, 'Thin CA, coat 2')
  await expect.poll(async () => doneSteps((await kept(request, made)).events)).toContain('coat.1')
  await stand.killServer()
  await space(page, 'Thin CA, coat 3')
  await expect(page.getByText('1 not sent yet')).toBeVisible()
  await stand.startServer()
  await expect(page.getByText(/not sent yet|not connected/)).toHaveCount(0)
  await expect
    .poll(async () => doneSteps((await kept(request, made)).events).filter(step => step.startsWith('coat.')))
    .toEqual(['coat.1', 'coat.2'])
})

test('a device that slept finds its connection dead, keeps what is pressed, and catches up', async ({ page, stand, pen, request }) => {
  const made = await pen({ name: 'Lid shut' })
  await workTo(request, made, step => step.kind === 'coat')
  await page.clock.install()
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText('Thin CA, coat 1')
  await expect(page.getByText('not connected')).toHaveCount(0)
  stand.freeze(true)
  try {
    await page.clock.fastForward('20:00')
    await expect(page.getByText('not connected')).toBeVisible()
    await space(page, 'Thin CA, coat 2')
    await expect(page.getByText('1 not sent yet')).toBeVisible()
  } finally {
    stand.freeze(false)
  }
  await expect(page.getByText(/not sent yet|not connected/)).toHaveCount(0)
  await workTo(request, made, step => step.id === 'coat.3', 0)
  await expect(title(page)).toHaveText('Thin CA, coat 3')
  // What was pressed while nothing answered is there once, beside what another device entered.
  const pressed = (await kept(request, made)).events.filter(event => event.kind === 'done' && event.device !== 'test')
  expect(doneSteps(pressed)).toEqual(['coat.1'])
})

test('instruments: a calliper’s reading lands where it is waited for, typed or sent; speed and pedal are heard; the air moves a '
  + 'wait', async ({
  page,
  context,
  pen,
  request,
}) => {
  const made = await pen({ name: 'Instruments' })
  await workTo(request, made, step => step.kind === 'turn')
  const devices = await context.newPage()
  await devices.goto('/shelf/devices')
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText('Turn to size')
  await page.locator('.title').click()
  await devices.getByLabel('Between its jaws').fill('11.9 mm')
  await devices.getByRole('button', { name: 'Send' }).click()
  await expect(devices.getByText(/Sent\. Calliper: 11\.\d\d mm/)).toBeVisible()
  await expect
    .poll(async () => (await kept(request, made)).events.filter(event => event.kind === 'measure').map(event => event.payload))
    .toMatchObject([{ fromTip: 0, step: 'turn' }])

  // A calliper that types: figures in quick succession and Enter are a reading, and no pen is changed by them.
  await typeFast(page, ['1', '2', '.', '3', '1', 'Enter'])
  await expect(page.getByText('12.31 mm')).toBeVisible()
  await expect(title(page)).toHaveText('Turn to size')

  await devices.getByRole('slider').fill('900')
  await devices.getByRole('button', { name: 'Start the lathe' }).click()
  await expect(page.getByText(/Too slow for turning: 3000 at the least/)).toBeVisible()
  await devices.getByRole('slider').fill('3500')
  await expect(page.getByText(/within 3000 to 4000/)).toBeVisible()
  await devices.getByRole('button', { name: 'Stop the lathe' }).click()

  await devices.getByRole('button', { name: 'Press' }).click()
  await expect(title(page)).toHaveText(/^P\d+/)

  // The evening drifts: what the instrument reads is the air of the workshop on every screen.
  const air = () => page.locator('.air').textContent()
  const before = await air()
  await devices.getByText('An hour in a minute').click()
  await devices.getByRole('button', { name: 'Switch on' }).click()
  await expect.poll(async () => (await (await request.get('/api/air')).json()).length).toBeGreaterThan(1)
  await expect.poll(air).not.toBe(before)
  // The air is put back for whatever is tested next in this workshop.
  await devices.close()
  await request.post('/api/air', { data: { celsius: 18.5, humidity: 62 } })
})
