import type { Page } from '@playwright/test'
import type { Pen } from '../../contract'
import { expect, test } from '../stand'
import { doneUpTo, finish as finishPen, kept, press, sent, title, workTo } from '../support/bench'

const steps = (page: Page) => page.getByRole('region', { name: 'Steps' })
const finish = (page: Page) => page.getByRole('region', { name: 'Finish', exact: true })
const openFinish = async (page: Page) => {
  if (!(await finish(page).isVisible())) await page.getByRole('button', { name: 'Finish', exact: true }).click()
  await expect(finish(page)).toBeVisible()
}

test('an oily wood, a bleeding laminate, an open-pored wood and a resin each get a plan of their own, with its reasons', async ({
  page,
  pen,
}) => {
  test.setTimeout(120_000)
  const seen: string[] = []
  const planOf = async (made: Pen) => {
    await page.goto(`/pens/${made.id}`)
    await steps(page).waitFor()
  }

  await planOf(await pen({ name: 'Oily', material: 'oily-exotic', method: 'ca-medium-first' }))
  await expect(page.getByRole('list', { name: 'Remarks' }).getByText('A thin CA coat seals it first.')).toBeVisible()
  await expect(page.getByRole('list', { name: 'Remarks' }).getByText(/what stands on bare oil lifts/)).toBeVisible()
  await expect(steps(page)).toContainText('Wipe with alcohol')
  await expect(steps(page)).toContainText('oil creeps back within minutes')
  await expect(steps(page)).toContainText('Thin CA, coat 1')
  seen.push(await steps(page).innerText())

  // On the laminate what was chosen does not suit: the page says why, and what suits stands first.
  await planOf(await pen({ name: 'Laminate', material: 'plum-holly', method: 'friction-polish' }))
  await expect(
    page
      .getByRole('list', { name: 'Remarks' })
      .getByText(/Friction polish does not suit Plum and holly, laminated: rubbing drags the dark colour across the joint/),
  ).toBeVisible()
  await openFinish(page)
  await finish(page)
    .getByRole('button', { name: /CA film, thin first/ })
    .click()
  await expect(steps(page)).toContainText('Blow off, no wipe')
  await expect(steps(page)).toContainText('A wet wipe would carry the colour')
  await expect(page.getByText(/does not suit Plum/)).toHaveCount(0)
  seen.push(await steps(page).innerText())

  await planOf(await pen({ name: 'Oak', material: 'oak', method: 'ca-medium-only' }))
  await expect(page.getByText(/open pores: they drink, and fill only with what is thin and slow/).first()).toBeVisible()
  await expect(steps(page)).toContainText('No accelerator: it is to soak in and fill')
  seen.push(await steps(page).innerText())
  // It can be wanted as it stands.
  await openFinish(page)
  await finish(page)
    .getByRole('checkbox', { name: /As the method stands/ })
    .check()
  await expect(steps(page)).not.toContainText('Thin CA')

  await planOf(await pen({ name: 'Resin', material: 'green-resin', method: 'oil' }))
  await expect(page.getByRole('list', { name: 'Remarks' }).getByText(/nothing in resin for oil to soak into/)).toBeVisible()
  await openFinish(page)
  await finish(page).locator('.choices button').first().click()
  await expect(steps(page)).toContainText('Plastic polish')
  await expect(steps(page)).toContainText('Rinse and dry')
  await expect(steps(page)).not.toContainText('coat 1')
  await expect(finish(page)).toContainText('Bare polish: no coats')
  seen.push(await steps(page).innerText())

  expect(new Set(seen).size).toBe(4)
})

