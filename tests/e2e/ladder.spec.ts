import { expect, test } from '../stand'
import { title, workTo } from '../support/bench'
import { holding } from '../support/holding'

test('a ladder is dragged out of order, told why that is wrong, put back, kept, worked, and “not yet” gives a way on', async ({
  page,
  pen,
  request,
}) => {
  test.setTimeout(90_000)
  const made = await pen({ name: 'Ladder apple', tool: 'gouge' })
  await page.goto(`/pens/${made.id}`)
  await page.getByRole('button', { name: 'Sanding ladder' }).click()
  const panel = page.getByRole('region', { name: 'Sanding ladder' })
  const grits = panel.getByRole('list', { name: 'Grits in their order' })
  const names = () => grits.locator('li > b').allTextContents()
  const best = await names()
  expect(best.length).toBeGreaterThanOrEqual(3)
  await expect(panel.getByRole('button', { name: /Best for my shelf/ })).toHaveAttribute('aria-pressed', 'true')

  // Dragged with the mouse: the last grit to the top goes back in grain, and is told so.
  const grips = grits.locator('.grip')
  await grips.last().scrollIntoViewIfNeeded()
  const from = (await grips.last().boundingBox())!
  const to = (await grips.first().boundingBox())!
  await page.mouse.move(from.x + 8, from.y + 20)
  await page.mouse.down()
  await page.mouse.move(to.x + 8, to.y + 30, { steps: 12 })
  await page.mouse.move(to.x + 8, to.y + 2, { steps: 6 })
  await page.mouse.up()
  await expect.poll(names).toEqual([best.at(-1), ...best.slice(0, -1)])
  await expect(panel.getByText(/goes back, from/)).toBeVisible()
  await expect(page.getByText('not kept yet')).toBeVisible()
  await panel.getByRole('button', { name: 'As it was' }).click()
  await expect.poll(names).toEqual(best)

  // Left out: the jump is told, with its ratio; added again it stands where its grain belongs.
  const middle = best[1]!
  await panel.getByRole('button', { name: `Leave ${middle} out` }).click()
  await expect(panel.getByText(/is a jump of \d\.\d : 1/)).toBeVisible()
  await panel.getByLabel('Add from the shelf').click()
  await page.getByRole('option', { name: new RegExp(`^${middle},`) }).click()
  await expect.poll(names).toEqual(best)
  await expect(panel.getByText(/is a jump of/)).toHaveCount(0)

  // Refused, it is worked out without; allowed again, it is back. Neither is more than one touch.
  await panel.getByRole('button', { name: /Best for my shelf/ }).click()
  await panel.getByRole('button', { name: `Refuse ${middle}` }).click()
  await expect.poll(names).not.toContain(middle)
  await expect(panel.getByText(/goes back|is a jump of/)).toHaveCount(0)
  await panel.getByRole('button', { name: `Allow ${middle} again` }).click()
  await expect.poll(names).toEqual(best)

  // Typed as it is said: what is not there is told, the rest is reviewed as it stands.
  await panel.getByLabel('Or type a ladder').fill('150 9999')
  await panel.getByRole('button', { name: 'Review it' }).click()
  await expect(panel.getByText(/The P scale has no 9999\. Nearest: 2000 and 2500/)).toBeVisible()
  await panel.getByLabel('Or type a ladder').fill('150 600')
  await panel.getByRole('button', { name: 'Review it' }).click()
  await expect.poll(names).toEqual(['P150', 'P600'])
  await expect(panel.getByText(/is a jump of 3\.9 : 1/)).toBeVisible()
  await panel.getByRole('button', { name: /Best for my shelf/ }).click()

  // The pad trap: a pad with a higher number after finer paper.
  await panel.getByLabel('Add from the shelf').click()
  await page.getByRole('option', { name: /^pad 1500/ }).click()
  const later = panel.getByRole('button', { name: 'pad 1500 later' })
  while (await later.isEnabled()) await later.click()
  await expect(panel.getByText(/A higher number on another scale is not finer/)).toBeVisible()
  await panel.getByRole('button', { name: 'Leave pad 1500 out' }).click()

  // With the keyboard alone: the careful one is taken, and kept.
  await panel.getByRole('button', { name: /The careful one/ }).press('Enter')
  const careful = await names()
  expect(careful.length).toBeGreaterThanOrEqual(best.length)
  await panel.getByRole('button', { name: 'Keep this ladder' }).click()
  await expect(page.getByText('not kept yet')).toHaveCount(0)
  await page.reload()
  await expect.poll(names).toEqual(careful)
  const { plan } = await (await request.get(`/api/pens/${made.id}`)).json()
  expect(plan.steps.filter((step: { kind: string }) => step.kind === 'sand')).toHaveLength(careful.length)

  // At the bench: how long, how fast, when to stop; “not yet” gives the cheapest way on, and the look is kept.
  const done = (await (await request.get(`/api/pens/${made.id}`)).json()).plan.steps.map((step: { id: string }) => step.id) as string[]
  const first = done.findIndex(id => id.startsWith('sand.'))
  await request.post('/api/events', {
    data: {
      events: done
        .slice(0, first)
        .map((step, index) => ({
          id: crypto.randomUUID(),
          pen: made.id,
          kind: 'done',
          barrels: ['only'],
          device: 'test',
          payload: { step },
          at: new Date(Date.now() - 60_000 + index).toISOString(),
        })),
    },
  })
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText(careful[0]!)
  const grit = page.getByRole('region', { name: 'This grit' })
  await expect(grit).toContainText(/\d+ µm/)
  await expect(grit).toContainText('1000 rev/min')
  // Who likes taps that the paper is on; it is an entry like any, and asked for no more.
  await grit.getByRole('button', { name: 'Paper on' }).click()
  await expect(grit).toContainText('The paper is on: its time runs.')
  await expect(grit.getByRole('button', { name: 'Paper on' })).toHaveCount(0)
  await page.keyboard.press('n')
  await expect(grit.getByRole('status')).toContainText('The cheapest way on')
  await expect(grit.getByRole('listitem').first()).toContainText(/about \d+ (s|min)/)
  await page.keyboard.press('t')
  await expect(grit.getByRole('status')).toContainText('raking light')
  await expect
    .poll(
      async () =>
        (await (await request.get(`/api/pens/${made.id}`)).json()).events.filter((event: { kind: string }) => event.kind === 'look').length,
    )
    .toBe(2)
  await page.keyboard.press('Space')
  await expect(title(page)).toHaveText(careful[1]!)
})

