import { expect, test } from '../stand'
import { kept } from '../support/bench'

test('a plan is branched on the spot: what differs is marked, what matters is said, a branch is taken', async ({ page, request, pen }) => {
  const made = await pen()
  const { steps, planVersion } = await kept(request, made)
  const grits = steps.flatMap(step => (step.kind === 'sand' ? [step.abrasive.id] : []))
  expect(grits.length).toBeGreaterThan(1)
  await page.goto(`/pens/${made.id}`)
  await page.getByRole('link', { name: 'What if' }).click()
  const table = page.getByRole('region', { name: 'Plans side by side' })
  await expect(page.getByText('10000 so far.')).toBeVisible()
  const choose = async (name: RegExp | string) => {
    await page.getByRole('combobox', { name: 'What if', exact: true }).click()
    await page.getByRole('option', { name }).first().click()
  }
  // Money is that of the workshop.
  await expect(table.getByRole('row', { name: /^Cost of the finish/ }).getByRole('cell').first()).toHaveText(/^£\d+\.\d\d$/)
  // Waits cut in half: it may leave sooner, and a coat is caught soft; nothing of that can be kept in a plan.
  await choose('Every wait cut in half')
  await expect(page).toHaveURL(/with=hurry/)
  const soft = table.getByRole('row', { name: /A coat goes on while one is still soft/ })
  await expect(soft.getByRole('cell').nth(0)).toHaveText(/less than 1 in \d+|not yet/)
  await expect(soft.getByRole('cell').nth(1)).toHaveText(/^[5-9]\d in 100$|^100 in 100$/)
  await expect(soft.getByRole('cell').nth(1)).toHaveClass(/marked/)
  await expect(page.getByRole('button', { name: 'Take this one' })).toHaveCount(0)
  // The causes of defects speak for a soft film then, and for more of it in damp air besides: both in one branch.
  const causes = table.getByRole('rowgroup', { name: 'Defects that the causes speak for' })
  const softFilm = causes.getByRole('row', { name: /^Cloudy or soft film/ })
  await expect(softFilm.getByRole('cell').nth(1)).toHaveText(/as often as usual/)
  await expect(softFilm.getByRole('cell').nth(1)).toHaveClass(/marked/)
  await page.getByRole('combobox', { name: 'And what if: Every wait cut in half' }).click()
  await page.getByRole('option', { name: 'Air 20 % damper' }).click()
  await expect(page).toHaveURL(/with=hurry~damper$/)
  await expect(table.getByRole('columnheader', { name: /Every wait cut in half · Air 20 % damper/ })).toBeVisible()
  await expect(table.getByRole('columnheader')).toHaveCount(2)
  // Deeper: more film.
  await choose(/^Film of 80 µm/)
  const film = table.getByRole('row', { name: /^Film left/ })
  const um = async (cell: number) => Number(/(\d+(\.\d)?) µm/.exec((await film.getByRole('cell').nth(cell).textContent())!)![1])
  await expect(table.getByRole('columnheader')).toHaveCount(3)
  await expect.poll(async () => (await um(2)) - (await um(0))).toBeGreaterThan(20)
  // What is unknown of the film, and what would tell it.
  await expect(page.getByRole('region', { name: 'What matters here' })).toContainText(/of what is unknown of the film: what a coat of .+ builds: measure/)
  await page.reload()
  await expect(table.getByRole('columnheader')).toHaveCount(3)
  // Taken, it is the plan: another version, with more coats.
  await page.getByRole('button', { name: 'Take this one' }).click()
  await expect(page.getByText('Taken. The plan follows.', { exact: true })).toBeVisible()
  await expect(table.getByRole('columnheader')).toHaveCount(2)
  const now = await kept(request, made)
  expect(now.planVersion).toBe(planVersion + 1)
  expect(now.steps.filter(step => step.kind === 'coat').length).toBeGreaterThan(steps.filter(step => step.kind === 'coat').length)
  // Without a grit, taken too: the ladder has it no more.
  await choose(/^Without P/)
  await page.getByRole('button', { name: 'Take this one' }).click()
  await expect.poll(async () => (await kept(request, made)).planVersion).toBe(planVersion + 2)
  // Fewer coats, and another paper: each is what it says, in the plan too.
  await expect(table.getByRole('columnheader')).toHaveCount(2)
  const coats = (of: { steps: readonly { kind: string }[] }) => of.steps.filter(step => step.kind === 'coat').length
  const before = coats(await kept(request, made))
  await choose(new RegExp(`^\\d+ coats in place of ${before}$`))
  const head = table.getByRole('columnheader').last()
  await expect(head).toContainText('in place of')
  const count = Number(/(\d+) coats in place/.exec((await head.textContent())!)![1])
  expect(count).toBeLessThan(before)
  await page.getByRole('button', { name: 'Take this one' }).click()
  await expect.poll(async () => coats(await kept(request, made))).toBe(count)
  await expect(head).not.toContainText('coats in place of')
  await choose(/^P\d+ in place of P\d+$/)
  await expect(head).toContainText('in place of P')
  const paper = /^P(\d+) in place/.exec((await head.textContent())!.trim())![1]
  await page.getByRole('button', { name: 'Take this one' }).click()
  await expect.poll(async () => JSON.stringify((await kept(request, made)).steps)).toContain(`sand.P-${paper}`)
})
