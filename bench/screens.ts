import type { Page } from '@playwright/test'
import { withDemoBrowser } from '../scripts/lib/demo-browser'
import { show } from './measure'

const ROUNDS = 40
const ABSENCES = 12
/** Two presses closer than this count as one finger that bounced, ms. */
const PACE = 650

/**
 * Two screens on one pen: how long it takes until what one enters stands on the other, and until both agree again after one of them
 * lost the network while the other went on. Times are of the machine’s one clock, taken inside the pages.
 */
export async function screensBench(): Promise<void> {
  await withDemoBrowser(async ({ browser, baseURL, at }) => {
    const contexts = [
      await browser.newContext({ baseURL, serviceWorkers: 'block' }),
      await browser.newContext({ baseURL, serviceWorkers: 'block' }),
    ] as const
    const [here, there] = (await Promise.all(
      contexts.map(async (context) => {
        const page = await context.newPage()
        await page.addInitScript('globalThis.__name = one => one')
        await page.goto(at('C1', '/work'))
        await page.locator('.title').waitFor()
        await watch(page)
        return page
      }),
    )) as [Page, Page]

    const across: number[] = []
    for (let round = 0; round < ROUNDS; round++) {
      const pressed = await press(here, round % 2 ? 'z' : 'x')
      across.push((await agree(here, there)) - pressed)
      await here.waitForTimeout(PACE)
    }
    show('two screens: entered on one until drawn on the other', across)

    const back: number[] = []
    for (let round = 0; round < ABSENCES; round++) {
      await contexts[1].setOffline(true)
      await press(here, round % 2 ? 'z' : 'x')
      await here.waitForTimeout(PACE)
      await contexts[1].setOffline(false)
      back.push((await agree(here, there)) - (await there.evaluate(() => (globalThis as Watched).back)))
    }
    show('two screens: network back until both agree', back)
  })
}

/** What a page keeps of itself: what stands there as the next thing to do and since when, and when its network came back; ms. */
type Watched = typeof globalThis & { drawn: { text: string, at: number }, back: number }

const watch = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const self = globalThis as Watched
    const look = () => {
      const text = document.querySelector('.title')?.textContent ?? ''
      if (text !== self.drawn?.text) self.drawn = { text, at: Date.now() }
    }
    look()
    new MutationObserver(look).observe(document.body, { subtree: true, childList: true, characterData: true })
    window.addEventListener('online', () => (self.back = Date.now()))
  })

/** Presses a key, and answers when, once it is drawn there. */
const press = (page: Page, key: string): Promise<number> =>
  page.evaluate(async (key) => {
    const self = globalThis as Watched
    const before = self.drawn.text
    const at = Date.now()
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
    while (self.drawn.text === before) await new Promise(resolve => setTimeout(resolve, 5))
    return at
  }, key)

/** Waits until the second shows what the first shows, and answers since when. */
async function agree(first: Page, second: Page): Promise<number> {
  const { text } = await first.evaluate(() => (globalThis as Watched).drawn)
  const seen = await second.waitForFunction(text => (globalThis as Watched).drawn.text === text && (globalThis as Watched).drawn.at, text)
  return (await seen.jsonValue()) as number
}
