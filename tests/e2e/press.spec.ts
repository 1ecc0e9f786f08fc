import { expect, test } from '../stand'
import { kept, sent, title, workTo } from '../support/bench'

test('the ends point by point; the mechanism from short to right, from right to too far; what was right is said for the next pen', async ({
  page,
  pen,
  request,
}) => {
  test.setTimeout(120_000)
  const [one, next] = [await pen({ name: 'In the press', fitting: 'twist-10' }), await pen({ name: 'After it', fitting: 'twist-10' })]
  await workTo(request, one, step => step.kind === 'ends', 60 * 30)
  await page.goto(`/pens/${one.id}/work`)
  await expect(title(page)).toHaveText('Clear the ends')
  // The yellow key answers one after the other, and is “done” once all are answered.
  const key = page.locator('.key.done')
  await expect(key).toContainText('Yes, 1 of 7')
  /** Two presses close together are one finger that bounced. */
  const press = (then: () => Promise<void>) =>
    expect(async () => {
      await key.click()
      await then()
    }).toPass({ intervals: [620] })
  for (let asked = 2; asked <= 7; asked++) await press(() => expect(key).toContainText(`Yes, ${asked} of 7`, { timeout: 500 }))
  const bushings = page.getByRole('group', { name: 'Bushings off, without force on the finished side?' })
  await expect(bushings.getByRole('button', { name: 'Yes' })).toHaveAttribute('aria-pressed', 'true')
  await press(() => expect(key).toContainText('Ends and bore clear', { timeout: 500 }))
  await press(() => expect(title(page)).toHaveText('Assemble', { timeout: 500 }))

  // In the fitting's order, and the mechanism a little at a time.
  const assembly = page.getByRole('region', { name: 'Assembly' })
  await expect(assembly.getByRole('img', { name: 'Tip: lower barrel, tip end' })).toBeVisible()
  await assembly.getByRole('listitem').filter({ hasText: /^Tip/ }).getByRole('button', { name: 'Pressed in' }).click()
  const tried = assembly.getByRole('group', { name: 'Try the twist mechanism' })
  await expect(tried).toContainText('Stop a little short of its ring')
  await tried.getByLabel('Before its ring').fill('2.5 mm')
  await tried.getByRole('button', { name: 'Too short' }).click()
  await expect(tried).toContainText('Press a little more, and try again.')
  await tried.getByLabel('Before its ring').fill('1.4 mm')
  await tried.getByLabel('Point stands out').fill('3 mm')
  await tried.getByLabel('Fully back?').selectOption('Yes')
  await tried.getByRole('button', { name: 'Right' }).click()
  await expect(assembly.getByRole('img', { name: /^Refill/ })).toBeVisible()
  // A refill of another kind, and a clip that had to be glued, are entries too, and stand in the record.
  await assembly.getByRole('button', { name: 'Refill otherwise' }).click()
  await assembly.getByLabel('Another kind').fill('gel, cut down')
  await assembly.getByRole('button', { name: 'That one is in' }).click()
  await expect(assembly.getByText('another kind: gel, cut down')).toBeVisible()
  await sent(page)
  const presses = (await kept(request, one)).events.filter(event => event.kind === 'press').map(event => event.payload)
  expect(presses).toMatchObject([
    { part: 'Tip', verdict: 'in' }, { verdict: 'short', left: 2.5 }, { verdict: 'right', left: 1.4, out: 3, back: true },
    { part: 'Refill', verdict: 'in', as: { how: 'another', what: 'gel, cut down' } },
  ])

  // The next pen of this fitting is told where it was right.
  await workTo(request, next, step => step.kind === 'assemble', 60 * 30)
  await page.goto(`/pens/${next.id}/work`)
  await expect(title(page)).toHaveText('Assemble')
  await page.getByRole('listitem').filter({ hasText: /^Tip/ }).getByRole('button', { name: 'Pressed in' }).click()
  await expect(tried).toContainText('Stop 1.4 mm short of its ring: yours over 1 pen.')
  // Right, and then too far: that is told, and can be noted at once.
  await tried.getByRole('button', { name: 'Right' }).click()
  await assembly.getByRole('button', { name: 'Try it again' }).click()
  await tried.getByRole('button', { name: 'Too far' }).click()
  await expect(tried).toContainText('Too far can seldom be undone.')
  await tried.getByRole('button', { name: 'Say what is wrong' }).click()
  await expect(page.getByRole('heading', { name: 'Now tap the place' })).toBeVisible()
  await expect(page.getByRole('radio', { name: /^Refill too short or too far/ })).toBeChecked()
})

// By hand: 1.6 mm spare at each end, tubes of 52.4 and 53.6 mm, a kerf of 1.2 mm.
test('a story stick stands at full size, with its marks', async ({ page }) => {
  await page.goto('/shelf/fittings/twist-7')
  await page.getByRole('link', { name: 'Story stick' }).click()
  const stick = page.getByRole('img', { name: 'The stick at full size' })
  await expect(stick).toContainText('55.6 mm middle cut')
  await expect(stick).toContainText('56.2 mm witness line')
  await expect(stick).toContainText('113.6 mm cut the pen off')
  // A CSS millimetre is 96 / 25.4 px; four are left at each side.
  const wide = async (name: string) => ((await page.getByRole('img', { name }).boundingBox())!.width * 25.4) / 96
  expect(await wide('The stick at full size')).toBeCloseTo(113.6 + 8, 0)
  expect(await wide('A line of 50 mm, to check the print')).toBeCloseTo(54, 0)
})
