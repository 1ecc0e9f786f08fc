import { randomUUID } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import { addDays, format } from 'date-fns'
import type { APIRequestContext, Page } from '@playwright/test'
import type { EveningsKept, Pen, PenPage, WorkshopList } from '../../contract'
import { must } from '../../core/sure'
import type { Workshop } from '../../schemas'
import { expect, test } from '../stand'
import { textOf } from '../support/pdf'
import { kept, workTo } from '../support/bench'

// Only the pens that are made here.
test.use({ only: 'evenings' })

/** The turner’s own workshop, which opens by itself once it has a pen: here it has the usual shelf and nothing else. */
async function inOwn(request: APIRequestContext) {
  const { workshops, opens } = (await (await request.get('/api/workshops')).json()) as WorkshopList
  const own = workshops.find(one => one.kind === 'own')!
  if (own.id === opens) return
  await request.post(`/api/shelf/usual?workshop=${own.id}`)
  const first = {
    mark: 'Z9', name: 'Set aside', reason: null, due: null,
    fitting: 'click-8', material: 'apple', method: 'oil', tool: 'skew', film: 'gloss',
  }
  const made = (await (await request.post(`/api/pens?workshop=${own.id}`, { data: first })).json()) as Pen
  await setAside(request, [made.id])
}

async function setAside(request: APIRequestContext, pens: readonly string[]) {
  const payload = { how: 'set aside', why: 'not now' }
  const away = (pen: string) =>
    ({ id: randomUUID(), pen, kind: 'away', payload, barrels: ['only'], device: 'x', at: new Date().toISOString() })
  expect((await request.post('/api/events', { data: { events: pens.map(away) } })).status()).toBe(200)
}

const dayAt = (days: number) => format(addDays(new Date(), days), 'yyyy-MM-dd')
/** Nobody is there but on these days from now, from 19:00 to 21:30. */
async function hours(request: APIRequestContext, ...days: number[]) {
  const say = (day: string, spans: object[]) => request.put('/api/evenings/hours', { data: { who: 'turner', day, spans } })
  for (const day of ['1', '2', '3', '4', '5', '6', '7']) await say(day, [])
  for (const day of days) await say(dayAt(day), [{ from: '19:00', to: '21:30' }])
}
const row = (page: Page, mark: string) => page.locator('.chart .row').filter({ has: page.getByText(mark, { exact: true }) })
const rested = (page: Page) => expect(page.getByRole('status').filter({ hasText: /No order|Another order/ })).toBeVisible()

