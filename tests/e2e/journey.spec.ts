import { readFileSync } from 'node:fs'
import { expect, test } from '../stand'
import { press, space, title, readUnits } from '../support/bench'

test('a pen from the first choice to its saved record', async ({ page, stand }) => {
  test.setTimeout(240_000)
  await page.goto('/')
  await expect(page.getByRole('heading', { name: /on the bench/ })).toBeVisible()
  await page.getByRole('link', { name: 'Start a pen' }).click()

  // Start: what is missing is told at its field, and nothing typed is lost.
  await page.getByLabel('Witness mark').fill('j7')
  await page.getByRole('button', { name: 'Plan this pen' }).click()
  await expect(page.getByText('Is missing: fill it in.').first()).toBeVisible()
  await expect(page.getByLabel('Witness mark')).toHaveValue('J7')
  await page.getByLabel('Name').fill('Pear for the long table')
  await page.getByLabel('Fitting').click()
  await page.getByRole('option', { name: '8 mm one-barrel click' }).click()
  await page.getByLabel('Material').click()
  await page.getByRole('option', { name: 'White oak' }).click()
  const preview = page.getByRole('region', { name: 'The plan so far' })
  await expect(preview).toContainText('hands on')
  const oak = await preview.textContent()
  await page.getByLabel('Material').click()
  await page.getByRole('option', { name: 'Pear', exact: true }).click()
  await expect.poll(() => preview.textContent()).not.toBe(oak)
  await page.getByRole('button', { name: 'Plan this pen' }).click()

  // Plan: worked out, with lengths, diameters, grits in their own number and in µm, coats, waits and totals that can be opened.
  await expect(page.getByRole('heading', { name: 'Pear for the long table' })).toBeVisible()
  const steps = page.getByRole('region', { name: 'Steps' })
  await steps.getByRole('button', { name: /Cut/ }).click()
  await expect(steps).toContainText('63.4 mm from a stick of 63.4 mm')
  await steps.getByRole('button', { name: /P320/ }).first().click()
  await expect(steps).toContainText('46.2 µm')
  await page
    .getByRole('button', { name: /what went into it/ })
    .first()
    .click()
  await expect(page.getByText('metal + 2 × sanding − 2 × film')).toBeVisible()
  await page.keyboard.press('Escape')
  const planned = Number(await page.locator('li', { hasText: /^\d+.*coat/ }).count())
  expect(planned).toBeGreaterThanOrEqual(3)

  // Work: the first six steps, by key and by space bar.
  await page.getByRole('link', { name: 'Begin at the bench' }).click()
  await expect(title(page)).toHaveText('Check the parts')
  await page.getByRole('button', { name: /^Begin/ }).click()
  await press(page, /^Parts there/, /^Cut/)
  await press(page, /^Cut/, /^Drill/)
  await page.waitForFunction(() => document.activeElement === document.body)
  const through = ['Glue the tube', 'Square the ends', 'Turn to size']
  for (const next of through) await space(page, next)
  await expect(page.getByText(/cut short/)).toHaveCount(0)

  // A chip on the barrel, with its place and size: what is missing or not understood is told, and a tap on the strip is the last touch.
  await page.keyboard.press('w')
  await expect(page.getByRole('heading', { name: 'What does it look like?' })).toBeVisible()
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByText(/Tap the place on the strip/)).toBeVisible()
  await expect(page.getByText('Choose what it looks like.')).toBeVisible()
  await page.getByText('Chip, tear-out').click()
  await expect(page.getByRole('heading', { name: 'Now tap the place' })).toBeVisible()
  await page.getByLabel('From its tip end').fill('1/2 in')
  await page.getByLabel('Size').fill('big')
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByText(/“big” is not a length/)).toBeVisible()
  await page.getByLabel('Size').fill('0.6 mm')
  await page.getByRole('button', { name: 'Note it' }).click()
  const repair = page.getByRole('region', { name: 'Chip, tear-out' })
  await expect(repair).toContainText('0.60 mm, barrel, 12.7 mm from its tip end')

  // Undo of the last entry, undo of the undo, and a reload in the middle.
  await repair.getByRole('button', { name: /^Take back/ }).click()
  await expect(page.getByText(/Chip, tear-out, 0\.60 mm/)).toHaveCount(0)
  await page.getByRole('button', { name: /^Put back/ }).click()
  await expect(repair).toBeVisible()
  await page.reload()
  await page.getByRole('button', { name: 'Why, and what now' }).click()
  await expect(repair).toContainText('12.7 mm')

  // The repair comes before the ladder: turned on, filled, turned flush; then the defect is mended by itself.
  await repair.getByRole('button', { name: /fine shavings/ }).click()
  await expect(title(page)).toHaveText('Turn to size')
  await page.waitForFunction(() => document.activeElement === document.body)
  await space(page, 'Fill: shavings and CA')
  await space(page, 'Turn the fill flush')
  await expect(page.getByRole('timer')).toBeVisible()
  await space(page, /^P\d+/)
  await expect(page.getByText(/Chip, tear-out, 0\.6 mm/)).toHaveCount(0)

  // On to the coats: two of them, and a wait that follows from the log.
  await space(page, /coat 1$/)
  await space(page, /coat 2$/)
  await expect(page.getByRole('timer')).toHaveText(/^1:\d\d$/)
  await expect(page.getByRole('figure', { name: /^1 of \d+ coats on$/ })).toBeVisible()
  const ready = await page.locator('.until b').textContent()

  // The server goes away and comes back; the page is closed and opened: the wait is the same.
  const address = page.url()
  await stand.stopServer()
  await page.close()
  await stand.startServer()
  const again = await page.context().newPage()
  await again.goto(address)
  await expect(again.locator('.until b')).toHaveText(ready!)
  await expect(again.getByRole('timer')).toHaveText(/^[01]:\d\d$/)

  // Too early is allowed, and told in the record.
  await space(again, /coat 3$/)
  await space(again, 'Finished', 120_000)
  await again.getByRole('link', { name: 'Read the record' }).click()

  // Record: coats, waits, defect, sums; saved as JSON with the same content.
  await expect(again.getByText(/cut short by/).first()).toBeVisible()
  const defects = again.getByRole('region', { name: 'Defects' })
  await expect(defects).toContainText('Chip, tear-out, 0.6 mm, barrel, 12.7 mm from its tip end')
  await expect(defects).toContainText('mended')
  const download = again.waitForEvent('download')
  await again.getByRole('link', { name: 'Save as JSON' }).click()
  const file = await download
  expect(file.suggestedFilename()).toBe('oxlip-J7.json')
  const saved = JSON.parse(readFileSync(await file.path(), 'utf8'))
  expect(saved.pen).toMatchObject({ mark: 'J7', name: 'Pear for the long table', material: 'Pear', fitting: '8 mm one-barrel click' })
  expect(saved.steps.every((step: { status: string }) => step.status === 'done')).toBe(true)
  expect(saved.coats.on).toBe(saved.coats.planned)
  expect(saved.defects).toMatchObject([{ kind: 'chip', fromTip: 12.7, size: 0.6, status: 'mended' }])
  expect(saved.steps.find((step: { step: string }) => step.step === 'coat.2').wait.shortBySeconds).toBeGreaterThan(0)
  await expect(again.getByRole('region', { name: 'Step by step' }).locator('tbody tr')).toHaveCount(saved.steps.length)
  await expect(again.locator('.sums')).toContainText(`${saved.coats.on} of ${saved.coats.planned}`)
})

