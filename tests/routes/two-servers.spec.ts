import { randomUUID } from 'node:crypto'
import { get, type RequestOptions } from 'node:https'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, request as requests, test as base, type APIRequestContext } from '@playwright/test'
import type { Message, Pen, WorkshopList } from '../../contract'
import type { Running } from '../../scripts/lib/child'
import { freePair, freePort } from '../../scripts/lib/ports'
import { serve } from '../../scripts/lib/serve'
import { startStand, type Stand } from '../../scripts/lib/stand'
import { accessOf, deviceOf, somebody } from '../support/door'

interface Pair { stand: Stand, second: Running & { address: string, secure: string } }
/** Two servers on one database, both as on a network, with keys of their own. */
const test = base.extend<{ pair: Pair }>({
  // Playwright reads what a fixture needs from this pattern.
  // eslint-disable-next-line no-empty-pattern
  pair: async ({}, use) => {
    const stand = await startStand({ isShared: true })
    const folder = join(tmpdir(), `oxlip-second-${randomUUID()}`)
    const network = { folder: join(folder, 'network'), port: await freePair(), host: '127.0.0.1' }
    const server = await serve({ port: await freePort(), databaseUrl: stand.databaseUrl, demo: false, network })
    const secure = `https://localhost:${network.port}`
    // The network is listened to a moment after the machine itself.
    const isThere = async () => (await on(secure)).get('/api/door').then(answer => answer.status(), () => 0)
    await expect.poll(isThere).toBe(200)
    await use({ stand, second: { ...server, secure } })
    await server.stop()
    await stand.end()
  },
})
const on = (address: string, state?: Awaited<ReturnType<APIRequestContext['storageState']>>): Promise<APIRequestContext> =>
  requests.newContext({ baseURL: address, ignoreHTTPSErrors: true, ...(state ? { storageState: state } : {}) })

/** What a live stream says until it ends, and a promise of that end. */
function hearing(address: string, cookie: string): { messages: Message[], over: Promise<void>, begun: Promise<void> } {
  const messages: Message[] = []
  let [end, begin]: (() => void)[] = [() => undefined, () => undefined]
  const over = new Promise<void>((tell) => {
    end = tell
  })
  const begun = new Promise<void>((tell) => {
    begin = tell
  })
  const how: RequestOptions = { headers: { cookie }, rejectUnauthorized: false }
  get(address, how, (answer) => {
    answer.on('data', (chunk: Buffer) => {
      for (const line of chunk.toString('utf8').split('\n'))
        if (line.startsWith('data: ')) messages.push(JSON.parse(line.slice(6)) as Message)
      begin!()
    })
    answer.once('close', end!)
  }).on('error', end!)
  return { messages, over, begun }
}

test('a device let in by one server is in at the other; what one is told the other tells; away it is out of both', async ({ pair }) => {
  const { stand, second } = pair
  const machine = await on(stand.address)
  const { opens: workshop } = (await (await machine.get('/api/workshops')).json()) as WorkshopList
  const maker = await somebody(machine, workshop, 'maker')
  const device = await deviceOf(stand, machine, workshop, maker)
  const state = await device.storageState()
  const elsewhere = await on(second.secure, state)
  expect(await (await elsewhere.get('/api/door')).json()).toMatchObject({ me: { person: { id: maker.id } } })
  const cookie = state.cookies.map(one => `${one.name}=${one.value}`).join('; ')
  const heard = hearing(`${second.secure}/api/live?workshop=${workshop}`, cookie)
  await heard.begun
  const pen = (await (await device.post(`/api/pens?workshop=${workshop}`, {
    data: {
      mark: 'Q1', name: 'Mine', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'oil', tool: 'skew', film: 'gloss',
    },
  })).json()) as Pen
  const entry = randomUUID()
  await device.post(`/api/events?workshop=${workshop}`, {
    data: {
      events: [{
        id: entry, pen: pen.id, kind: 'done', payload: { step: 'parts' }, barrels: ['only'], device: 'tablet',
        at: '2026-11-23T20:00:00.000Z',
      }],
    },
  })
  await expect.poll(() => heard.messages.flatMap(one => (one.kind === 'entries' ? one.entries.map(each => [each.id, each.by]) : [])))
    .toContainEqual([entry, maker.id])

  const [one] = (await accessOf(machine, workshop)).devices
  expect((await machine.delete(`/api/devices/${one!.id}?workshop=${workshop}`)).status()).toBe(200)
  await heard.over
  expect((await elsewhere.get(`/api/pens?workshop=${workshop}`)).status()).toBe(401)
})

test('who guesses at one server waits at the other too, and a machine that asks asks at both', async ({ pair }) => {
  const { stand, second } = pair
  const [here, there] = [await on(stand.network!.secure), await on(second.secure)]
  const guess = async (at: APIRequestContext) => (await at.post('/api/door/code', { data: { code: 'AAAA-AAAA', device: 'x' } })).status()
  for (let times = 0; times < 5; times++) expect(await guess(times % 2 ? here : there)).toBe(422)
  await guess(here)
  expect([await guess(here), await guess(there)]).toEqual([429, 429])
  const [machine, other] = [await on(stand.address), await on(second.address)]
  const { opens: workshop } = (await (await machine.get('/api/workshops')).json()) as WorkshopList
  await somebody(machine, workshop, 'owner', 'ash, apple and damson')
  expect((await other.get('/api/workshops')).status()).toBe(200)
  expect((await machine.put('/api/door/lock', { data: { locked: true } })).status()).toBe(200)
  await expect.poll(async () => (await other.get('/api/workshops')).status()).toBe(401)
})
