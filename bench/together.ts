import { say } from '../scripts/lib/say'
import { withDemoBrowser } from '../scripts/lib/demo-browser'
import { askIn, presses, startPen, workshopOf } from './crowd'
import { show } from './measure'

const CROWDS = [10, 30]

/** One operation on many pens: from the key to the picture with all of their tiles, done and taken back. Wanted is under 100 ms with 30. */
export async function togetherBench(): Promise<void> {
  await withDemoBrowser(async ({ browser, baseURL }) => {
    const ask = askIn(baseURL, await workshopOf(baseURL))
    const pens: string[] = []
    for (const crowd of CROWDS) {
      while (pens.length < crowd) pens.push(await startPen(ask, pens.length * 6, 'drill'))
      const context = await browser.newContext({ baseURL, serviceWorkers: 'block' })
      const page = await context.newPage()
      await page.addInitScript('globalThis.__name = one => one')
      await page.goto(`/together?pens=${pens.join(',')}`)
      await page.locator('.title').waitFor()
      await page.waitForTimeout(3000)
      show(`${crowd} pens: the space key until the picture is drawn`, await presses(page, '.together'))
      await context.close()
    }
    say('Every second press takes all of them back.')
  })
}
