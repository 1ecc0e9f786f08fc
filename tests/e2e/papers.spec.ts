import { expect, test } from '../stand'

test('letters that no paper has are told before anything is printed, of names and while words are typed', async ({ page, pen }) => {
  const made = await pen({ name: 'Quince 木' })
  await page.goto(`/pens/${made.id}/papers`)
  await expect(page.getByText('Papers have no letters for 木.')).toBeVisible()
  await page.getByLabel('Your own words').fill('From our tree 🌳, for Łucja')
  await expect(page.getByText('Papers have no letters for 木 🌳.')).toBeVisible()
  const plain = await pen({ name: 'Κυδωνιά' })
  await page.goto(`/pens/${plain.id}/papers`)
  await expect(page.getByLabel('Your own words')).toHaveValue('From our tree 🌳, for Łucja')
  await page.getByLabel('Your own words').fill('For Łucja')
  await expect(page.getByText('Papers have no letters')).toHaveCount(0)
})
