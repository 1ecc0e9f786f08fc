import { chromium, expect, test as base, type Page } from '@playwright/test'
import { Secret, TOTP } from 'otpauth'
import type { WorkshopList } from '../../contract'
import { chromiumLaunch } from '../../scripts/lib/chromium'
import { startStand, type Stand } from '../../scripts/lib/stand'
import { machineName } from '../../server/network/names'
import { press } from '../support/bench'
import { accessOf, codeFor, somebody } from '../support/door'
import { trusting, type Trusting } from '../support/trusting'

/** An Oxlip that listens as on a network, and a Chromium that trusts its authority: its devices are the tablet and the phone. */
const test = base.extend<{ stand: Stand, trusts: Trusting }>({
  // Playwright reads what a fixture needs from this pattern.
  // eslint-disable-next-line no-empty-pattern
  stand: async ({}, use) => {
    const stand = await startStand({ isShared: true })
    await use(stand)
    await stand.end()
  },
  trusts: async ({ stand }, use) => {
    const trusts = await trusting(`${stand.network!.folder}/authority.pem`, [machineName()])
    await use(trusts)
    await trusts.end()
  },
  baseURL: ({ stand }, use) => use(stand.address),
})
const opens = async (stand: Stand): Promise<string> =>
  ((await (await fetch(`${stand.address}/api/workshops`)).json()) as WorkshopList).opens
const port = (stand: Stand) => new URL(stand.network!.secure).port
/** The same place under the machine’s own name. */
const byName = (stand: Stand) => `https://${machineName()}:${port(stand)}`

const PEN = {
  mark: 'Q1', name: 'My first', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'oil', tool: 'skew', film: 'gloss',
}

/** What is read off a picture of an address: it is drawn from this text and nothing else. */
const readOff = async (page: Page): Promise<string> => {
  const label = await page.getByRole('img', { name: /A picture of the address/ }).getAttribute('aria-label')
  return /address (\S+),/.exec(label ?? '')![1]!
}

