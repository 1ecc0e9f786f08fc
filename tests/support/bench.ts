import { expect, type Locator, type Page } from '@playwright/test'

/** The next thing to do, in the largest letters of the work screen. */
export const title = (page: Page): Locator => page.locator('.title')

/** Two presses closer than this count as one finger that bounced, ms: the pace of a test’s presses. */
const PACE = [620]

const isThere = async (page: Page, then: string | RegExp): Promise<boolean> => {
  const says = await title(page).textContent() ?? ''
  return typeof then === 'string' ? says === then : then.test(says)
}

/** Presses until the next thing to do stands there; what came a little late on a busy machine is not pressed past. */
async function until(page: Page, then: string | RegExp, press: () => Promise<void>, timeout: number): Promise<void> {
  await expect(async () => {
    if (await isThere(page, then)) return
    const before = await title(page).textContent() ?? ''
    await press()
    // The first press only begins, and a bounce changes nothing: then the title stays.
    await expect(title(page)).not.toHaveText(before, { timeout: 1500 }).catch(() => undefined)
    expect(await isThere(page, then)).toBe(true)
  }).toPass({ timeout, intervals: PACE })
}

/** Presses the space bar, or the foot pedal that sends it, until the next thing to do stands there. */
export const space = (page: Page, then: string | RegExp, timeout = 30_000): Promise<void> => until(page, then, () => page.keyboard.press('Space'), timeout)

/** Presses the yellow key by what it says until the next thing to do stands there. */
export const press = (page: Page, says: string | RegExp, then: string | RegExp): Promise<void> => until(page, then, () => page.getByRole('button', { name: says }).click({ timeout: 2000 }), 20_000)
