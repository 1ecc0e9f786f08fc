import type { Page } from '@playwright/test'
import type { OrderPage } from '../../contract'
import { expect, test } from '../stand'
import { faultsOf } from '../support/axe'

/** Names, roles and order are the same between the widths and in the dark: there it is looked for what width and colours change. */
const LOOKS = [
  { theme: 'light', size: { width: 1280, height: 800 }, rules: [] },
  { theme: 'light', size: { width: 390, height: 844 }, rules: [] },
  { theme: 'dark', size: { width: 1024, height: 768 }, rules: ['color-contrast', 'target-size'] },
] as const

// Slow pages that need nothing of one another: spread over the workers.
test.describe.configure({ mode: 'parallel' })

/** Every screen, by name: where it is, and what stands there when it is ready. */
async function screens(page: Page): Promise<[string, string, string][]> {
  const pens = (await (await page.request.get('/api/pens')).json()).pens as { pen: { id: string, mark: string } }[]
  const blanks = (await (await page.request.get('/api/blanks')).json()) as { id: string }[]
  const orders = (await (await page.request.get('/api/orders')).json()) as OrderPage
  const id = (mark: string) => pens.find(one => one.pen.mark === mark)!.pen.id
  return [
    ['bench', '/', 'h1'],
    ['evenings', '/evenings', '.chart'],
    ['evenings on paper', '/evenings/sheet', '.paper table'],
    ['pens', '/pens', '.rows'],
    ['findings', '/findings', 'section table'],
    ['what was learnt', '/findings/hands', 'section'],
    ['findings in pictures', '/findings/pictures', 'article table'],
    ['new pen', '/pens/new', '.fields'],
    ['shelf', '/shelf', '#ticks'],
    ['glues and finishes', '/shelf/finishes', '.bottles'],
    ['methods', '/methods', 'article'],
    ['a method', '/methods/sealer-lacquer-wax', '.layers'],
    ['compare', '/methods/compare?a=ca-thin-staged&b=friction-polish', 'table'],
    ['fittings', '/shelf/fittings', '.rows'],
    ['a fitting', '/shelf/fittings/twist-7', 'form fieldset'],
    ['a new fitting', '/shelf/fittings/new', 'form fieldset'],
    ['blanks', '/shelf/blanks', 'h2'],
    ['a new blank', '/shelf/blanks/new', '.fields'],
    ['a blank', `/shelf/blanks/${blanks[0]!.id}`, '.moisture'],
    ['cutting', '/shelf/cutting', '.laid'],
    ['story stick', '/shelf/stick/twist-7', '.paper'],
    ['devices', '/shelf/devices', '.stand'],
    ['backup', '/shelf/backup', 'pre'],
    ['people', '/people', 'section h2'],
    ['take a sheet in', '/shelf/sheet', 'textarea'],
    ['prices', '/shelf/prices', '.fields'],
    ['what to buy', '/shelf/buy', 'section li'],
    ['defects', '/pens/defects', '.rows'],
    ['gallery', '/pens/gallery', '.gallery li'],
    ['orders', '/pens/orders', '.order'],
    ['an order', `/pens/orders/${orders.orders[0]!.order.id}`, 'details'],
    ['a new order', '/pens/orders/new', 'details'],
    ['customers', '/pens/customers', '.one'],
    ['fair', '/pens/fair', '.pens .head'],
    ['together', `/together?pens=${id('B2')},${id('B3')},${id('C2')}`, '.tile'],
    ['together, none', '/together', 'h1'],
    ['papers', `/pens/${id('B4')}/papers`, 'section h3'],
    ['card', `/pens/${id('B4')}/card`, 'table'],
    ['plan, half way', `/pens/${id('C2')}`, '.surface svg'],
    ['plan, not begun', `/pens/${id('B4')}`, '.surface svg'],
    ['what if', `/pens/${id('B4')}/what-if?with=hurry`, 'tbody td'],
    ['work, coats', `/pens/${id('C2')}/work`, '.title'],
    ['work, first step', `/pens/${id('B4')}/work`, '.title'],
    ['record, finished', `/pens/${id('A1')}/record`, 'table'],
    ['record, empty', `/pens/${id('B2')}/record`, '.empty'],
    ['no such pen', '/pens/00000000-0000-4000-8000-000000000000', '.trouble'],
    ['no such page', '/nowhere', 'h1'],
  ]
}

/**
 * Waits until nothing moves or fades any more: what is half pale while it does is no fault. A colour that is handed down fades one part
 * after the other, so it is looked at again after each.
 */
async function still() {
  for (;;) {
    await new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))
    const ends = document.getAnimations().filter(one => Number.isFinite(one.effect?.getComputedTiming().endTime))
    if (!ends.length) return
    await Promise.all(ends.map(one => one.finished.catch(() => undefined)))
  }
}

const lookOf = (turn: number) => LOOKS[turn % LOOKS.length]!

async function turnTo(page: Page, turn: number) {
  const { theme, size } = lookOf(turn)
  await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' })
  await page.setViewportSize(size)
}

