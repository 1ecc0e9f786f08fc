import { expect, test } from '../stand'

test('a pen is begun, worked, mended and taken back with the keyboard alone', async ({ page, pen }) => {
  const made = await pen({ name: 'Keys only' })
  await page.goto(`/pens/${made.id}`)
  const title = page.locator('.title')
  await expect(page.getByRole('heading', { name: 'Keys only' })).toBeVisible()

  // The first Tab leads past the navigation; the drawing is walked with the arrow keys, and the list follows.
  await page.keyboard.press('Tab')
  await expect(page.getByRole('link', { name: 'To the content' })).toBeFocused()
  await page.keyboard.press('Enter')
  await page.getByRole('application', { name: /What happens at the surface/ }).focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('button', { name: /P220|P320/, expanded: true })).toBeVisible()

  await page.getByRole('link', { name: 'Begin at the bench' }).focus()
  await page.keyboard.press('Enter')
  await expect(title).toHaveText('Cut')
  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await expect(async () => {
    await page.keyboard.press('Space')
    await expect(title).toHaveText(/^Drill/, { timeout: 650 })
  }).toPass()
  await page.keyboard.press('z')
  await expect(title).toHaveText('Cut')
  await page.keyboard.press('y')
  await expect(title).toHaveText(/^Drill/)
  await page.keyboard.press('x')
  await expect(title).toHaveText('Glue the tube')

  // Something is wrong: the form takes the focus, Escape leaves it, and letters typed into it are no keys of the bench.
  await page.keyboard.press('w')
  await expect(page.getByRole('heading', { name: 'What is wrong, and where?' })).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(title).toHaveText('Glue the tube')
  await page.keyboard.press('w')
  await page.getByLabel('From its tip end').focus()
  await page.keyboard.type('20 mm z x')
  await expect(page.getByLabel('From its tip end')).toHaveValue('20 mm z x')
  await page.getByLabel('From its tip end').fill('20')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Chip, tear-out, 0\.5 mm, barrel, 20\.0 mm from its tip end/)).toBeVisible()
  await page.getByRole('button', { name: 'Left as it is' }).press('Enter')
  await expect(page.getByText(/from its tip end/)).toHaveCount(0)

  await page.getByRole('link', { name: 'Record' }).press('Enter')
  await expect(page.getByRole('row', { name: /Drill/ })).toContainText('left out')
  await expect(page.getByRole('region', { name: 'Defects' })).toContainText('left as it is')
})

test('a held or bouncing key puts one coat on, not five', async ({ page, pen }) => {
  const made = await pen({ name: 'Gluey finger' })
  await page.goto(`/pens/${made.id}/work`)
  await expect(page.locator('.title')).toHaveText('Cut')
  await page.keyboard.down('Space')
  for (let times = 0; times < 5; times++) await page.keyboard.down('Space')
  await page.keyboard.up('Space')
  await page.keyboard.press('Space')
  await expect(page.getByRole('button', { name: /^Cut/ })).toBeVisible()
  await expect.poll(async () => {
    const { events } = await (await page.request.get(`/api/pens/${made.id}`)).json() as { events: { kind: string }[] }
    return events.map(event => event.kind)
  }).toEqual(['begin'])
  await expect(page.locator('.title')).toHaveText('Cut')
})

test('the work screen is dark by itself, the others follow the device; both can be chosen', async ({ page, pen }) => {
  const made = await pen({ name: 'Dim shop' })
  const dark = () => page.evaluate(() => document.documentElement.classList.contains('dark'))
  await page.emulateMedia({ colorScheme: 'light' })
  await page.goto(`/pens/${made.id}`)
  await expect(page.getByRole('heading', { name: 'Dim shop' })).toBeVisible()
  expect(await dark()).toBe(false)
  await page.getByRole('link', { name: 'Work' }).click()
  await expect.poll(dark).toBe(true)
  await page.getByRole('button', { name: 'Light' }).click()
  await expect.poll(dark).toBe(false)
  await page.reload()
  await expect(page.locator('.title')).toBeVisible()
  expect(await dark()).toBe(false)
})

test('a pen is looked up by its mark, and what is not found says what to do', async ({ page, pen }) => {
  const made = await pen({ name: 'Lost and found' })
  await page.goto('/pens')
  await page.getByRole('searchbox', { name: 'Look a pen up' }).fill(made.mark)
  await expect(page.locator('.rows li')).toHaveCount(1)
  await expect(page.getByRole('link', { name: /Lost and found/ })).toBeVisible()
  await page.getByRole('searchbox', { name: 'Look a pen up' }).fill('no such pen')
  await expect(page.getByText('No pen says “no such pen”')).toBeVisible()
  await page.getByRole('button', { name: 'Show all pens' }).click()
  expect(await page.locator('.rows li').count()).toBeGreaterThan(10)
})

test('when the server is away a page says so, and comes back with one key', async ({ page }) => {
  await page.route('**/api/**', route => route.abort())
  await page.goto('/')
  await expect(page.getByRole('alert')).toContainText('does not answer')
  await page.unroute('**/api/**')
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('heading', { name: /on the bench/ })).toBeVisible()
})