test('coats at the bench: a recoat too early is noticed, diameters show what mine build, a sand-through is answered and covered by '
  + 'more coats', async ({
  page,
  pen,
  request,
}) => {
  test.setTimeout(180_000)
  const made = await pen({ name: 'Staged apple', method: 'ca-thin-staged' })
  await doneUpTo(request, made, 'coat.1')
  await page.goto(`/pens/${made.id}/work`)
  const measure = async (mm: string) => {
    await page.keyboard.press('m')
    await page.getByRole('button', { name: /tip end/ }).click()
    await page.getByLabel('The calliper says').fill(mm)
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page.getByText(mm).last()).toBeVisible()
    await page.keyboard.press('m')
  }
  await expect(title(page)).toHaveText('Thin CA, coat 1')
  await expect(page.getByText('Closed-cell foam', { exact: false }).or(page.getByText(/closed-cell foam/))).toBeVisible()
  await measure('10.00 mm')
  await press(page, /Coat 1 is on/, 'Thin CA, coat 2')
  // A soaking coat wants more than a minute; on it goes all the same, and that is told with what it risks.
  await expect(page.getByRole('timer')).toBeVisible()
  await expect(page.locator('.until').getByText(/^ready/)).toBeVisible()
  await press(page, /Coat 2 is on/, 'Thin CA, coat 3')
  await expect(page.getByText(/too early\. What is still wet under it can haze or stay soft/)).toBeVisible()
  await expect(page.locator('figcaption')).toContainText('2 on')

  // Measured again: two soaking coats of 70 % and half their unevenness, so 10.03 mm is more than the default of 8 µm.
  await page.keyboard.press('m')
  await page.getByRole('button', { name: /tip end/ }).click()
  await page.getByLabel('The calliper says').fill('10.05')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText(/Your Thin CA builds (8\.[1-9]|9|1\d)[\d.]* µm a coat/)).toBeVisible()
  await expect(page.getByText(/from 1 measurement; the default is 8/)).toBeVisible()
  await page.keyboard.press('m')
  await press(page, /Coat 3 is on/, 'Thin CA, coat 4')
  await press(page, /Coat 4 is on/, 'Level with P800')

  // Colour on the paper: stop, tap the place, cover it.
  await page.getByRole('group', { name: 'No shiny spot left?' }).getByRole('button', { name: 'No', exact: true }).click()
  await expect(page.getByText(/Shiny is low: it has not been reached yet/)).toBeVisible()
  await page.getByRole('group', { name: 'No colour on the paper?' }).getByRole('button', { name: 'No', exact: true }).click()
  await page.getByText('Sand-through', { exact: true }).click()
  await page.getByLabel('From its tip end').fill('12 mm')
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByRole('heading', { name: 'Sand-through' })).toBeVisible()
  await expect(
    page
      .getByRole('list', { name: /Causes/ })
      .getByRole('listitem')
      .first(),
  ).toContainText('%')
  await page.getByRole('button', { name: /Cover it with coats, then level again/ }).click()
  await expect(title(page)).toHaveText('Thin CA, coat 5')
  await expect(page.getByText('It builds up what was bared')).toBeVisible()
  // Every covering coat goes on, then it is levelled again, and that mends it.
  await press(page, /Coat \d+ is on/, /^Level/)
  await expect(
    page.getByRole('group', { name: 'No colour on the paper?' }).getByRole('button', { name: 'No', exact: true }),
  ).toHaveAttribute('aria-pressed', 'false')
  await press(page, /No shiny spot left/, /^Thin CA, coat \d+$/)
  await expect(page.getByText(/◆ Sand-through/)).toHaveCount(0)
  await finishPen(page, request, made)
  await page.goto(`/pens/${made.id}/record`)
  await expect(page.getByRole('region', { name: 'Defects' })).toContainText(/Sand-through.*mended, more coats/)
})

test('the slider moves coats, film and turn-to diameters while it is moved, and what is kept stays', async ({ page, pen, request }) => {
  const made = await pen({ name: 'Slider apple' })
  await page.goto(`/pens/${made.id}`)
  await openFinish(page)
  const said = () => finish(page).locator('header p').innerText()
  const coats = async () => Number(/(\d+) coats/.exec(await said())![1])
  const before = await coats()
  const ends = async () => /ends turned ([\w. ]+)\./.exec(await said())![1]
  const turned = await ends()
  const slider = finish(page).getByRole('slider')
  await slider.focus()
  await page.keyboard.press('End')
  await expect.poll(coats).toBeGreaterThan(before)
  expect(await ends()).not.toBe(turned)
  await expect(page.getByText('not kept yet')).toBeVisible()
  await finish(page).getByRole('button', { name: 'close to the wood' }).click()
  await expect.poll(coats).toBeLessThan(before)
  const few = await coats()
  await finish(page).getByRole('button', { name: 'Keep this finish' }).click()
  await expect(page.getByText('not kept yet')).toHaveCount(0)
  await page.reload()
  await expect.poll(coats).toBe(few)
  const { plan } = await (await request.get(`/api/pens/${made.id}`)).json()
  expect(plan.inputs.wishes.depth).toBe(20)
  // The picture follows the step that is chosen, and the risk stands in words and number.
  await expect(
    finish(page)
      .getByText(/at the edges; on the open barrel/)
      .first(),
  ).toBeVisible()
  await steps(page)
    .getByRole('button', { name: /Thin CA, coat 2/ })
    .click()
  await expect(page.getByRole('img', { name: /Build section: 2 × Thin CA/ })).toBeVisible()
})