/** A page is opened once, by turns at another size, and looked at in all of them: opening is what takes its time. */
async function lookAt(page: Page, name: string, first: number) {
  for (let turn = 0; turn < LOOKS.length; turn++) {
    const { theme, size, rules } = lookOf(first + turn)
    await turnTo(page, first + turn)
    await page.waitForFunction(isDark => document.documentElement.classList.contains('dark') === isDark, theme === 'dark')
    await page.evaluate(still)
    const which = `${name}, ${theme}, ${size.width}x${size.height}`
    await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
      `${which} scrolls sideways`).toBeLessThanOrEqual(0)
    expect(await faultsOf(page, rules), which).toEqual([])
  }
}

const PARTS = 4
for (let part = 0; part < PARTS; part++) {
  test(`axe finds nothing, nothing scrolls sideways, no request leaves the machine, none is refused by the policy: ${part + 1} of ${PARTS}`,
    async ({ page, stand }) => {
      test.setTimeout(240_000)
      await page.addInitScript(() => ['oxlip-theme', 'oxlip-theme-work'].forEach(key => localStorage.setItem(key, 'system')))
      const [faults, asked] = [[] as string[], [] as string[]]
      page.on('request', request => asked.push(request.url()))
      page.on('pageerror', error => faults.push(error.message))
      // A missing pen and a missing page are asked for on purpose.
      page.on('console', message => message.type() === 'error' && !/404|Page not found/.test(message.text()) && faults.push(message.text()))
      for (const [index, [name, path, ready]] of (await screens(page)).entries()) {
        if (index % PARTS !== part) continue
        const first = Math.floor(index / PARTS)
        // What is turned to before takes no drawing anew of what is there.
        await turnTo(page, first)
        await page.goto(path)
        await page.locator(ready).first().waitFor()
        await lookAt(page, name, first)
        // Everything is there: nothing of what is not connected stands on any of them.
        await expect(page.getByText('not connected'), name).toHaveCount(0)
      }
      expect(faults).toEqual([])
      expect(asked.filter(url => !url.startsWith(`${stand.address}/`) && !url.startsWith('data:') && !url.startsWith('blob:'))).toEqual([])
      expect(asked.filter(url => /woff2/.test(url)).length).toBeGreaterThan(0)
    })
}

test('the opened parts too: a number, the settings, the defect form', async ({ page, pen }) => {
  test.setTimeout(120_000)
  // What fades in is half pale while it does: colours are looked at when it stands.
  await page.emulateMedia({ reducedMotion: 'reduce' })
  const made = await pen()
  const clean = async (part: string) => expect(await faultsOf(page), part).toEqual([])
  await page.goto(`/pens/${made.id}`)
  await page
    .getByRole('button', { name: /what went into it/ })
    .first()
    .click()
  await page.getByText('metal + 2 × sanding').waitFor()
  await clean('an opened number')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Shape and size' }).click()
  await page.getByLabel('Tip end, turn to').waitFor()
  await clean('shape and size')
  await page.getByRole('button', { name: 'Sanding ladder' }).click()
  await page.getByRole('list', { name: 'Grits in their order' }).waitFor()
  await clean('the sanding ladder')
  await page.getByRole('button', { name: 'Finish', exact: true }).click()
  await page.getByRole('slider', { name: /How deep/ }).waitFor()
  await clean('the finish')
  await page.getByTitle('Air, units, theme and workshops').click()
  await page.getByLabel('Humidity, %').waitFor()
  await clean('the settings')
  await page.goto('/shelf/finishes')
  await page.getByText('Thin CA').first().click()
  await page.getByLabel('Opened on').and(page.locator(':visible')).waitFor()
  await clean('a bottle')
  await page.goto(`/pens/${made.id}/work`)
  await page.locator('.title').waitFor()
  await page.keyboard.press('w')
  await page.getByLabel('Size').waitFor()
  await clean('the defect form')
  await page.getByText('Void, pit').click()
  await page.getByLabel('From its tip end').fill('20 mm')
  await page.getByRole('button', { name: 'Note it' }).click()
  await page.getByRole('heading', { name: 'Void, pit' }).waitFor()
  await page.getByRole('list', { name: /Causes/ }).waitFor()
  await clean('why and what now')
  await page.getByRole('button', { name: 'Leave it' }).click()
  await page.keyboard.press('?')
  await page.getByText('Put it back').waitFor()
  await clean('the keys')
  await page.keyboard.press('Escape')
  await page.getByRole('dialog').waitFor({ state: 'detached' })
  await page.locator('.title').click()
  await page.keyboard.press('m')
  await page.getByRole('button', { name: /tip end/ }).click()
  await page.getByLabel('The calliper says').waitFor()
  await clean('measuring')
  const pens = (await (await page.request.get('/api/pens')).json()).pens as { pen: { id: string, mark: string } }[]
  const coated = `/pens/${pens.find(one => one.pen.mark === 'C2')!.pen.id}`
  await page.goto(`${coated}/work`)
  await page.locator('.title').waitFor()
  await page.keyboard.press('e')
  await page.getByRole('group', { name: 'Levelled again with' }).waitFor()
  await clean('what else was done')
  await page.goto(`${coated}/record`)
  await page.getByText('Put something right: a time, a pen, something forgotten').click()
  await page.getByRole('button', { name: 'Another pen' }).first().click()
  await page.getByLabel('It was done on').waitFor()
  await clean('putting an entry right')
  await page.goto('/pens/new?count=3')
  await page.getByLabel('Witness mark of pen 3').waitFor()
  await clean('several pens')
})