test('the owner adds themselves and lets a tablet in by a picture; the tablet works there, without the network too', async ({
  stand, trusts, page, request,
}) => {
  test.setTimeout(180_000)
  await page.goto('/people')
  await expect(page.getByText('Nobody yet. On this machine nothing is asked.')).toBeVisible()
  await page.getByRole('button', { name: 'Somebody new' }).click()
  const form = page.getByRole('form', { name: 'Somebody new' })
  await form.getByLabel('Name').fill('Hazel Ash')
  await expect(form.getByLabel('Mark, one to three letters')).toHaveValue('HA')
  await form.getByRole('combobox', { name: 'May do here' }).click()
  await page.getByRole('option', { name: 'Owner: everything' }).click()
  await form.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText('owner, looks after the installation')).toBeVisible()
  await page.getByRole('button', { name: /^Let a device in/ }).click()
  const link = await readOff(page)
  expect(link).toMatch(/^https:\/\/localhost:\d+\/door#[2-9A-Z]{4}-[2-9A-Z]{4}$/)

  const tablet = await (await trusts.device()).newPage()
  await tablet.goto(link)
  await expect(tablet.getByLabel('Code')).toHaveValue(link.split('#')[1]!)
  expect(new URL(tablet.url()).hash).toBe('')
  await tablet.getByLabel('What this device is called').fill('Tablet at the lathe')
  await tablet.getByRole('button', { name: 'Come in' }).click()
  await expect(tablet.getByRole('heading', { name: /No pens yet|on the bench/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('list', { name: 'Devices of Hazel Ash' }).getByText('Tablet at the lathe', { exact: true }).first())
    .toBeVisible()

  // It wakes, makes ids, keeps pages: all that needs a secure line.
  expect(await tablet.evaluate(async () => [
    isSecureContext, 'wakeLock' in navigator, typeof crypto.randomUUID(), Boolean((await navigator.serviceWorker.ready).active),
  ])).toEqual([true, true, 'string', true])
  const workshop = await opens(stand)
  expect(workshop).toBeTruthy()
  await expect.poll(() => tablet.evaluate(async () =>
    (await (await caches.open('oxlip-answers')).keys()).some(one => one.url.includes('/api/door'))), { timeout: 60_000 }).toBe(true)
  await tablet.context().setOffline(true)
  await tablet.goto(`${stand.network!.secure}/shelf`)
  await expect(tablet.locator('main').getByRole('heading').first()).toBeVisible()
  await expect(tablet.getByText(/not connected|not fresh/).first()).toBeVisible()
  await tablet.context().setOffline(false)

  // Taken away with one tap it is out, and nothing of the workshop is left in its browser.
  await tablet.goto(`${stand.network!.secure}/`)
  await expect(tablet.getByText('· HA')).toBeVisible()
  await page.getByRole('button', { name: 'Take away Tablet at the lathe' }).click()
  await expect(tablet.getByRole('heading', { name: 'oxlip' })).toBeVisible()
  await expect(tablet.getByLabel('Code')).toBeVisible()
  expect(await tablet.evaluate(async () => (await (await caches.open('oxlip-answers')).keys()).map(one => new URL(one.url).pathname)))
    .not.toContain('/api/pens')
  expect(await (await request.get(`/api/people/access?workshop=${workshop}`)).json()).toMatchObject({ devices: [] })
})

const phoneOf = async (trusts: Trusting): Promise<Page> =>
  (await trusts.device({ viewport: { width: 390, height: 844 } })).newPage()
/** Tries the door by name and password. */
async function signIn(page: Page, name: string, password: string) {
  await page.getByRole('button', { name: 'By name and password' }).click()
  await page.getByLabel('Name', { exact: true }).fill(name)
  await page.getByLabel('Password or PIN', { exact: true }).fill(password)
  await page.getByRole('button', { name: 'Come in' }).click()
}

test('a stranger by the machine’s own name finds the door; by name and password they are in, and sign out of it again', async ({
  stand, trusts, request,
}) => {
  test.setTimeout(120_000)
  const workshop = await opens(stand)
  const person = await somebody(request, workshop, 'maker', 'apple wood 9')
  const phone = await phoneOf(trusts)
  await phone.goto(`${byName(stand)}/pens`)
  await expect(phone.getByRole('heading', { name: 'oxlip' })).toBeVisible()
  expect(await phone.content()).not.toContain(person.name)
  await signIn(phone, person.name, 'pear wood 9')
  await expect(phone.getByText('Name and password do not go together.')).toBeVisible()
  await phone.getByLabel('Password or PIN', { exact: true }).fill('apple wood 9')
  await phone.getByRole('button', { name: 'Come in' }).click()
  await expect(phone.getByText('· X')).toBeVisible()
  expect((await accessOf(request, workshop)).devices.map(one => [one.name, one.how])).toEqual([['Computer', 'signed in']])
  await phone.getByRole('button', { name: /set air, units/ }).click()
  await phone.getByRole('button', { name: 'Sign out' }).click()
  await expect(phone.getByLabel('Code')).toBeVisible()
  const left = () => phone.evaluate(async () => [
    ...(await indexedDB.databases()).map(one => one.name).filter(name => name?.startsWith('oxlip-')),
    ...Object.keys(localStorage).filter(key => key.startsWith('oxlip') && !key.startsWith('oxlip-theme')),
  ])
  await expect.poll(left).toEqual([])
  expect((await accessOf(request, workshop)).devices).toEqual([])
})

test('a new password is judged and can be seen while it is typed; a second step is set up, and the door asks for it', async ({
  stand, trusts, request,
}) => {
  test.setTimeout(120_000)
  const workshop = await opens(stand)
  const person = await somebody(request, workshop, 'maker', 'apple wood 9')
  const phone = await phoneOf(trusts)
  await phone.goto(`${byName(stand)}/door`)
  await signIn(phone, person.name, 'apple wood 9')
  await phone.getByRole('button', { name: /set air, units/ }).click()
  await phone.getByText('Your password and second step').click()
  await phone.getByLabel('The password you have').fill('apple wood 9')
  await phone.getByLabel('A new password or PIN', { exact: true }).fill('123456')
  await expect(phone.getByText('found at once')).toBeVisible()
  await phone.getByRole('button', { name: 'Keep the new one' }).click()
  await expect(phone.getByText(/among the first that anybody tries/)).toBeVisible()
  await phone.getByLabel('A new password or PIN', { exact: true }).fill('damson and quince')
  await expect(phone.getByText('very hard to find')).toBeVisible()
  await phone.getByRole('button', { name: 'Show what is typed as A new password or PIN' }).click()
  await expect(phone.getByLabel('A new password or PIN', { exact: true })).toHaveAttribute('type', 'text')
  await phone.getByRole('button', { name: 'Keep the new one' }).click()
  await expect(phone.getByText(/^Kept\./)).toBeVisible()
  await phone.getByText('Second step at the door').click()
  await phone.getByLabel('Your password, for the second step').fill('damson and quince')
  await phone.getByRole('button', { name: 'Set it up' }).click()
  const secret = Secret.fromBase32((await phone.locator('.letters').textContent())!.replace(/\s/g, ''))
  const figures = (ahead = 0) => TOTP.generate({ secret, timestamp: Date.now() + ahead })
  await phone.getByLabel('The six figures it shows now').fill(figures())
  await phone.getByRole('button', { name: 'From now on ask for them' }).click()
  await expect(phone.getByText('asked for', { exact: true })).toBeVisible()
  const other = await phoneOf(trusts)
  await other.goto(`${byName(stand)}/door`)
  await signIn(other, person.name, 'damson and quince')
  await expect(other.getByText('And the six figures that your other device shows.')).toBeVisible()
  await other.getByLabel('Figures of the second step').fill(figures(30_000))
  await other.getByRole('button', { name: 'Come in' }).click()
  await expect(other.getByText('· X')).toBeVisible()
})

test('a pupil has their own pens on the bench, sees those of others, and works on none but their own', async ({
  stand, trusts, request,
}) => {
  test.setTimeout(120_000)
  const { workshops } = (await (await request.get('/api/workshops')).json()) as WorkshopList
  const demo = workshops.find(one => one.kind === 'demo')!.id
  const person = await somebody(request, demo, 'pupil')
  const { code } = await codeFor(request, demo, person)
  const phone = await phoneOf(trusts)
  await phone.goto(`${stand.network!.secure}/door#${code}`)
  await phone.getByRole('button', { name: 'Come in' }).click()
  await expect(phone.getByRole('heading', { name: 'Nothing on the bench' })).toBeVisible()
  await phone.goto(`${stand.network!.secure}/pens`)
  await expect(phone.getByText('Plum, north row').first()).toBeVisible()
  await expect(phone.getByRole('link', { name: 'Orders', exact: true })).toHaveCount(0)
  await phone.goto(`${stand.network!.secure}/shelf`)
  await phone.getByRole('combobox', { name: 'Part of the shelf' }).click()
  await expect(phone.getByRole('option', { name: 'Cutting' })).toBeVisible()
  await expect(phone.getByRole('option', { name: 'Prices' })).toHaveCount(0)
  await phone.keyboard.press('Escape')
  // What makers and owners change is looked at, and not offered to be changed.
  await expect(phone.getByText('The shelf is changed here by makers and owners.')).toBeVisible()
  await expect(phone.getByLabel(/^How worn P320 is/)).toBeDisabled()
  await phone.goto(`${stand.network!.secure}/shelf/devices`)
  await expect(phone.getByText('The shelf is changed here by makers and owners.')).toHaveCount(0)
  await phone.goto(`${stand.network!.secure}/evenings`)
  await expect(phone.locator('.chart')).toBeVisible()
  await expect(phone.getByRole('button', { name: 'Hours', exact: true })).toHaveCount(0)
  await expect(phone.getByRole('button', { name: /^The end of/ })).toHaveCount(0)
  // The fair is for whoever looks: pens and what is asked for them, nothing to sell and no places.
  await phone.goto(`${stand.network!.secure}/pens/fair`)
  await phone.locator('.pens .head').first().click()
  await expect(phone.getByRole('link', { name: 'Its record' })).toBeVisible()
  await expect(phone.getByRole('button', { name: /^Sold|^Given away/ })).toHaveCount(0)
  await expect(phone.getByRole('combobox', { name: 'Place' })).toHaveCount(0)
  // One of an owner: it is seen, and no key stands there.
  const others = (await (await request.get('/api/bench')).json()) as { pens: { pen: { id: string } }[] }
  await phone.goto(`${stand.network!.secure}/pens/${others.pens[0]!.pen.id}/work`)
  await expect(phone.getByText('This pen is an owner’s. You work on your own.')).toBeVisible()
  await expect(phone.getByRole('button', { name: 'Something is wrong' })).toHaveCount(0)
  // Their own: it stands on their bench, and its record names them.
  const mine = await phone.evaluate(async ({ workshop, data }) => {
    const how = { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(data) }
    return ((await (await fetch(`/api/pens?workshop=${workshop}`, how)).json()) as { id: string }).id
  }, { workshop: demo, data: PEN })
  await phone.goto(`${stand.network!.secure}/pens/${mine}/work`)
  await phone.getByRole('button', { name: /^Begin/ }).click()
  await press(phone, /^Parts there/, /^Cut/)
  await phone.goto(`${stand.network!.secure}/`)
  await expect(phone.getByRole('heading', { name: 'One on the bench' })).toBeVisible()
  await phone.goto(`${stand.network!.secure}/pens/${mine}/record`)
  await expect(phone.getByText(`Pen of ${person.name}.`)).toBeVisible()
  await expect(phone.getByText(new RegExp(`Entered by ${person.name}, \\d entr`))).toBeVisible()
})

test('without the authority a browser is told; where the certificate is handed out its fingerprint is the owner’s', async ({
  stand, page, context, request,
}) => {
  await expect(page.goto(stand.network!.secure)).rejects.toThrow(/ERR_CERT_AUTHORITY_INVALID/)
  const plain = await context.newPage()
  await plain.goto(stand.network!.plain)
  await expect(plain.getByRole('link', { name: 'Fetch the certificate' })).toBeVisible()
  const shown = (await plain.locator('code').innerText()).replace(/\s+/g, ':')
  expect((await accessOf(request, await opens(stand))).network!.fingerprint).toBe(shown)
})

test('at a plain address other than loopback Oxlip says what to do instead of half working, and lets nobody in', async () => {
  process.env.OXLIP_HOSTS = 'bench.test'
  const stand = await startStand()
  delete process.env.OXLIP_HOSTS
  const launch = chromiumLaunch()
  const browser = await chromium.launch({ ...launch, args: [...launch.args, '--host-resolver-rules=MAP bench.test 127.0.0.1'] })
  const page = await browser.newPage()
  await page.goto(stand.address.replace('127.0.0.1', 'bench.test'))
  await expect(page.getByRole('heading', { name: 'Not by this address' })).toBeVisible()
  // Behind a proxy nobody sits at the machine itself: some hand everything on as if it came from here.
  expect((await fetch(`${stand.address}/api/pens`)).status).toBe(401)
  await browser.close()
  await stand.end()
})

test('a code that a made-up device guesses at is no use; the owner is told on the page', async ({ stand, trusts, page, request }) => {
  const workshop = await opens(stand)
  const person = await somebody(request, workshop, 'pupil')
  await codeFor(request, workshop, person)
  const phone = await (await trusts.device()).newPage()
  await phone.goto(`${stand.network!.secure}/door`)
  for (let times = 0; times < 6; times++) {
    await phone.getByLabel('Code').fill(`AAAA-AAA${times + 2}`)
    await phone.getByRole('button', { name: 'Come in' }).click()
    await expect(phone.getByText(/This code is not good|Too many tries/).first()).toBeVisible()
    await expect(phone.getByRole('button', { name: 'Come in' })).toBeEnabled({ timeout: 10_000 })
  }
  await page.goto('/people')
  const tried = page.getByRole('region', { name: 'Tried in vain in the last week' })
  await expect(tried).toContainText(/127\.0\.0\.1.*: [56] times/)
})