test('the shelf tells what a pad is in paper, takes one with a colour only, and wear makes a grit slower', async ({ page, request }) => {
  await page.goto('/shelf')
  const converter = page.getByRole('region', { name: 'What is this pad in paper?' })
  await expect(converter.getByRole('status')).toContainText('30 µm: nearest P500 with 30.2 µm, the same')
  await converter.getByLabel('Number').click()
  await page.getByRole('option', { name: '12000' }).click()
  await expect(converter.getByRole('status')).toContainText('nothing in paper, P comes near')

  const own = page.getByRole('region', { name: 'An abrasive of your own' })
  await own.getByRole('button', { name: 'Put it on the shelf' }).click()
  await expect(own.getByText(/missing|empty/)).toBeVisible()
  await own.getByLabel('What you call it').fill('grey pad')
  await expect(own.getByText('Taken as 11.6 µm, half way between them.')).toBeVisible()
  await own.getByRole('button', { name: 'Put it on the shelf' }).click()
  await expect(own.getByText(/grey pad, 11\.6 µm, between pad 1800 and pad 3200/)).toBeVisible()
  await expect(page.getByText(/Alike:.*grey pad/)).toBeVisible()

  await page.getByLabel('How worn grey pad is').click()
  await page.getByRole('option', { name: 'half worn' }).click()
  await expect
    .poll(
      async () =>
        (await (await request.get('/api/shelf')).json()).abrasives.find((one: { label?: string }) => one.label === 'grey pad').worn,
    )
    .toBe(0.5)
  await own.getByRole('button', { name: 'take it off' }).click()
  await expect(own.getByText(/between pad 1800/)).toHaveCount(0)
})

