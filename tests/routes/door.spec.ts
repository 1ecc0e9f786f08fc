import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import type { IncomingMessage } from 'node:http'
import { expect, test as base, type APIRequestContext } from '@playwright/test'
import { Secret, TOTP } from 'otpauth'
import type { Pen, Person, Refusal, WorkshopEntry, WorkshopList } from '../../contract'
import { roles, type Role } from '../../schemas'
import { startStand, type Stand } from '../../scripts/lib/stand'
import { ALLOWED, NEEDS } from '../../server/access/needs'
import { accessOf, codeFor, deviceOf, somebody, stranger } from '../support/door'

/** An Oxlip that listens as on a network, for all tests of this file. */
const test = base.extend<object, { stand: Stand }>({
  stand: [
    // Playwright reads what a fixture needs from this pattern.
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const stand = await startStand({ isShared: true })
      await use(stand)
      await stand.end()
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  baseURL: ({ stand }, use) => use(stand.address),
})
test.describe.configure({ mode: 'serial' })

const PEN = {
  mark: 'Q1', name: 'Mine', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'oil', tool: 'skew', film: 'gloss',
}
let marks = 100
const newPen = () => ({ ...PEN, mark: `Q${marks++}` })
const rooms = async (machine: APIRequestContext): Promise<{ own: WorkshopEntry, demo: WorkshopEntry }> => {
  const { workshops } = (await (await machine.get('/api/workshops')).json()) as WorkshopList
  return { own: workshops.find(one => one.kind === 'own')!, demo: workshops.find(one => one.kind === 'demo')! }
}
const look = (pen: string) => ({
  events: [{
    id: randomUUID(), pen, kind: 'done', payload: { step: 'parts' }, barrels: ['only'], device: 'tablet', at: '2026-11-23T20:00:00.000Z',
  }],
})

/** The live stream as a device hears it: what came until something did, and its end. */
async function followed(stand: Stand, device: APIRequestContext, workshop: string) {
  const cookie = (await device.storageState()).cookies.map(one => `${one.name}=${one.value}`).join('; ')
  const address = `${stand.network!.secure}/api/live?workshop=${workshop}&after=0`
  const { get } = await import('node:https')
  const answer = await new Promise<IncomingMessage>((tell, fail) =>
    get(address, { headers: { cookie }, rejectUnauthorized: false }, tell).on('error', fail))
  expect(answer.statusCode).toBe(200)
  let text = ''
  answer.setEncoding('utf8').on('data', (more: string) => {
    text += more
  })
  const over = new Promise<void>(tell => answer.once('close', tell))
  const heard = async (what: RegExp) => {
    await expect.poll(() => text).toMatch(what)
    return text
  }
  return { heard, over, leave: () => answer.destroy() }
}

/** What each route is asked with: the least that tells being let in from being sent away. */
const asked = (name: string, workshop: string) => {
  const [way = '', path = ''] = name.split(' ')
  const address = path.replace(/:(table)\b/, 'pens.csv').replace(/:(paper)\b/, 'job-card.pdf').replace(/:\w+/g, () => randomUUID())
  return { way, address: `${address}?workshop=${workshop}` }
}
/** Routes that answer on and on, or change what the others need; they are tried by themselves below. */
const APART = ['GET /api/live', 'DELETE /api/workshops/demo', 'PUT /api/workshops/demo', 'POST /api/workshops/demo', 'GET /api/backup']

test('every role is let in at the routes that are for it and no others; a stranger finds the door (matrix)', async ({ stand, request }) => {
  test.setTimeout(300_000)
  const { own } = await rooms(request)
  // Somebody else looks after the installation, so that none of these does.
  await somebody(request, own.id, 'owner')
  const devices = new Map<Role | 'stranger', APIRequestContext>([['stranger', await stranger(stand)]])
  for (const role of roles) devices.set(role, await deviceOf(stand, request, own.id, await somebody(request, own.id, role)))
  const wrong: unknown[] = []
  for (const [name, need] of Object.entries(NEEDS)) {
    if (APART.includes(name) || name.startsWith('POST /api/door') || name === 'GET /api/door') continue
    const { way, address } = asked(name, own.id)
    for (const [role, device] of devices) {
      const answer = await device.fetch(address, { method: way, ...(way === 'GET' ? {} : { data: {} }) })
      const sent = [401, 403].includes(answer.status()) ? answer.status() : 200
      const may = need === 'nothing' || (role !== 'stranger' && (need === 'somebody'
        || (need !== 'installation' && ALLOWED[need].includes(role))))
      // Somebody who is in may be told within that it is another’s: that is no matter of the role.
      const expected = may ? [200] : role === 'stranger' ? [401] : [403]
      if (may && need === 'somebody' && sent === 403) continue
      if (!expected.includes(sent)) wrong.push({ name, role, need, status: answer.status() })
      if (role === 'stranger' && need !== 'nothing') expect(await answer.text()).not.toMatch(/apple|Harrow|My workshop/i)
    }
  }
  expect(wrong).toEqual([])
  for (const name of APART) {
    const { way, address } = asked(name, own.id)
    expect([name, (await devices.get('stranger')!.fetch(address, { method: way })).status()]).toEqual([name, 401])
    if (name === 'GET /api/live') continue
    expect([name, (await devices.get('owner')!.fetch(address, { method: way })).status()]).toEqual([name, 403])
  }
})

test('a stranger is told no name and no count, whatever is asked', async ({ stand }) => {
  const nobody = await stranger(stand)
  expect(await (await nobody.get('/api/door')).json()).toEqual({ me: null, wait: 0 })
  for (const path of ['/', '/pens', '/door', '/people', '/sw.js']) {
    const answer = await nobody.get(path)
    expect([path, answer.status()]).toEqual([path, 200])
    expect(await answer.text()).not.toMatch(/Harrow Lane|My workshop|Plum, north row/)
  }
  expect((await nobody.get('/api/nothing-here')).status()).toBe(404)
})

test('a device that is taken away is out at once, its live stream too', async ({ stand, request }) => {
  const { own } = await rooms(request)
  const maker = await somebody(request, own.id, 'maker')
  const device = await deviceOf(stand, request, own.id, maker)
  const { heard, over } = await followed(stand, device, own.id)
  await heard(/pulse/)
  const { devices } = await accessOf(request, own.id)
  const one = devices.find(each => each.person === maker.id)!
  expect(one).toMatchObject({ name: `tablet of ${maker.name}`, how: 'paired', isThis: false })
  expect((await request.delete(`/api/devices/${one.id}?workshop=${own.id}`)).status()).toBe(200)
  await over
  expect((await device.get(`/api/pens?workshop=${own.id}`)).status()).toBe(401)
})

test('entries and pens carry whose they are; makers and pupils work on their own, owners on all', async ({ stand, request }) => {
  const { own } = await rooms(request)
  const [maker, pupil, owner]: Person[] = [
    await somebody(request, own.id, 'maker'), await somebody(request, own.id, 'pupil'), await somebody(request, own.id, 'owner'),
  ] as [Person, Person, Person]
  const [makes, learns, owns] = [
    await deviceOf(stand, request, own.id, maker!), await deviceOf(stand, request, own.id, pupil!),
    await deviceOf(stand, request, own.id, owner!),
  ]
  const mine = (await (await makes.post(`/api/pens?workshop=${own.id}`, { data: newPen() })).json()) as Pen
  expect(mine.maker).toBe(maker!.id)
  const enter = (device: APIRequestContext, pen: string) => device.post(`/api/events?workshop=${own.id}`, { data: look(pen) })
  expect((await enter(makes, mine.id)).status()).toBe(200)
  const refused = await enter(learns, mine.id)
  expect(refused.status()).toBe(422)
  expect(await refused.json()).toMatchObject({ fields: { 'events[0].pen': expect.stringMatching(/somebody else/) } })
  expect((await learns.patch(`/api/pens/${mine.id}?workshop=${own.id}`, { data: { version: 1, name: 'Theirs' } })).status()).toBe(403)
  expect((await learns.post(`/api/pens/${mine.id}/plan?workshop=${own.id}`, { data: { version: 1 } })).status()).toBe(403)
  expect((await enter(owns, mine.id)).status()).toBe(200)
  const { events } = (await (await learns.get(`/api/pens/${mine.id}?workshop=${own.id}`)).json()) as { events: { by?: string }[] }
  expect(events.map(one => one.by)).toEqual([maker!.id, owner!.id])
  // On the machine itself nobody is asked, so nobody is named.
  const here = (await (await request.post(`/api/pens?workshop=${own.id}`, { data: newPen() })).json()) as Pen
  expect(here.maker).toBeNull()
  expect((await makes.patch(`/api/pens/${here.id}?workshop=${own.id}`, { data: { version: 1, name: 'Mine now' } })).status()).toBe(403)
})

test('what a pen brought, who had it and what bottles cost is seen by makers and owners, by nobody else', async ({ stand, request }) => {
  const { own } = await rooms(request)
  const pen = (await (await request.post(`/api/pens?workshop=${own.id}`, { data: newPen() })).json()) as Pen
  const customer = randomUUID()
  const left = {
    id: randomUUID(), pen: pen.id, kind: 'leave', barrels: ['only'], device: 'tablet', at: '2026-11-23T20:00:00.000Z',
    payload: { how: 'sold', price: 7654321, place: null, customer, order: null, with: [], words: '' },
  }
  expect((await request.post(`/api/events?workshop=${own.id}`, { data: { events: [left] } })).status()).toBe(200)
  const bottle = await request.put(`/api/shelf/bottle?workshop=${own.id}`, { data: { item: 'thin-ca', price: 8765432 } })
  expect(bottle.status()).toBe(200)
  for (const [role, sees] of [['owner', true], ['maker', true], ['pupil', false], ['looker', false]] as const) {
    const device = await deviceOf(stand, request, own.id, await somebody(request, own.id, role))
    const told = async (path: string) => (await device.get(`${path}?workshop=${own.id}`)).text()
    const { heard, leave } = await followed(stand, device, own.id)
    const log = await heard(new RegExp(left.id))
    leave()
    const answers = [log, await told(`/api/pens/${pen.id}`), await told(`/api/pens/${pen.id}/record.json`), await told('/api/shelf')]
    expect(answers.slice(0, 3).every(one => one.includes('leave'))).toBe(true)
    // Nor do pupils look up how often something went wrong for whom.
    const byName = ['by=who', `by=tool&among=${encodeURIComponent(`who:${customer}`)}`]
    for (const query of byName) {
      for (const path of ['answer?of=chip', 'answer.csv?of=chip', 'pens?of=chip&is=x']) {
        const found = await device.get(`/api/findings/${path}&${query}&workshop=${own.id}`)
        expect([role, path, query, found.status()]).toEqual([role, path, query, sees ? 200 : 403])
      }
    }
    for (const [index, answer] of answers.entries())
      expect([role, index, /7654321|8765432/.test(answer), answer.includes(customer)]).toEqual([role, index, sees, sees && index < 3])
  }
})

test('a secret address shows one pen and nothing of money or others; a new one, or none, and the first shows nothing', async ({
  stand, request,
}) => {
  const { own } = await rooms(request)
  const pen = (await (await request.post(`/api/pens?workshop=${own.id}`, { data: { ...newPen(), name: 'For Sorrel' } })).json()) as Pen
  await request.patch(`/api/pens/${pen.id}?workshop=${own.id}`, { data: { version: 1, asked: 4250 } })
  await request.post(`/api/events?workshop=${own.id}`, { data: look(pen.id) })
  const make = async () => (await (await request.post(`/api/pens/${pen.id}/link?workshop=${own.id}`)).json() as { secret: string }).secret
  const [first, nobody] = [await make(), await stranger(stand)]
  const shown = await nobody.get(`/api/shown/${first}`)
  expect(await shown.json()).toMatchObject({
    name: 'For Sorrel', stage: 'in work', steps: { done: 1 }, material: { name: 'Apple' },
    days: [{ day: '2026-11-23', titles: ['Check the parts'] }],
  })
  expect(Object.keys((await shown.json()) as object).sort())
    .toEqual(['days', 'finish', 'fitting', 'material', 'name', 'stage', 'steps', 'wood'])
  expect(await shown.text()).not.toMatch(/4250|asked|price|customer|maker|device/)
  const second = await make()
  expect((await nobody.get(`/api/shown/${first}`)).status()).toBe(404)
  expect((await nobody.get(`/api/shown/${second}`)).status()).toBe(200)
  expect((await nobody.get(`/api/pens/${pen.id}?workshop=${own.id}`)).status()).toBe(401)
  await request.delete(`/api/pens/${pen.id}/link?workshop=${own.id}`)
  expect((await nobody.get(`/api/shown/${second}`)).status()).toBe(404)
})

test('an owner of one workshop is nobody in another, and cannot come in as somebody who belongs to both', async ({ stand, request }) => {
  const { own } = await rooms(request)
  const club = (await (await request.post('/api/workshops', { data: { name: 'The club' } })).json()) as WorkshopEntry
  const both = await somebody(request, own.id, 'owner', 'a long enough password')
  const version = both.version
  const { name, mark, colour } = both
  const asMaker = { version, name, mark, colour, role: 'maker' }
  expect((await request.put(`/api/people/${both.id}?workshop=${club.id}`, { data: asMaker })).status()).toBe(200)
  const head = await deviceOf(stand, request, club.id, await somebody(request, club.id, 'owner'))
  expect(((await (await head.get('/api/workshops')).json()) as WorkshopList).workshops.map(one => one.name)).toEqual(['The club'])
  for (const path of ['/api/pens', '/api/people', '/api/workshop', '/api/archive'])
    expect([path, (await head.get(`${path}?workshop=${own.id}`)).status()]).toEqual([path, 410])
  expect((await head.patch(`/api/workshops/${own.id}`, { data: { name: 'Taken' } })).status()).toBe(404)
  const asClub = `workshop=${club.id}`
  expect((await head.post(`/api/people/${both.id}/pairing?${asClub}`)).status()).toBe(403)
  expect((await head.put(`/api/people/${both.id}/secret?${asClub}`, { data: { secret: 'another long password' } })).status()).toBe(403)
  // Who does not belong to the club is not even known there.
  const elsewhere = await somebody(request, own.id, 'maker')
  expect((await head.post(`/api/people/${elsewhere.id}/pairing?${asClub}`)).status()).toBe(404)
  expect((await head.put(`/api/people/${elsewhere.id}?${asClub}`, { data: { ...asMaker, version: 1, name: 'X' } })).status()).toBe(404)
})

test('a password lets in, its change ends what was signed in by it, and the machine asks once told to', async ({ stand, request }) => {
  const { own } = await rooms(request)
  const people = (await (await request.get(`/api/people?workshop=${own.id}`)).json()) as Person[]
  const keeper = people.find(one => one.keeper)!
  const short = await request.put(`/api/people/${keeper.id}/secret?workshop=${own.id}`, { data: { secret: 'too short' } })
  expect(await short.json()).toMatchObject({ fields: { secret: 'An owner’s password should have at least 12 signs.' } })
  for (const data of [{ locked: true }, {}, { locked: 1 }, { locked: null }, [], { locked: true, more: 1 }])
    expect([data, (await request.put('/api/door/lock', { data })).status()]).toEqual([data, 422])
  const secret = 'ash, apple and damson'
  expect((await request.put(`/api/people/${keeper.id}/secret?workshop=${own.id}`, { data: { secret } })).status()).toBe(200)

  const sign = async (password: string) => {
    const device = await stranger(stand)
    const answer = await device.post('/api/door/password', { data: { name: keeper.name.toUpperCase(), password, device: 'laptop' } })
    return { device, status: answer.status() }
  }
  const { device } = await sign(secret)
  const { device: other } = await sign(secret)
  const change = (current: string) =>
    device.put(`/api/people/${keeper.id}/secret?workshop=${own.id}`, { data: { secret: 'plum, pear and walnut', current } })
  expect((await change('wrong one')).status()).toBe(422)
  expect((await change(secret)).status()).toBe(200)
  expect((await device.get(`/api/pens?workshop=${own.id}`)).status()).toBe(200)
  expect((await other.get(`/api/pens?workshop=${own.id}`)).status()).toBe(401)

  expect((await device.put('/api/door/lock', { data: { locked: true } })).status()).toBe(200)
  expect((await request.get(`/api/pens?workshop=${own.id}`)).status()).toBe(401)
  expect((await device.put('/api/door/lock', { data: { locked: false } })).status()).toBe(200)
  await expect.poll(async () => (await request.get(`/api/pens?workshop=${own.id}`)).status()).toBe(200)
  expect((await device.post('/api/door/out')).status()).toBe(200)
  expect((await device.get(`/api/pens?workshop=${own.id}`)).status()).toBe(401)
})

test('a second step asks for figures after the password, each good once; an owner takes it away where its device is lost', async ({
  stand, request,
}) => {
  const { own } = await rooms(request)
  const password = 'plum, pear and walnut'
  const maker = await somebody(request, own.id, 'maker', password)
  const sign = async (second?: string) => {
    const device = await stranger(stand)
    const data = { name: maker.name, password, device: 'phone', ...(second ? { second } : {}) }
    const answer = await device.post('/api/door/password', { data })
    return { device, status: answer.status(), says: (await answer.json()) as { fields?: Record<string, string> } }
  }
  const { device } = await sign()
  const path = `/api/people/${maker.id}/second?workshop=${own.id}`
  expect((await device.post(path, { data: { current: 'not this one' } })).status()).toBe(422)
  const { secret } = (await (await device.post(path, { data: { current: password } })).json()) as { secret: string }
  const figures = (seconds: number) => TOTP.generate({ secret: Secret.fromBase32(secret), timestamp: Date.now() + seconds * 1000 })
  // Not asked for before its first figures came.
  expect((await sign()).status).toBe(200)
  expect((await device.put(path, { data: { second: '000 000' } })).status()).toBe(422)
  const set = await device.put(path, { data: { second: figures(0) } })
  expect(((await set.json()) as Person[]).find(one => one.id === maker.id)).toMatchObject({ hasSecond: true })
  const alone = await sign()
  expect([alone.status, alone.says.fields?.second]).toEqual([422, 'And the six figures that your other device shows.'])
  const next = figures(30)
  expect([(await sign(next)).status, (await sign(next)).status]).toEqual([200, 422])
  // Nobody else’s to set up or take away, but by who sees to people here.
  const other = await deviceOf(stand, request, own.id, await somebody(request, own.id, 'maker'))
  expect([(await other.post(path, { data: { current: password } })).status(), (await other.delete(path)).status()]).toEqual([403, 403])
  expect((await request.delete(path)).status()).toBe(200)
  expect((await sign()).status).toBe(200)
})

test('a PIN does for a maker, not for an owner or who becomes one; what all try first does for nobody', async ({ request }) => {
  const { own } = await rooms(request)
  const made = async (role: Role, secret: string) => {
    const data = { name: `weak ${randomUUID().slice(0, 6)}`, mark: 'W', colour: '#3d6f8e', role, secret }
    const answer = await request.post(`/api/people?workshop=${own.id}`, { data })
    return { status: answer.status(), says: (await answer.json()) as Refusal, name: data.name }
  }
  for (const [role, secret, says] of [['pupil', '123456', /first that anybody/], ['owner', 'qwertyuiop123', /too soon/]] as const)
    expect(await made(role, secret)).toMatchObject({ status: 422, says: { fields: { secret: expect.stringMatching(says) } } })
  const maker = await somebody(request, own.id, 'maker', '481920')
  const { id, name, mark, colour } = maker
  const promote = async (version: number) =>
    request.put(`/api/people/${id}?workshop=${own.id}`, { data: { version, name, mark, colour, role: 'owner' } })
  const refused = await promote(maker.version)
  expect([refused.status(), await refused.json()]).toEqual([422, expect.objectContaining({ fields: { role: expect.stringMatching(/longer/) } })])
  const changed = await request.put(`/api/people/${id}/secret?workshop=${own.id}`, { data: { secret: 'ash, apple and damson' } })
  const { version } = ((await changed.json()) as Person[]).find(one => one.id === id)!
  expect((await promote(version)).status()).toBe(200)
})

test('plainly nothing is had but the certificate and the way; a foreign host name is refused', async ({ stand, playwright }) => {
  const plain = await playwright.request.newContext({ baseURL: stand.network!.plain })
  const page = await plain.get('/')
  const authority = readFileSync(`${stand.network!.folder}/authority.pem`, 'utf8')
  expect(await (await plain.get('/oxlip-authority.crt')).text()).toBe(authority)
  expect(await page.text()).toContain('Compare the fingerprint')
  for (const path of ['/api/pens', '/pens', '//evil.example/x']) {
    const answer = await plain.get(`${stand.network!.plain}${path}`, { maxRedirects: 0 })
    expect([path, answer.status()]).toEqual([path, 308])
    expect(new URL(answer.headers().location!).host).toBe(new URL(stand.network!.secure).host)
  }
  expect((await plain.post('/api/events', { data: {} })).status()).toBe(405)
  const foreign = await playwright.request.newContext({
    baseURL: stand.network!.secure, ignoreHTTPSErrors: true, extraHTTPHeaders: { host: 'pens.example' },
  })
  expect((await foreign.get('/api/door')).status()).toBe(421)
})

test('every answer carries its headers, files too; nothing tells what it was made with, and no answer is kept', async ({
  stand, request,
}) => {
  const device = await stranger(stand)
  const script = /src="(\/_nuxt\/[^"]+)"/.exec(await (await request.get('/')).text())![1]!
  for (const [who, path] of [
    [request, '/'], [request, '/icon.svg'], [request, script], [request, '/sw.js'], [request, '/api/pens'],
    [device, '/api/pens'], [device, '/'],
  ] as const) {
    const headers = (await who.get(path)).headers()
    const carried = ['x-content-type-options', 'x-frame-options', 'referrer-policy', 'cross-origin-opener-policy', 'permissions-policy']
    expect([path, carried.filter(name => !headers[name])]).toEqual([path, []])
    expect([path, headers['x-powered-by'], headers.server]).toEqual([path, undefined, undefined])
    if (path.startsWith('/api/')) expect(headers['cache-control']).toBe('no-store')
  }
  expect((await request.get(script)).headers()['cache-control']).toContain('immutable')
  // Presses at the bench come further apart than five seconds: a phone does not shake hands anew for each.
  for (const who of [request, device]) expect((await who.get('/api/health')).headers()['keep-alive']).toBe('timeout=65')
  const policy = (await request.get('/')).headers()['content-security-policy']
  expect(policy).toMatch(/default-src 'self'.*object-src 'none'.*frame-ancestors 'none'/)
})