test('a method is copied, changed and compared; what is wrong is told at its field, and a pen keeps the version it was planned '
  + 'with', async ({
  page,
  pen,
  request,
}) => {
  test.setTimeout(90_000)
  await page.goto('/methods/ca-medium-only')
  await page.getByRole('button', { name: 'Copy' }).click()
  await expect(page.getByRole('heading', { name: 'CA film, medium only, mine' })).toBeVisible()
  const id = page.url().split('/').at(-1)!
  const made = await pen({ name: 'Mine', method: id })
  await page.getByLabel('Name').fill('Three mediums')
  await page.getByRole('checkbox', { name: 'as many as the depth asks' }).uncheck()
  await page.getByRole('spinbutton', { name: 'Coats' }).fill('3')
  await page.getByRole('spinbutton', { name: 'Coats' }).blur()
  await expect(page.getByText('3, 4 before').or(page.getByText(/^3,? \d before/))).toBeVisible()
  // Lacquer on foam: told at its field, nothing kept.
  await page.getByRole('combobox', { name: 'Put on with' }).click()
  await page.getByRole('option', { name: 'Spray' }).click()
  await page.getByRole('button', { name: 'Keep as version 2' }).click()
  await expect(page.getByText('Only spray lacquer is sprayed.')).toBeVisible()
  await page.getByRole('combobox', { name: 'Put on with' }).click()
  await page.getByRole('option', { name: 'Closed-cell foam' }).click()
  await page.getByRole('combobox', { name: 'Bare wood' }).click()
  await page.getByRole('option', { name: 'Burnished with shavings last' }).click()
  await page.getByRole('button', { name: 'Keep as version 2' }).click()
  await expect(page.getByRole('heading', { name: 'Three mediums' })).toBeVisible()
  const versions = page.getByRole('region', { name: 'Versions, and the pens that have them' })
  await expect(versions.getByRole('listitem').nth(0)).toContainText('No pen is planned with it now')
  await expect(versions.getByRole('listitem').nth(1)).toContainText(made.mark)

  // The pen's plan says that its method has changed, and takes the new version when it is asked to.
  await page.goto(`/pens/${made.id}`)
  await openFinish(page)
  await finish(page)
    .getByRole('button', { name: /changed since: take version 2/ })
    .click()
  await expect.poll(async () => (await (await request.get(`/api/pens/${made.id}`)).json()).plan.inputs.method.version).toBe(2)
  await expect(page.getByRole('region', { name: 'Steps' })).toContainText('Burnish with shavings')

  await page.goto('/methods')
  await page.getByRole('article', { name: 'Three mediums' }).getByRole('checkbox').check()
  await page.getByRole('article', { name: 'Friction polish', exact: true }).getByRole('checkbox').check()
  await page.getByRole('link', { name: /^Compare/ }).click()
  await expect(page.getByRole('row', { name: /^Coats/ })).toContainText('3 × Medium CA')
  await expect(page.getByRole('row', { name: /^Coats/ })).toContainText('Shellac friction polish')
  await expect(page.getByRole('row', { name: /Worst risk/ })).toContainText('nothing is levelled')
})

test('bottles and labels on the shelf: a label’s wait goes before ours, and a plan says when there is not enough', async ({
  page,
  pen,
  request,
}) => {
  await page.goto('/shelf/finishes')
  const wipeOn = page.getByRole('checkbox', { name: 'Wipe-on oil and varnish blend' })
  await wipeOn.check()
  await page.getByText('Wipe-on oil and varnish blend').first().click()
  await page.getByLabel('next coat, by the label').fill('soon')
  await page.getByLabel('Left, ml').fill('0.1')
  await page.getByLabel('Left, ml').blur()
  // Somebody else changes the shelf meanwhile: what is typed here stays.
  const looked = page.waitForResponse(/\/api\/shelf/)
  expect((await request.put('/api/shelf', { data: { item: 'P-60', there: true } })).ok()).toBe(true)
  await looked
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText('Type a time like 90 s, 10 min, 4 h or 2 days.')).toBeVisible()
  await page.getByLabel('next coat, by the label').fill('2 h')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText('9 µm a coat · 0.10 ml left · label figures entered')).toBeVisible()

  const made = await pen({ name: 'By its label', method: 'wipe-on' })
  await page.goto(`/pens/${made.id}`)
  await expect(page.getByText(/Not enough Wipe-on oil and varnish blend: 0\.\d\d ml is missing/)).toBeVisible()
  const { plan } = (await (await request.get(`/api/pens/${made.id}`)).json()) as {
    plan: { steps: { kind: string, product?: { label?: Record<string, { plain: number }> } }[] }
  }
  expect(plan.steps.find(step => step.kind === 'coat')!.product!.label!['next coat']!.plain).toBe(7200)
})

test('a coat that is touched while it waits: still tacky waits on, hard waits no longer, and the record has both', async ({
  page, request, pen,
}) => {
  const made = await pen({ method: 'ca-thin-staged' })
  const step = await workTo(request, made, one => one.kind === 'level', 0)
  expect(step.kind).toBe('level')
  await page.goto(`/pens/${made.id}/work`)
  const timer = page.getByRole('timer')
  await expect(timer).toBeVisible()
  await page.getByRole('button', { name: 'Still tacky' }).click()
  await expect(page.getByText(/^Tacky at \d\d:\d\d\.$/)).toBeVisible()
  await page.keyboard.press('h')
  await expect(timer).toHaveCount(0)
  await expect(page.getByText(/ready since/)).toBeVisible()
  await expect(page.getByText(/^Hard at \d\d:\d\d\.$/)).toBeVisible()
  await page.keyboard.press('z')
  await expect(timer).toBeVisible()
  await sent(page)
  expect((await kept(request, made)).events.slice(-3).map(one => one.kind)).toEqual(['touch', 'touch', 'undo'])
})
