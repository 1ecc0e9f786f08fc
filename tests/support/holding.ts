import type { Page, Route } from '@playwright/test'

/** Holds what a page asks under an address until it is let go; then it goes on, or what `then` does with it. */
export async function holding(
  page: Page, address: Parameters<Page['route']>[0], then = (route: Route) => route.continue(),
): Promise<() => void> {
  let letGo = () => {}
  const held = new Promise<void>((done) => {
    letGo = done
  })
  await page.route(address, async (route) => {
    await held
    await then(route)
  })
  return letGo
}
