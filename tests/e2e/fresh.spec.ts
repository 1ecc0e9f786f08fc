import { expect, test } from '../stand'

test('a list as it was kept in this browser is told as not fresh, and comes fresh by itself', async ({ page, context, pen }) => {
  await pen({ name: 'Slow one' })
  // As the service worker answers for a server that is slow: tests/browser/service-worker.test.ts.
  let old = true
  await context.route('**/api/pens?*', async (route) => {
    if (!old) return route.continue()
    const answer = await route.fetch()
    await route.fulfill({ response: answer, headers: { ...answer.headers(), 'x-oxlip-kept': '1' } })
  })
  await page.goto('/pens')
  await expect(page.getByText('Slow one')).toBeVisible()
  await expect(page.getByText('not fresh')).toBeVisible()
  old = false
  await expect(page.getByText('not fresh')).toHaveCount(0)
  await expect(page.getByText('Slow one')).toBeVisible()
})