test('an address that is none is not found, one that is asked in another way is told so, pages too', async ({ request }) => {
  const told = async (method: string, path: string) => {
    const answer = await request.fetch(path, { method })
    return [answer.status(), answer.headers().allow]
  }
  expect(await told('DELETE', '/api/pens')).toEqual([405, 'GET, POST'])
  expect(await told('POST', `/api/pens/${randomUUID()}`)).toEqual([405, 'GET, PATCH'])
  expect(await told('PUT', '/api/nothing')).toEqual([404, undefined])
  expect(await told('POST', '/pens')).toEqual([405, 'GET, HEAD'])
  for (const path of ['/nothing', '/pens/a/b/c', '/shelf/none', '/.env', '/api'])
    expect([path, (await request.get(path)).status()]).toEqual([path, 404])
  for (const path of ['/', '/pens', `/pens/${randomUUID()}/work`, '/shelf/stick/twist-7', '/people', '/door/'])
    expect([path, (await request.get(path)).status()]).toEqual([path, 200])
})

test('a code lets one device in, once; made up or used codes do not, and after some tries each has to wait', async ({ stand, request }) => {
  const { own } = await rooms(request)
  const maker = await somebody(request, own.id, 'maker')
  const { code } = await codeFor(request, own.id, maker)
  const typed = code.toLowerCase().replace('-', ' ')
  const [one, other] = [await stranger(stand), await stranger(stand)]
  const come = (device: APIRequestContext, said: string) => device.post('/api/door/code', { data: { code: said, device: 'phone' } })
  const both = await Promise.all([come(one, typed), come(other, typed)])
  expect(both.map(answer => answer.status()).sort()).toEqual([200, 422])
  const inside = both[0]!.status() === 200 ? one : other
  const cookie = both.find(answer => answer.status() === 200)!.headers()['set-cookie']!
  expect(cookie).toMatch(/HttpOnly/i)
  expect(cookie).toMatch(/Secure/i)
  expect(cookie).toMatch(/SameSite=Strict/i)
  expect(await (await inside.get('/api/door')).json()).toMatchObject({ me: { person: { id: maker.id }, how: 'paired', keeper: false } })
  const guesses = await Promise.all(Array.from({ length: 12 }, (_, index) => come(other, `AAAA-AA${10 + index}`)))
  const told = guesses.map(answer => answer.status())
  expect(told.filter(status => status === 429).length).toBeGreaterThan(5)
  expect(told.filter(status => status === 422).length).toBeLessThanOrEqual(5)
  expect(Number(guesses.find(answer => answer.status() === 429)!.headers()['retry-after'])).toBeGreaterThan(0)
  // A good code is not looked at either while it has to wait; the owners are told.
  expect((await come(other, (await codeFor(request, own.id, maker)).code)).status()).toBe(429)
  expect((await accessOf(request, own.id)).knocks[0]!.times).toBeGreaterThan(4)
  // Whoever is in is not held up by those who guess.
  expect((await inside.get(`/api/pens?workshop=${own.id}`)).status()).toBe(200)
})
