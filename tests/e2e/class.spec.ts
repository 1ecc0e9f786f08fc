import { expect, test as base } from '@playwright/test'
import type { ClassPage, WorkshopList } from '../../contract'
import { startStand, type Stand } from '../../scripts/lib/stand'
import { press } from '../support/bench'
import { codeFor, somebody } from '../support/door'
import { holding } from '../support/holding'
import { trusting, type Trusting } from '../support/trusting'

const test = base.extend<{ stand: Stand, trusts: Trusting }>({
  // Playwright reads what a fixture needs from this pattern.
  // eslint-disable-next-line no-empty-pattern
  stand: async ({}, use) => {
    const stand = await startStand({ isShared: true })
    await use(stand)
    await stand.end()
  },
  trusts: async ({ stand }, use) => {
    const trusts = await trusting(`${stand.network!.folder}/authority.pem`)
    await use(trusts)
    await trusts.end()
  },
  baseURL: ({ stand }, use) => use(stand.address),
})

test('a teacher sets a class up; a pupil says yes, asks for a look, and goes on when it was taken; marks stand on the sheet', async ({
  stand, trusts, page, request,
}) => {
  test.setTimeout(180_000)
  const { workshops } = (await (await request.get('/api/workshops')).json()) as WorkshopList
  const demo = workshops.find(one => one.kind === 'demo')!.id
  const [pupil, late] = [await somebody(request, demo, 'pupil'), await somebody(request, demo, 'pupil')]
  // What it makes is chosen from the shelf: the form waits for it.
  const letGo = await holding(page, '**/api/fittings?*')
  await page.goto('/classes')
  await page.getByRole('button', { name: 'Set a class up' }).click()
  await expect(page.getByText('Fetching the shelf')).toBeVisible()
  letGo()
  const form = page.getByRole('form', { name: 'A class' })
  await form.getByLabel('What the class is called').fill('Saturday beginners')
  await form.getByLabel('cutting blanks').check()
  await form.getByLabel(pupil.name).check()
  await form.getByRole('button', { name: 'Set the class up' }).click()
  await expect(page.getByRole('heading', { name: 'Saturday beginners' })).toBeVisible()
  // On the list of classes it stands with what it makes, by its names.
  await page.goto('/classes')
  const entry = page.getByRole('listitem').filter({ hasText: 'Saturday beginners' })
  await expect(entry).toContainText(/1 pen · .+, [A-Z][a-z]+[a-z ]*, [A-Z]/)
  await entry.getByRole('link').click()
  await expect(page.getByRole('heading', { name: 'Saturday beginners' })).toBeVisible()
  const seat = page.getByRole('listitem').filter({ hasText: pupil.name })
  await expect(seat).toContainText('Check the parts')
  // Who is let into the class elsewhere is there too.
  const its = new URL(page.url()).pathname
  expect((await request.post(`/api${its}/pupils?workshop=${demo}`, { data: { people: [late.id] } })).ok()).toBe(true)
  await expect(page.getByRole('listitem').filter({ hasText: late.name })).toContainText('Check the parts')

  const { code } = await codeFor(request, demo, pupil)
  const phone = await (await trusts.device({ viewport: { width: 390, height: 844 } })).newPage()
  await phone.goto(`${stand.network!.secure}/door#${code}`)
  await phone.getByRole('button', { name: 'Come in' }).click()
  await phone.getByRole('link', { name: /Saturday beginners/ }).first().click()
  await phone.getByRole('link', { name: 'Begin at the bench' }).click()
  await phone.getByRole('button', { name: /^Begin/ }).click()
  await press(phone, /^Parts there/, /^Cut/)
  // One entry, and none after it for a while, is on the teacher’s page too.
  await expect(seat).toContainText('1 of')
  // Tools and cautions first: each has its tick, and the key comes with the last.
  const yes = phone.getByRole('button', { name: 'Yes to all of it' })
  await expect(yes).toBeDisabled()
  await expect(phone.getByText('I stop the lathe before I touch the pen.')).toBeVisible()
  await expect(phone.getByText(/Face shield on/)).toBeVisible()
  for (const box of await phone.getByRole('checkbox').all()) await box.check()
  await yes.click()
  await expect(phone.getByRole('heading', { name: 'Your teacher looks first, before cutting blanks' })).toBeVisible()
  await expect(phone.getByRole('button', { name: 'Something is wrong' })).toHaveCount(0)
  await phone.getByRole('button', { name: 'Ask for a look' }).click()
  await expect(phone.getByText(/^Asked for/)).toBeVisible()

  await expect(seat).toContainText('waits for you, before cutting blanks')
  await page.getByRole('button', { name: /Looked at, all who stand before a look: 1/ }).click()
  await expect(phone.getByRole('heading', { name: /Your teacher looks first/ })).toHaveCount(0)
  await expect(phone.getByRole('button', { name: 'Something is wrong' })).toBeVisible()
  await expect(seat).not.toContainText('waits for you')

  // Another teacher gives the class another name elsewhere.
  const { entry: now } = (await (await request.get(`/api${its}?workshop=${demo}`)).json()) as ClassPage
  const data = { version: now.version, name: 'Saturday, the beginners', work: now.work, ended: false }
  expect((await request.put(`/api${its}?workshop=${demo}`, { data })).ok()).toBe(true)
  await expect(page.getByRole('heading', { name: 'Saturday, the beginners' })).toBeVisible()

  await seat.getByRole('button', { name: /^Marks/ }).click()
  await seat.getByLabel('Shape, of ten').fill('7')
  await seat.getByLabel('In words').fill('A clean end')
  await seat.getByRole('button', { name: 'Keep the marks' }).click()
  await expect(seat.getByRole('button', { name: 'Keep the marks' })).toHaveCount(0)
  await page.getByRole('link', { name: 'Sheets' }).click()
  const sheet = page.getByRole('article').filter({ hasText: pupil.name })
  await expect(sheet).toContainText('7 of 10')
  await expect(sheet).toContainText('A clean end')
  await expect(sheet).toContainText('Looks taken: 1 of')
})
