import { expect, test } from '../stand'

test('a shelf without thin CA is told in the plan, with the way to mend it', async ({ page, pen, request }) => {
  const put = (there: boolean) => request.put('/api/shelf', { data: { item: 'thin-ca', there } })
  await put(false)
  const made = await pen({ name: 'Nothing to coat with' })
  await page.goto(`/pens/${made.id}`)
  await expect(page.getByText('No thin CA on the shelf: its coats are left out.')).toBeVisible()
  await page.getByRole('link', { name: 'Look at the shelf' }).click()
  await page.getByRole('checkbox', { name: 'Thin CA' }).check()
  await page.goBack()
  await expect(page.getByText(/A new plan would be .*\d coats, not 1/)).toBeVisible()
  await page.getByRole('button', { name: 'Plan again' }).click()
  await expect(page.getByText(/No thin CA on the shelf/)).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'Steps' })).toContainText('Thin CA, coat 1')
  await put(true)
})
