import { mkdirSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { season } from '../tests/support/season'
import { withDemoBrowser } from './lib/demo-browser'
import { main, say } from './lib/say'

const FOLDER = 'docs/screenshots'
const WIDE = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }

/** One picture: where, under which name, how large, and what to do first. */
interface Shot {
  name: string
  path: string
  size?: typeof WIDE
  ready: string
  first?: (page: Page) => Promise<void>
}

/** Makes the pictures of the main views from the demo data, in a workshop of their own. */
await main(() =>
  withDemoBrowser(async ({ browser, baseURL, at }) => {
    const shots: Shot[] = [
      { name: 'bench', path: '/', ready: '.rows' },
      { name: 'pens', path: '/pens', ready: '.rows li' },
      { name: 'new-pen', path: '/pens/new', ready: '.fields', first: chooseOak },
      { name: 'pen-plan', path: at('C2'), ready: '.surface svg' },
      { name: 'pen-finish', path: at('D1'), ready: '.surface svg', first: openFinish },
      {
        name: 'pen-size',
        path: at('B4'),
        ready: '.surface svg',
        first: async page => page.getByRole('button', { name: 'Shape and size' }).click(),
      },
      {
        name: 'pen-ladder',
        path: at('C3'),
        ready: '.surface svg',
        first: async page => page.getByRole('button', { name: 'Sanding ladder' }).click(),
      },
      { name: 'pen-coats', path: at('C2', '/work'), ready: '.title' },
      { name: 'pen-what-if', path: `${at('D1', '/what-if')}?with=depth.80,hurry`, ready: 'tbody td', first: playedThrough },
      { name: 'pen-defect', path: at('C2', '/work'), ready: '.title', first: somethingWrong },
      { name: 'pen-record', path: at('A1', '/record'), ready: 'table' },
      { name: 'methods', path: '/methods', ready: 'article' },
      { name: 'evenings', path: '/evenings', ready: '.chart', first: rested },
      { name: 'together', path: '/', ready: '.rows', first: togetherFirst },
      { name: 'blanks', path: '/shelf/blanks', ready: 'h2' },
      { name: 'orders', path: '/pens/orders', ready: '.order' },
      { name: 'buy', path: '/shelf/buy', ready: 'section li' },
      { name: 'phone-work', path: at('C2', '/work'), ready: '.title', size: PHONE },
      // The last of them, since it makes two winters of pens.
      { name: 'findings', path: '/findings?of=chip&by=tool', ready: '.asking section tbody button', first: twoWinters },
    ]
    mkdirSync(FOLDER, { recursive: true })
    for (const { name, path, size = WIDE, ready, first } of shots) {
      const page = await browser.newPage({
        baseURL,
        viewport: size,
        colorScheme: 'light',
        timezoneId: 'Europe/London',
        locale: 'en-GB',
        reducedMotion: 'reduce',
      })
      await page.goto(path)
      await page.locator(ready).first().waitFor()
      // The air stands on every page, once the workshop has come.
      await page.getByText(/\d °C · \d+ %/).first().waitFor()
      await first?.(page)
      await page.evaluate(() => document.fonts.ready.then(() => undefined))
      await page.screenshot({ path: `${FOLDER}/${name}.png` })
      await page.close()
      say(`${FOLDER}/${name}.png`)
    }
  }),
)

/** What can be wrong, once it can be chosen. */
async function somethingWrong(page: Page) {
  await page.keyboard.press('w')
  await page.getByText('Chip, tear-out').waitFor()
}

/** The finish panel, once its choices are worked out. */
async function openFinish(page: Page) {
  await page.getByRole('button', { name: 'Finish', exact: true }).click()
  await page.locator('.choices button').first().waitFor()
  await page.locator('.finish').scrollIntoViewIfNeeded()
}

async function playedThrough(page: Page): Promise<void> {
  await page.getByText('10000 so far.').waitFor()
  await page.getByText(/of what is unknown/).first().waitFor()
}

/** Pens of two tools and four woods, of which the one chips and another takes its time. */
async function twoWinters(page: Page): Promise<void> {
  const woods = ['apple', 'pear', 'damson', 'medlar']
  await season(page.request, {
    pens: 72, letter: 'W', made: index => ({ tool: index % 5 < 2 ? 'gouge' : 'skew', material: woods[index % 4] ?? 'apple' }),
    rate: ({ tool, material }) =>
      ({ 'chip': tool === 'gouge' ? 0.5 : 0.1, 'white dots': 0.15, 'bleed': material === 'damson' ? 0.5 : 0.04 }),
    pace: ({ material }) => (material === 'damson' ? 1.4 : 1),
  })
  await page.reload()
  await page.locator('.asking section tbody button').first().waitFor()
  await page.getByText(/\d °C · \d+ %/).first().waitFor()
}

async function chooseOak(page: Page): Promise<void> {
  await page.getByLabel('Name').fill('Oak from the cider press')
  for (const [field, choice] of [
    ['Fitting', '9.5 mm one-barrel cap'],
    ['Material', 'White oak'],
  ] as const) {
    await page.getByLabel(field).click()
    await page.getByRole('option', { name: choice }).click()
  }
  await page.getByRole('listbox').waitFor({ state: 'detached' })
}

/** What is offered first to be done together, with one pen that is not in it. */
async function togetherFirst(page: Page): Promise<void> {
  await page.getByRole('navigation', { name: 'Together' }).getByRole('link').first().click()
  await page.locator('.tile').nth(2).click()
  await page.getByRole('button', { name: 'Not this time' }).click()
}

/** The plan of the evenings is no longer bettered. */
async function rested(page: Page) {
  await page.getByRole('status').filter({ hasText: /No order|Another order/ }).waitFor()
}
