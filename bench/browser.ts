import { withDemoBrowser } from '../scripts/lib/demo-browser'
import { show } from './measure'

/** In the real browser: what an edit of a plan costs until the page is drawn anew, and a layout of a hundred sticks in its worker. */
export async function browserBench(): Promise<void> {
  await withDemoBrowser(async ({ browser, baseURL, at }) => {
    const page = await browser.newPage({ baseURL, viewport: { width: 1280, height: 800 } })
    // The loader of this script names inner functions by a helper that a page does not have.
    await page.addInitScript('globalThis.__name = one => one')
    await page.goto(at('C1'))
    await page.getByRole('button', { name: 'Shape and size' }).click()
    await page.getByRole('slider', { name: /How full the lower barrel/ }).waitFor()
    const edits = await page.evaluate(async () => {
      const slider = document.querySelector<HTMLInputElement>('.size input[type=range]')
      const handle = document.querySelector<HTMLElement>('[role=slider].handle')
      if (!slider || !handle) throw new Error('The panel has no slider or no handle.')
      const frame = () => new Promise(resolve => requestAnimationFrame(resolve))
      const tick = () =>
        new Promise<void>((resolve) => {
          const { port1, port2 } = new MessageChannel()
          port1.onmessage = () => resolve()
          port2.postMessage(null)
        })
      const run = async (edit: (round: number) => void) => {
        const taken: number[] = []
        for (let round = 0; round < 120; round++) {
          await frame()
          await tick()
          const start = performance.now()
          edit(round)
          // Vue draws in a microtask after the event; asking for a size makes the browser lay out what changed.
          await Promise.resolve().then(() => undefined)
          await tick()
          document.body.getBoundingClientRect()
          taken.push(performance.now() - start)
        }
        return taken.slice(20)
      }
      return {
        slider: await run((round) => {
          slider.value = String((round % 40) / 10)
          slider.dispatchEvent(new Event('input', { bubbles: true }))
        }),
        end: await run(round =>
          handle.dispatchEvent(new KeyboardEvent('keydown', { key: round % 2 ? 'ArrowUp' : 'ArrowDown', bubbles: true, cancelable: true })),
        ),
      }
    })
    show('browser: shape changed until laid out anew', edits.slider)
    show('browser: an end turned until laid out anew', edits.end)

    await page.goto('/shelf/cutting')
    await page.getByLabel('Each pen only from its own wood').uncheck()
    await page.getByLabel('And sticks of').fill('300')
    await page.getByRole('spinbutton', { name: 'How many' }).fill('200')
    await page.getByLabel('And of this fitting').click()
    await page.getByRole('option').first().click()
    const count = page.getByRole('spinbutton', { name: 'so many' })
    const taken: number[] = []
    for (let round = 0; round < 12; round++) {
      await count.fill(String(92 + (round % 2)))
      const started = Date.now()
      await count.press('Tab')
      await page.waitForFunction(() => document.querySelector('[aria-labelledby=layout]')?.getAttribute('aria-busy') === 'false')
      taken.push(Date.now() - started)
    }
    show('browser: 100 sticks laid out in the worker, drawn', taken)
  })
}