test('the ladder on the film is edited like the bare one: what it leaves is told as it changes, kept, and worked from there', async ({
  page,
  pen,
  request,
}) => {
  const made = await pen({ name: 'Film ladder', method: 'ca-thin-staged' })
  await page.goto(`/pens/${made.id}`)
  await page.getByRole('button', { name: 'Sanding ladder' }).click()
  const panel = page.getByRole('region', { name: 'Ladder on the film' })
  await expect(panel).toContainText('Worked out.')
  const grits = panel.getByRole('list', { name: 'Grits on the film in their order' })
  const chip = (name: string) => panel.getByRole('button', { name, exact: true })
  // Everything after the levelling taken out: its scratches are told, in red.
  for (const on of await panel.getByRole('group', { name: 'Grits on the film' }).getByRole('button', { pressed: true }).allTextContents())
    await chip(on.trim()).click()
  await expect(grits).toHaveCount(0)
  await expect(panel.getByText(/◆ Scratches of .* they show/)).toBeVisible()
  for (const name of ['P800', 'pad 2400', 'pad 6000', 'pad 12000']) await chip(name).click()
  await expect(grits.getByRole('listitem')).toHaveCount(4)
  await expect(panel.getByText(/^Scratches of .* this sheen hides them/)).toBeVisible()
  await panel.getByRole('combobox', { name: 'Polishes' }).click()
  await page.getByRole('option', { name: 'none' }).click()
  await expect(panel).toContainText('Your own.')
  // What is changed while this is on its way to the server stands afterwards, and is not kept yet.
  const letGo = await holding(page, url => url.pathname === `/api/pens/${made.id}`)
  const keep = panel.getByRole('button', { name: 'Keep this ladder' })
  await keep.click()
  await panel.getByRole('button', { name: 'As worked out' }).click()
  letGo()
  await expect(page.getByText(/· plan 2\b/)).toBeVisible()
  await expect(page.getByText('not kept yet')).toBeVisible()
  await expect(panel).toContainText('Worked out.')
  interface Whole {
    plan: { steps: { id: string, kind: string }[] }
  }
  const steps = async () => ((await (await request.get(`/api/pens/${made.id}`)).json()) as Whole).plan.steps
  const on = async () => (await steps()).filter(step => step.kind === 'smooth').map(step => step.id)
  await expect.poll(on).toEqual(['P-800', 'pad-2400', 'pad-6000', 'pad-12000'].map(id => `smooth.${id}`))
  expect((await steps()).filter(step => step.kind === 'polish')).toEqual([])
  await keep.click()
  await expect(page.getByText(/· plan 3\b/)).toBeVisible()
  await expect(panel).toContainText('Worked out.')
  await expect.poll(async () => (await steps()).filter(step => step.kind === 'polish').length).toBeGreaterThan(0)
})

test('a burnish is put in before the cleaning, beforehand: it stands in the plan and at the bench, and is taken out again', async ({
  page,
  pen,
  request,
}) => {
  const made = await pen({ name: 'Beforehand' })
  await page.goto(`/pens/${made.id}`)
  const step = (name: RegExp) => page.getByRole('listitem').filter({ has: page.getByRole('button', { name }) })
  await step(/Blow off/).getByRole('button', { name: /Blow off/ }).click()
  await step(/Blow off/).getByLabel('Before it').selectOption({ label: 'burnish with shavings' })
  await step(/Blow off/).getByRole('button', { name: 'Put it in' }).click()
  const burnish = page.getByRole('button', { name: /Burnish with shavings/ })
  await expect(burnish).toBeVisible()
  await workTo(request, made, one => one.kind === 'clean')
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText('Burnish with shavings')
  await page.goto(`/pens/${made.id}`)
  await burnish.click()
  await page.getByRole('button', { name: 'Take it out' }).click()
  await expect(burnish).toHaveCount(0)
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText(/^Blow off/)
})