test('what is on the shelf changes the plan, and what is done stays done', async ({ page, pen, request }) => {
  const made = await pen({ name: 'Shelf apple', material: 'pear' })
  await page.goto(`/pens/${made.id}`)
  const steps = page.getByRole('region', { name: 'Steps' })
  await expect(steps.getByRole('button', { name: /P320/ }).first()).toBeVisible()
  await page.getByRole('link', { name: 'Shelf' }).click()
  await page.locator('summary').filter({ hasText: 'Paper, P grades' }).click()
  await Promise.all([
    page.waitForResponse(answer => new URL(answer.url()).pathname === '/api/shelf' && answer.request().method() === 'PUT'),
    page
      .getByRole('checkbox', { name: /P320 46\.2 µm/ })
      .first()
      .uncheck(),
  ])
  await expect(page.getByRole('checkbox', { name: /P320 46\.2 µm/ }).first()).not.toBeChecked()
  await page.goto(`/pens/${made.id}`)
  await expect(page.getByText(/A new plan would be without P320/)).toBeVisible()
  await page.getByRole('button', { name: 'Plan again' }).click()
  await expect(page.getByText(/plan 2/)).toBeVisible()
  await expect(steps.getByRole('button', { name: /^\S+\s*P320/ })).toHaveCount(0)
  await request.put('/api/shelf', { data: { item: 'P-320', there: true } })
})

test('an entry made while the server is away is kept, told, and sent when it is back', async ({ page, pen, stand, request }) => {
  const made = await pen({ name: 'Far from the router' })
  await page.goto(`/pens/${made.id}/work`)
  await expect(title(page)).toHaveText('Check the parts')
  await page.route('**/api/events?*', route => route.abort())
  await page.getByRole('button', { name: /^Begin/ }).click()
  await press(page, /^Parts there/, /^Cut/)
  await expect(page.getByText('2 not sent yet')).toBeVisible()
  await page.reload()
  await expect(title(page)).toHaveText(/^Cut/)
  // What waits is known again: only then does its absence tell that it was sent.
  await expect(page.getByText('2 not sent yet')).toBeVisible()
  await page.unroute('**/api/events?*')
  await page.evaluate(() => window.dispatchEvent(new Event('online')))
  await expect(page.getByText(/not sent yet/)).toHaveCount(0)
  const { events } = await (await request.get(`${stand.address}/api/pens/${made.id}`)).json()
  expect(events.map((event: { kind: string }) => event.kind)).toEqual(['begin', 'done'])
})

test('a pen that is changed on two devices shows the conflict and what it is now', async ({ page, pen, request }) => {
  const made = await pen({ name: 'Two hands' })
  await page.goto(`/pens/${made.id}`)
  await page.getByRole('button', { name: 'Change', exact: true }).click()
  await page.getByLabel('Name').fill('Mine')
  await request.patch(`/api/pens/${made.id}`, { data: { version: 1, name: 'Theirs' } })
  await page.getByRole('button', { name: 'Keep and plan' }).click()
  await expect(page.getByRole('alert')).toContainText('changed on another device')
  await expect(page.getByLabel('Name')).toHaveValue('Mine')
  await expect(page.getByRole('heading', { name: 'Theirs', includeHidden: true })).toBeAttached()
})

test('inches and °F are read and typed all through, for whoever chooses them', async ({ page, pen, request }) => {
  const made = await pen({ name: 'In inches' })
  await page.goto(`/pens/${made.id}`)
  await page.getByTitle('Air, units, theme and workshops').click()
  await page.getByRole('radio', { name: /64ths/ }).click()
  await expect(page.getByLabel('Temperature, °F')).toBeVisible()
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByTitle('Air, units, theme and workshops')).toContainText('°F')
  await expect(page.getByRole('region', { name: 'Steps' })).toContainText('Drill 5/16')
  const workshop = await (await request.get('/api/workshop')).json()
  expect(workshop).toMatchObject({ units: 'inch64', celsius: 18.5 })
  await readUnits(request, 'metric')
})
