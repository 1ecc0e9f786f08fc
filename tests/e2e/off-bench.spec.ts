import { expect, test } from '../stand'
import { kept, sent, workTo } from '../support/bench'

test('a pen is set aside with its reason, is not on the bench, and comes back to where it was; one started by mistake is given up', async ({
  page, request, pen,
}) => {
  const [made, wrong] = [await pen({ name: 'Laid aside' }), await pen({ name: 'Never meant' })]
  await workTo(request, made, step => step.kind === 'turn', 5)
  const list = (address: string, name: string, count: number) => async () => {
    await page.goto(address)
    await page.locator('.rows, .none').first().waitFor()
    await expect(page.getByText(name)).toHaveCount(count)
  }
  await page.goto(`/pens/${made.id}`)
  await page.getByRole('button', { name: 'Off the bench' }).click()
  // What is begun was no mistake.
  await expect(page.getByRole('button', { name: 'Started by mistake' })).toHaveCount(0)
  await page.getByLabel('Why, if you like').fill('The bit is blunt')
  await page.getByRole('button', { name: 'Set it aside' }).click()
  await expect(page.getByText(/^Set aside, \d\d:\d\d: The bit is blunt$/)).toBeVisible()
  await sent(page)
  await list('/', 'Laid aside', 0)()
  await list('/pens?stage=set+aside', 'Laid aside', 1)()
  await page.goto(`/pens/${made.id}/work`)
  // Nothing is pressed on by mistake while it lies aside.
  await page.keyboard.press('Space')
  await page.getByRole('button', { name: 'Take it up again' }).click()
  await expect(page.locator('.title')).toHaveText(/^Turn/)
  await sent(page)
  expect((await kept(request, made)).events.slice(-2).map(one => one.kind)).toEqual(['away', 'away'])

  await page.goto(`/pens/${wrong.id}`)
  await page.getByRole('button', { name: 'Off the bench' }).click()
  await page.getByRole('button', { name: 'Started by mistake' }).click()
  await expect(page.getByText(/^Started by mistake, \d\d:\d\d$/)).toBeVisible()
  await sent(page)
  await list('/pens?stage=given+up', 'Never meant', 1)()
  await list('/pens?stage=planned', 'Never meant', 0)()
})