test('six pens in evenings: what is tonight, what the night does, what is late and what would keep it; a wish, an entry', async ({
  page, request, pen,
}) => {
  test.setTimeout(120_000)
  await inOwn(request)
  await hours(request, 1, 2, 3, 4, 5)
  const marks = ['A1', 'A2', 'A3', 'B1', 'B2', 'B3']
  const pens = []
  for (const mark of marks) pens.push(await pen({ mark, name: `Apple ${mark}`, due: dayAt(mark === 'B3' ? 2 : 9) }))
  await workTo(request, pens[0]!, step => step.id === 'coat.1')
  await page.goto('/evenings')
  await rested(page)
  // Whoever wants a better order has it looked for longer, and ends that at any time.
  const search = page.getByRole('progressbar', { name: 'Looking for a better order' })
  await expect(search).toBeHidden()
  await page.getByRole('button', { name: 'Look longer' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Looking for a better order' })).toBeVisible()
  await expect(search).toBeVisible()
  await page.getByRole('button', { name: 'That will do' }).click()
  // At once, not when its minute is over or it has come to an end by itself.
  await expect(search).toBeHidden({ timeout: 3000 })
  await rested(page)
  // B3 is promised for the second day, and its film alone cures longer than that.
  await expect(page.getByText(/◆ B3 is (one|two|three) evenings? short, promised for/)).toBeVisible()
  await expect(page.getByText('two hours more on one evening would not keep it')).toBeVisible()
  for (const mark of marks) await expect(row(page, mark)).toBeVisible()
  await expect(row(page, 'B3').getByText('late')).toBeVisible()
  // The night is used: tubes are glued before the turner goes, and told so.
  await expect(page.getByText(/Before you go glue .*over night/)).toBeVisible()
  const list = page.getByRole('region', { name: /as the hands go/ })
  await expect(list.getByRole('link').first()).toContainText(/19:0\d/)
  const rest = list.getByRole('button', { name: /^The rest of the evening/ })
  if (await rest.isVisible()) await rest.click()
  await expect(list.getByRole('link').filter({ hasText: 'goes on over night' }).first()).toBeVisible()

  // A wish: what it costs is said first; then all of the pen lies after it, and it can be taken back.
  const block = row(page, 'A2').getByRole('button').first()
  await block.focus()
  await page.keyboard.press('Enter')
  const picked = page.getByRole('region', { name: 'Check the parts' })
  await expect(picked.getByRole('button', { name: `Not ${format(addDays(new Date(), 1), 'EEE d MMM')}`, exact: true })).toBeVisible()
  const later = picked.getByRole('button', { name: /^Not before/ }).first()
  await later.focus()
  await expect(picked.getByRole('status')).toContainText(/It costs nothing|on average|would miss/)
  await later.click()
  await expect(list.getByRole('link').filter({ hasText: 'A2' })).toHaveCount(0)
  const pins = async () => ((await (await request.get('/api/evenings')).json()) as EveningsKept).pins
  expect(await pins()).toMatchObject([{ pen: pens[1]!.id, kind: 'not before' }])
  const wishes = page.getByRole('region', { name: 'As you want it' })
  await expect(wishes.getByRole('listitem')).toHaveText(/^A2, Check the parts\s*Not before/)
  await row(page, 'A2').getByRole('button').first().press('Enter')
  await page.getByRole('button', { name: 'Take back', exact: true }).click()
  await expect(list.getByRole('link').filter({ hasText: 'A2' }).first()).toBeVisible()
  expect(await pins()).toEqual([])

  // The same with a finger: what it costs is said where it is held, it is told when it lies there, and put back.
  await rested(page)
  const from = (await row(page, 'A3').getByRole('button').first().boundingBox())!
  const lane = (await row(page, 'A3').locator('.lane').boundingBox())!
  await page.mouse.move(from.x + 8, from.y + 8)
  await page.mouse.down()
  await page.mouse.move(lane.x + 0.25 * lane.width, from.y + 8, { steps: 4 })
  const held = row(page, 'A3').getByRole('status')
  await expect(held).toHaveText(/^[^.]+\. Not before .*\d\d:\d[05]\. (It costs nothing|Pens are ready .* on average|.* would miss)/)
  // Pieces of a minute lie close: which one the finger took is said.
  const piece = must(/^[^.]+/.exec(await held.innerText()), 'it is said')[0]
  expect(await pins()).toEqual([])
  await page.mouse.up()
  await expect(wishes.getByRole('listitem')).toHaveText(new RegExp(`^A3, ${piece}\\s*Not before`))
  const told = page.getByRole('listitem').filter({ hasText: `A3, ${piece}. Not before` })
  await told.getByRole('button', { name: 'Put it back' }).click()
  await expect(wishes).toHaveCount(0)
  expect(await pins()).toEqual([])

  // Pieces that are alike, in one go; that is taken back as a whole.
  await row(page, 'A2').getByRole('button').first().press('Enter')
  await page.getByRole('button', { name: /^In one go: / }).click()
  await expect.poll(async () => (await pins()).length).toBeGreaterThan(2)
  expect(new Set((await pins()).map(one => one.group)).size).toBe(1)
  await row(page, 'A2').getByRole('button').first().press('Enter')
  await page.getByRole('button', { name: 'Take back', exact: true }).click()
  await expect.poll(pins).toEqual([])

  // An entry that comes in from elsewhere: the rest follows.
  const blocks = row(page, 'A1').getByRole('button')
  await expect(blocks.first()).toHaveAccessibleName(/coat 1/)
  await workTo(request, pens[0]!, step => step.id === 'coat.2')
  await expect(blocks.first()).not.toHaveAccessibleName(/coat 1,/)

  // By a day: what can be ready, and what cannot.
  const by = page.getByRole('region', { name: 'Can it be done by ...' })
  await by.getByLabel('Day').fill(dayAt(2))
  await expect(by.getByRole('status')).toContainText(/No: .*B3/)
  await by.getByLabel('Day').fill(dayAt(60))
  await expect(by.getByRole('status')).toHaveText('Yes, nine times in ten: A1, A2, A3, B1, B2 and B3.')

  // A group is one tap from being worked together.
  const several = list.locator('a[href^="/together"]').first()
  const pensIn = (await several.getAttribute('href'))!.split('=')[1]!.split(',').length
  expect(pensIn).toBeGreaterThan(1)
  await several.click()
  await expect(page).toHaveURL(/\/together\?pens=/)
  await expect(page.locator('.tile')).toHaveCount(pensIn)
})

test('hours are typed, and wrong ones are told; no hours at all says what to do; a day is promised', async ({ page, request, pen }) => {
  await inOwn(request)
  await hours(request, 1, 2, 3, 4, 5, 6, 7, 8)
  await pen({ mark: 'H1' })
  await page.goto('/evenings')
  await page.getByRole('button', { name: 'Hours' }).click()
  const dialog = page.getByRole('dialog', { name: 'Hours' })
  const name = format(addDays(new Date(), 1), 'EEE d MMM')
  const from = dialog.getByLabel(`${name}, from`)
  await from.fill('half past six')
  await from.blur()
  await expect(dialog.getByRole('alert')).toHaveText('Should be a time like 19:30.')
  await from.fill('1830')
  await from.blur()
  await expect(dialog.getByRole('alert')).toHaveCount(0)
  // What is settable stays as it was set.
  await dialog.getByRole('radio', { name: 'more than 1 h' }).click()
  await dialog.getByRole('button', { name: 'Done' }).click()
  await expect(page.locator('.head').first()).toContainText('18:30–21:30')
  await page.reload()
  await page.getByRole('button', { name: 'Hours' }).click()
  await expect(page.getByRole('dialog', { name: 'Hours' }).getByRole('radio', { name: 'more than 1 h' })).toBeChecked()
  await page.keyboard.press('Escape')
  // The end of an evening by the keyboard: ten minutes later.
  const end = page.getByRole('button', { name: /^The end of/ }).first()
  await end.press('ArrowRight')
  await expect(page.locator('.head').first()).toContainText('18:30–21:35')

  await page.getByRole('button', { name: 'When may I promise?' }).click()
  const promise = page.getByRole('dialog', { name: 'When may I promise?' })
  await expect(promise.getByRole('status')).toContainText('holds nine times in ten')
  await expect(promise.getByRole('listitem').filter({ hasText: 'with accelerator on glue and CA coats' })).toBeVisible()
  await page.keyboard.press('Escape')

  await hours(request)
  for (const day of [1, 2, 3, 4, 5, 6, 7, 8])
    await request.put('/api/evenings/hours', { data: { who: 'turner', day: dayAt(day), spans: [] } })
  await expect(page.getByRole('heading', { name: 'No hours' })).toBeVisible()
  await page.getByRole('button', { name: 'Say your hours' }).click()
  await expect(dialog).toBeVisible()
})

test('hours of whoever helps, when the turner is not there, stand between the evenings: what is done in them and whose they are', async ({
  page, request, pen,
}) => {
  await inOwn(request)
  await hours(request, 1, 3)
  const say = (day: number, spans: object[]) => request.put('/api/evenings/hours', { data: { who: 'helper', day: dayAt(day), spans } })
  await say(2, [{ from: '09:00', to: '12:00' }])
  await say(3, [{ from: '20:00', to: '22:30' }])
  for (const mark of ['J1', 'J2', 'J3', 'J4']) await pen({ mark, due: dayAt(9) })
  await page.goto('/evenings')
  await rested(page)
  const heads = page.locator('.chart .head.evening')
  await expect(heads.locator('b')).toHaveText([1, 2, 3].map(day => format(addDays(new Date(), day), 'EEE d MMM')))
  // Where both are there for a while it is one evening, as long as anybody is there.
  await expect(heads.locator('.hours')).toHaveText(['19:00–21:30', '09:00–12:00', '19:00–22:30'])
  const line = (name: string) => page.locator('.chart .hands').filter({ hasText: name })
  await expect(line('who helps').locator('.work').first()).toBeVisible()
  await expect(line('your hands').getByTitle('your hands: not there')).toHaveCount(2)
  await expect(line('who helps').getByTitle('who helps: not there')).toHaveCount(2)
  // Everybody’s hours have two ends.
  await expect(page.getByRole('button', { name: /^The (beginning|end) of/ })).toHaveCount(8)
  const list = page.getByRole('region', { name: `${format(addDays(new Date(), 2), 'EEE d MMM')}, for whoever helps` })
  await expect(list.getByRole('link').first()).toContainText(/\d\d:\d\d/)
  const ends = page.getByRole('button', { name: new RegExp(`^The end of ${format(addDays(new Date(), 3), 'EEE d MMM')}, 21:30`) })
  await ends.focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('button', { name: /^The end of .*, 21:35/ })).toBeVisible()
  await expect(heads.locator('.hours').last()).toHaveText('19:00–22:30')
  // Whoever helps comes half an hour sooner, drawn out by the finger: told while it is held, and kept.
  const begins = page.getByRole('button', { name: /^The beginning of .* for whoever helps, 09:00/ })
  const [held, column] = [(await begins.boundingBox())!, (await heads.nth(1).boundingBox())!]
  await page.mouse.move(held.x + held.width / 2, held.y + held.height / 2)
  await page.mouse.down()
  await page.mouse.move(held.x + held.width / 2 - column.width / 6, held.y + held.height / 2, { steps: 4 })
  await expect(heads.locator('.hours').nth(1)).toHaveText('08:30–12:00')
  await page.mouse.up()
  await expect(page.getByRole('button', { name: /^The beginning of .* for whoever helps, 08:30/ })).toBeVisible()
  expect(await (await request.get('/api/evenings/hours')).json())
    .toContainEqual({ who: 'helper', day: dayAt(2), spans: [{ from: '08:30', to: '12:00' }] })
  // They are called by their name, once it was said.
  await page.getByRole('button', { name: 'Hours', exact: true }).click()
  await page.getByLabel('Somebody who helps').check()
  await page.getByLabel('What they are called').fill('Rowan')
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(line('Rowan').locator('.work').first()).toBeVisible()
  await expect(page.getByRole('region', { name: `${format(addDays(new Date(), 2), 'EEE d MMM')} · Rowan` })).toBeVisible()
  await page.goto('/evenings/sheet')
  await expect(page.getByRole('heading', { name: /^\w+ .* 08:30 to 12:00 · Rowan$/ })).toBeVisible()
  for (const day of [2, 3]) await request.put('/api/evenings/hours', { data: { who: 'helper', day: dayAt(day), spans: null } })
})

test('the sheet prints the evenings without keys, and the calendar has them', async ({ page, request, pen }) => {
  await inOwn(request)
  await hours(request, 1, 2, 3)
  const helping = { who: 'helper', day: dayAt(2), spans: [{ from: '19:00', to: '20:30' }] }
  expect((await request.put('/api/evenings/hours', { data: helping })).status()).toBe(200)
  const { celsius: _c, humidity: _h, cautions: _k, ...workshop } = (await (await request.get('/api/workshop')).json()) as Workshop
  expect((await request.put('/api/workshop', { data: { ...workshop, helper: 'Rowan' } })).status()).toBe(200)
  await pen({ mark: 'P1', due: dayAt(6) })
  await pen({ mark: 'P2', name: 'Apple 梨', due: dayAt(8) })
  // Gone to at once, where no evening was planned before: it is kept from here too.
  const keeping = page.waitForResponse(answer => answer.url().includes('/api/evenings/plan'))
  await page.goto('/evenings/sheet')
  await expect(page.getByRole('heading', { name: 'The coming evenings' })).toBeVisible()
  const first = page.getByRole('row').filter({ hasText: 'P1' }).first()
  await expect(first).toContainText('19:')
  expect((await keeping).status()).toBe(200)
  await expect(page.getByText('Papers have no letters for 梨.')).toBeVisible()
  // The file has what stands here, line by line, and what is promised; while it was made a better order may have been found.
  let paper = ''
  await expect(async () => {
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Save as PDF' }).click()])
    expect(file.suggestedFilename()).toBe('oxlip-evenings.pdf')
    paper = textOf(await readFile(await file.path())).replace(/\s+/g, ' ')
    for (const cell of await first.getByRole('cell').filter({ hasText: /./ }).allInnerTexts()) expect(paper).toContain(cell)
  }).toPass()
  expect(paper).toMatch(/ Promised .+ \d+ \w+: P1 Test apple/)
  // Whoever helps has a list of their own, with what they do in their hours.
  const helper = page.locator('section').filter({ has: page.getByRole('heading', { name: /19:00 to 20:30 · Rowan$/ }) })
  await expect(helper.getByRole('row').first()).toBeVisible()
  expect(paper).toContain('19:00 to 20:30 · Rowan 19:0')
  // Without the server it says so, and what stands here stays.
  await page.route('**/api/papers/**', route => route.abort())
  await page.getByRole('button', { name: 'Save as PDF' }).click()
  await expect(page.getByRole('alert')).toContainText('server does not answer')
  await page.unroute('**/api/papers/**')
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
  await page.emulateMedia({ media: 'screen' })
  await page.getByRole('button', { name: 'Make a secret address' }).click()
  const address = await page.locator('.calendar code').textContent()
  const text = await (await request.get(address!)).text()
  expect(text).toContain('BEGIN:VEVENT')
  expect(text).toContain('P1')
  expect(text).toContain('SUMMARY:Rowan: ')
  await page.getByRole('button', { name: 'Take it away' }).click()
  await expect(page.getByRole('button', { name: 'Make a secret address' })).toBeVisible()
  expect((await request.get(address!)).status()).toBe(404)
})

test('in hours that were said the bench has next what the evenings have first; outside of them what stands idle', async ({
  page, request, pen,
}) => {
  await inOwn(request)
  await hours(request)
  await request.put('/api/evenings/hours', { data: { who: 'turner', day: dayAt(0), spans: [{ from: '00:00', to: '24:00' }] } })
  await request.put('/api/evenings/hours', { data: { who: 'turner', day: dayAt(1), spans: [{ from: '00:00', to: '24:00' }] } })
  const begun = await pen({ mark: 'N1', name: 'Apple N1' })
  const promised = await pen({ mark: 'N2', name: 'Apple N2', due: dayAt(1) })
  for (const one of [begun, promised]) await workTo(request, one, step => step.id === 'turn')
  await page.goto('/evenings')
  await rested(page)
  const wish = { id: randomUUID(), pen: begun.id, kind: 'first', step: null, at: null, weight: null, group: null }
  expect((await request.put('/api/evenings/pins', { data: wish })).status()).toBe(200)
  const list = page.getByRole('region', { name: /as the hands go/ })
  await expect(list.getByRole('link').first()).toContainText('N1')
  // What the evenings have first, the bench has next, and the key 0 goes there.
  await page.goto('/')
  await expect(page.locator('header p')).toHaveText(/^next: N1, you want it first/)
  await page.goto(`/pens/${promised.id}/work`)
  await expect(page.locator('nav .why')).toHaveText(/^Next N1: .+, you want it first\. key 0$/)
  await page.keyboard.press('0')
  await expect(page.locator('nav .why')).toHaveText('This one next, you want it first.')
  // The wish is taken back, and the reason with it.
  expect((await request.delete(`/api/evenings/pins/${wish.id}`)).status()).toBe(200)
  await expect(page.locator('nav .why')).toHaveText(/with another first, |as good as any, as the evenings are planned/)
  // Without hours for now it goes by what stands idle again.
  for (const day of [0, 1]) await request.put('/api/evenings/hours', { data: { who: 'turner', day: dayAt(day), spans: [] } })
  await expect(page.locator('nav .why')).not.toHaveText(/with another first, |as the evenings are planned|you want it first/)
  await expect(page.locator('nav .why')).toHaveText(/next/i)
})

test('a page that is opened anew goes on with the order that was shown last, on whichever device', async ({ page, request, pen }) => {
  await inOwn(request)
  const { pens: others } = (await (await request.get('/api/pens?limit=100')).json()) as PenPage
  const open = others.filter(({ summary }) => ['planned', 'in work'].includes(summary.stage)).map(one => one.pen.id)
  if (open.length) await setAside(request, open)
  await hours(request)
  for (const day of [0, 1]) {
    await request.put('/api/evenings/hours', { data: { who: 'turner', day: dayAt(day), spans: [{ from: '00:00', to: '24:00' }] } })
  }
  // Three pens that are alike in everything: any order of them is as good.
  const alike: Pen[] = []
  for (const mark of ['M1', 'M2', 'M3']) alike.push(await pen({ mark, name: `Apple ${mark}` }))
  for (const one of alike) await workTo(request, one, step => step.id === 'turn')
  const shown = async () => ((await (await request.get('/api/evenings')).json()) as EveningsKept).shown
  await page.goto('/evenings')
  await rested(page)
  await expect.poll(async () => new Set((await shown()).map(one => one.pen)).size).toBe(3)
  await page.goto('about:blank')
  const [first, other] = [...new Set((await shown()).map(one => one.pen))] as [string, string]
  const next = async (id: string) => {
    await page.goto('/')
    await expect(page.locator('header p')).toHaveText(new RegExp(`^next: ${alike.find(one => one.id === id)!.mark},`))
  }
  await next(first)
  // Elsewhere the same was shown with two of them changed about.
  const swapped = (pen: string) => (pen === first ? other : pen === other ? first : pen)
  const moment = new Date().toISOString()
  const blocks = (await shown()).map(({ pen, step }) => ({ pen: swapped(pen), step, begins: moment, ends: moment }))
  const plan = { day: dayAt(0), madeAt: moment, evenings: [], waits: [], promised: [], blocks }
  expect((await request.put('/api/evenings/plan', { data: plan })).status()).toBe(200)
  await next(other)
})

test('an evening that is over counts the pens that were finished in it too', async ({ page, request, pen }) => {
  await inOwn(request)
  await hours(request, 1, 2)
  await pen({ mark: 'E2' })
  const made = await pen({ mark: 'E1', method: 'oil' })
  const { steps } = await kept(request, made)
  const begun = addDays(new Date(), -1).setHours(19, 0, 0, 0)
  const at = (minute: number) => new Date(begun + minute * 60_000).toISOString()
  const events = steps.map((step, index) => (
    { id: randomUUID(), pen: made.id, kind: 'done', payload: { step: step.id }, barrels: ['only'], device: 'x', at: at(index) }))
  expect((await request.post('/api/events', { data: { events } })).status()).toBe(200)
  const blocks = steps.slice(0, 3).map(({ id }, index) => ({ pen: made.id, step: id, begins: at(index), ends: at(index + 1) }))
  const data = {
    day: dayAt(-1), madeAt: at(0), evenings: [{ from: at(0), to: at(150), groups: [] }], waits: [], promised: [], blocks,
  }
  expect((await request.put('/api/evenings/plan', { data })).status()).toBe(200)
  await page.goto('/evenings')
  await expect(page.getByText('All 3 pieces of work that were laid into it were done.')).toBeVisible()
})
