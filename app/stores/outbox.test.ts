import { createPinia, setActivePinia } from 'pinia'
import { eventAt } from '../../tests/support/inputs'
import type { BenchEvent } from '#core/bench'
import { useOutbox } from './outbox'

const mockKept = new Map<string, BenchEvent[]>()
jest.mock('idb-keyval', () => ({
  get: async (key: string) => mockKept.get(key),
  update: async (key: string, change: (kept?: BenchEvent[]) => BenchEvent[]) => {
    mockKept.set(key, change(mockKept.get(key)))
  },
}))

/** A server that takes events, is away, or refuses those of one id. */
const server = { taken: [] as string[], requests: 0, away: false, refuses: '' }
const away = new TypeError('fetch failed')
const event = (number: number) => eventAt(number, number, { kind: 'done', payload: { step: `step.${number}` } })
const kept = () => [...mockKept.values()].flat().map(one => one.id)

beforeEach(() => {
  jest.useFakeTimers()
  mockKept.clear()
  Object.assign(server, { taken: [], requests: 0, away: false, refuses: '' })
  setActivePinia(createPinia())
  Object.assign(globalThis, {
    window: { addEventListener: () => {} },
    $fetch: async (_path: string, { body }: { body: { events: BenchEvent[] } }) => {
      server.requests++
      if (server.away) throw away
      if (body.events.some(one => one.id === server.refuses)) throw Object.assign(new Error('422'), { response: { status: 422 }, data: { message: 'No.', fields: { 'events[0].pen': 'There is no such pen.' } } })
      server.taken.push(...body.events.map(one => one.id))
    },
  })
})
afterEach(() => jest.useRealTimers())

it('keeps an entry before it sends it, and forgets it once it is taken', async () => {
  server.away = true
  const outbox = useOutbox()
  await outbox.put(event(1))
  expect(kept()).toEqual([event(1).id])
  expect(outbox.pending).toHaveLength(1)
  server.away = false
  await outbox.send()
  expect([server.taken, kept(), outbox.pending]).toEqual([[event(1).id], [], []])
})

it('tries again by itself', async () => {
  server.away = true
  const outbox = useOutbox()
  await outbox.put(event(1))
  await outbox.put(event(2))
  server.away = false
  await jest.advanceTimersByTimeAsync(4100)
  expect(server.taken).toEqual([event(1).id, event(2).id])
  expect(outbox.pending).toEqual([])
  const { requests } = server
  await jest.advanceTimersByTimeAsync(60_000)
  expect(server.requests).toBe(requests)
})

it('takes up what a closed page left', async () => {
  mockKept.set('oxlip-outbox', [event(1), event(2)])
  await useOutbox().open()
  expect(server.taken).toEqual([event(1).id, event(2).id])
  expect(kept()).toEqual([])
})

it('sends a long absence in bounded batches, in order, each once', async () => {
  const many = Array.from({ length: 450 }, (_, index) => event(index))
  mockKept.set('oxlip-outbox', many)
  await useOutbox().open()
  expect(server.requests).toBe(3)
  expect(server.taken).toEqual(many.map(one => one.id))
})

it('one entry that is refused holds up no other, is kept, and is told', async () => {
  server.refuses = event(2).id
  mockKept.set('oxlip-outbox', [event(1), event(2), event(3)])
  const outbox = useOutbox()
  await outbox.open()
  expect(server.taken).toEqual([event(1).id, event(3).id])
  expect(kept()).toEqual([event(2).id])
  expect(outbox.trouble).toBe('An entry was not taken: There is no such pen.')
  await outbox.put(event(4))
  expect(server.taken).toContain(event(4).id)
  server.refuses = ''
  await jest.advanceTimersByTimeAsync(4100)
  expect(kept()).toEqual([])
  expect(outbox.trouble).toBeUndefined()
})

it('a browser that will keep nothing is told, and the entry is sent all the same', async () => {
  const idb = jest.requireMock<{ update: (key: string, change: (kept?: BenchEvent[]) => BenchEvent[]) => Promise<void> }>('idb-keyval')
  const kept_ = idb.update
  idb.update = async () => Promise.reject(new Error('QuotaExceeded'))
  server.away = true
  const outbox = useOutbox()
  await outbox.put(event(1))
  expect([outbox.unkept, outbox.pending.length]).toEqual([true, 1])
  server.away = false
  await outbox.send()
  idb.update = kept_
  expect([server.taken, outbox.pending]).toEqual([[event(1).id], []])
})
