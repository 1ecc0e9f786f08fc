import { expect, test } from '../stand'

// Without the service worker, which would have every part: as on the very first visit, before it has them.
test('a part that cannot be fetched: the page stays and says so, and goes on with the network', async ({ page, context }) => {
  const notThere = page.getByText('This part of Oxlip is not on this device yet', { exact: true })
  await page.goto('/pens')
  const search = page.getByRole('searchbox')
  await search.fill('apple')
  // What shows the notice is there before the network goes.
  await expect(page.getByRole('region', { name: /Notifications/ })).toBeAttached()
  await context.setOffline(true)
  await page.getByRole('link', { name: 'Shelf', exact: true }).click()
  await expect(notThere).toBeVisible()
  await expect(search).toHaveValue('apple')
  await context.setOffline(false)
  await page.getByRole('link', { name: 'Shelf', exact: true }).click()
  await expect(page).toHaveURL(/\/shelf/)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Shelf')
})

test('a part of the program that is gone, since a newer one came: the page that was gone to opens anew', async ({ page }) => {
  await page.goto('/pens')
  await expect(page.getByRole('searchbox')).toBeVisible()
  // What is fetched once the page is at rest is there: that it were gone would be noticed before anybody goes anywhere.
  await expect(page.getByRole('region', { name: /Notifications/ })).toBeAttached()
  let loads = 0
  page.on('request', (request) => {
    if (request.isNavigationRequest()) loads += 1
  })
  await page.route('**/_nuxt/*.js', route => (loads ? route.continue() : route.fulfill({ status: 404 })))
  await page.getByRole('link', { name: 'Shelf', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Shelf')
  await expect(page).toHaveURL(/\/shelf/)
  expect(loads).toBe(1)
})
