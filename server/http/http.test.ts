import { afterwards } from './afterwards'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { createApp, toNodeListener, type App } from 'h3'
import { number, string } from 'yup'
import { exact } from '../../schemas/common'
import guard from '../middleware/guard'
import { readChecked } from './body'
import { ConflictError, FieldsError, NotFoundError } from '../faults'
import { noRoute } from './route'

/** What a route answers when its work ends in this way. */
let work: () => Promise<unknown> = async () => ({})
let server: Server
let address: string
let app: App
const logged = jest.spyOn(console, 'error').mockImplementation(() => {})

beforeAll(async () => {
  app = createApp()
  app.use(guard)
  app.use(
    '/body',
    noRoute(async event => readChecked(event, exact({ name: string().required(), size: number().min(1).required() })) as never),
  )
  app.use(
    '/work',
    noRoute(() => work() as never),
  )
  server = createServer(toNodeListener(app))
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve))
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(() => server.close())
beforeEach(() => logged.mockClear())

const ask = async (path: string, init: RequestInit = {}) => {
  const answer = await fetch(`${address}${path}`, init)
  return { status: answer.status, body: (await answer.json()) as Record<string, unknown> }
}
const post = (body: string, headers: Record<string, string> = {}) =>
  ask('/body', { method: 'POST', headers: { 'content-type': 'application/json', ...headers }, body })

describe('a body', () => {
  it('is taken when it fits the schema', async () =>
    expect(await post('{"name":"A","size":2}')).toEqual({ status: 200, body: { name: 'A', size: 2 } }))
  it('is told all its faults at once, in our words, and nothing is cast behind the turner’s back', async () => {
    expect(await post('{"size":"2"}')).toMatchObject({
      status: 422,
      body: { fields: { name: 'Is missing: fill it in.', size: 'Should be a number.' } },
    })
    expect(await post('{"name":"A","size":0,"odd":1}')).toMatchObject({
      status: 422,
      body: { fields: { 'size': 'Should be 1 or more.', '': 'Has fields that are not known: odd. Leave them out.' } },
    })
  })
  it('that is no JSON, no JSON type or too large is refused', async () => {
    expect((await post('{')).status).toBe(400)
    expect((await post('{}', { 'content-type': 'text/plain' })).status).toBe(415)
    expect((await post(`{"name":"${'x'.repeat(1_000_001)}"}`)).status).toBe(413)
  })
})

it.each<[string, unknown, number, RegExp]>([
  ['a missing thing', new NotFoundError('There is no such pen.'), 404, /no such pen/],
  ['a conflict', new ConflictError('Changed elsewhere.', { version: 2 }), 409, /Changed elsewhere/],
  ['a wrong field', new FieldsError({ mark: 'Taken.' }), 422, /Taken/],
  ['a database that is away', Object.assign(new Error('connect'), { code: 'ECONNREFUSED' }), 503, /does not answer/],
  ['a full disk', Object.assign(new Error('could not extend file'), { code: '53100' }), 507, /disk of the database is full/],
  ['a fault of ours', new Error('select secret from pens'), 500, /in the log/],
])('%s has its own answer', async (_name, error, status, message) => {
  work = () => Promise.reject(error as Error)
  const { status: got, body } = await ask('/work')
  expect(got).toBe(status)
  expect(JSON.stringify(body)).toMatch(message)
  expect(JSON.stringify(body)).not.toMatch(/secret|stack|\.ts/)
  expect(logged).toHaveBeenCalledTimes(status >= 500 ? 1 : 0)
})

describe('the guard', () => {
  const write = (headers: Record<string, string>) => post('{"name":"A","size":2}', headers)
  it('takes writes of our own pages and of programs', async () => {
    expect((await write({ 'origin': address, 'sec-fetch-site': 'same-origin' })).status).toBe(200)
    expect((await write({})).status).toBe(200)
  })
  it.each([
    [{ origin: 'http://elsewhere.example' }],
    [{ 'sec-fetch-site': 'cross-site' }],
    [{ 'sec-fetch-site': 'same-site' }],
    [{ origin: 'null' }],
    [{ origin: 'http://127.0.0.1:1' }],
  ])('refuses writes with %p', async (headers) => {
    expect((await write(headers as Record<string, string>)).status).toBe(403)
  })
})

it('what no answer waits for is begun once however often it is asked for, and again once it is over; its faults are told', async () => {
  const told = jest.spyOn(console, 'error').mockImplementation(() => undefined)
  let [begun, end] = [0, () => {}]
  const work = () => new Promise<void>((resolve) => {
    begun++
    end = resolve
  })
  afterwards('count', work)
  afterwards('count', work)
  afterwards('other', () => Promise.reject(new Error('no room')))
  expect(begun).toBe(1)
  end()
  await new Promise(resolve => setImmediate(resolve))
  afterwards('count', work)
  expect(begun).toBe(2)
  end()
  expect(told.mock.calls).toEqual([['other:', 'no room']])
  told.mockRestore()
})
