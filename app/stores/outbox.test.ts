import { createPinia, setActivePinia } from 'pinia'
import { eventAt } from '../../tests/support/inputs'
import type { BenchEvent } from '#core/bench'
import { hereIs } from '../utils/whose'
import { useOutbox } from './outbox'

interface Row {
  event: BenchEvent
  aside?: true
}

/** The browser’s own store: what an earlier Oxlip kept as one list, and rows; and whether it keeps anything. */
const mockKept = { list: undefined as BenchEvent[] | undefined, rows: new Map<string, Row>(), broken: false }
jest.mock('~/utils/here', () => ({ here: async () => 'here', leaveGone: () => {} }))
jest.mock('idb-keyval', () => {
  const unlessBroken = <T>(work: () => T) => async () => {
    if (mockKept.broken) throw new Error('QuotaExceeded')
    return work()
  }
  return {
    createStore: () => 'rows',
    get: unlessBroken(() => mockKept.list),
    entries: unlessBroken(() => [...mockKept.rows]),
    set: (id: string, row: Row) => unlessBroken(() => mockKept.rows.set(id, row))(),
    setMany: (rows: [string, Row][]) => unlessBroken(() => rows.forEach(([id, row]) => mockKept.rows.set(id, row)))(),
    del: (id: string, store?: string) =>
      unlessBroken(() => {
        if (store) mockKept.rows.delete(id)
        else mockKept.list = undefined
      })(),
  }
})

/** A server that takes events, is away, or refuses those of one id. */
const server = { taken: [] as string[], requests: 0, away: false, refuses: '' }
const event = (number: number) => eventAt(number, number, { kind: 'done', payload: { step: `step.${number}` } })
const kept = () => [...mockKept.rows.keys()]

beforeEach(() => {
  hereIs('')
  jest.useFakeTimers()
  Object.assign(mockKept, { list: undefined, rows: new Map(), broken: false })
  Object.assign(server, { taken: [], requests: 0, away: false, refuses: '' })
  setActivePinia(createPinia())
  Object.assign(globalThis, {
    window: { addEventListener: () => {} },
    $fetch: async (_path: string, { body }: { body: { events: BenchEvent[] } }) => {
      server.requests++
      if (server.away) throw new TypeError('fetch failed')
      if (body.events.some(one => one.id === server.refuses))
        throw Object.assign(new Error('422'), {
          response: { status: 422 },
          data: { message: 'No.', fields: { 'events[0].payload.step': 'There is no such step.' } },
        })
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

it('takes up what a closed page left, also the list of an earlier Oxlip', async () => {
  mockKept.rows.set(event(2).id, { event: event(2) })
  mockKept.list = [event(1)]
  await useOutbox().open()
  expect(server.taken).toEqual([event(1).id, event(2).id])
  expect([kept(), mockKept.list]).toEqual([[], undefined])
})

it('sends a long absence in bounded batches, in order, each once', async () => {
  const many = Array.from({ length: 450 }, (_, index) => event(index))
  mockKept.list = many
  await useOutbox().open()
  expect(server.requests).toBe(3)
  expect(server.taken).toEqual(many.map(one => one.id))
})

it('one entry that is refused holds up no other, is kept with its reason, and never tried again by itself', async () => {
  server.refuses = event(2).id
  mockKept.list = [event(1), event(2), event(3)]
  const outbox = useOutbox()
  await outbox.open()
  expect(server.taken).toEqual([event(1).id, event(3).id])
  expect(outbox.refused).toEqual([{ event: event(2), reason: { says: 'There is no such step.', field: 'payload.step' } }])
  const { requests } = server
  await jest.advanceTimersByTimeAsync(60_000)
  await outbox.send()
  expect([server.requests, kept(), outbox.pending]).toEqual([requests, [event(2).id], []])
  setActivePinia(createPinia())
  const later = useOutbox()
  await later.open()
  expect([server.requests, later.refused.length]).toEqual([requests, 1])
})

it('a refused entry goes out once it is mended', async () => {
  server.refuses = event(1).id
  const outbox = useOutbox()
  await outbox.put(event(1))
  server.refuses = ''
  await outbox.again({ ...event(1), payload: { step: 'turn' } } as BenchEvent)
  expect([server.taken, outbox.refused, kept()]).toEqual([[event(1).id], [], []])
})

it('a refused entry that is put aside counts no more, and is not lost', async () => {
  server.refuses = event(1).id
  const outbox = useOutbox()
  await outbox.put(event(1))
  expect(outbox.shown).toEqual([event(1)])
  await outbox.putAside(outbox.refused[0]!)
  expect([outbox.shown, outbox.refused, outbox.aside.length]).toEqual([[], [], 1])
  expect(mockKept.rows.get(event(1).id)).toMatchObject({ event: event(1), aside: true })
})

it('a browser that will keep nothing is told, and the entry is sent all the same', async () => {
  mockKept.broken = true
  server.away = true
  const outbox = useOutbox()
  await outbox.put(event(1))
  expect([outbox.unkept, outbox.pending.length]).toEqual([true, 1])
  server.away = false
  await outbox.send()
  expect([server.taken, outbox.pending]).toEqual([[event(1).id], []])
})
