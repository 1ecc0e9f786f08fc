import { del, entries, get, set, setMany, type UseStore } from 'idb-keyval'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { BenchEvent } from '#core/bench'
import { useLog } from './log'
import { api, whereHere } from '~/utils/api'
import { refused as refusalOf } from '~/utils/refusal'
import { storeOf, takeOver } from '~/utils/rows-here'
import { whoseHere } from '~/utils/whose'

/** Where an earlier Oxlip kept all unsent entries as one list. */
const OLD_KEY = 'oxlip-outbox'
/** The name of its store, and of the rows in it. */
const [NAME, ROWS] = ['oxlip-outbox', 'entries']
const AGAIN_AFTER = 4000
const BATCH = 200

/** Why the server would not take an entry. */
export interface Reason {
  /** In one line. */
  says: string
  /** The field it lies at, from the entry down: `payload.diameter`; empty for the whole. */
  field: string
}

/** An entry that the server has not confirmed, as it lies in the browser's own store: a row each. */
interface Kept {
  event: BenchEvent
  /** Why it was refused: it waits for somebody to look at it. */
  reason?: Reason
  /** Somebody looked at it and put it aside. */
  aside?: true
}

/** An entry that the server refused. */
export interface RefusedEntry {
  /** What was entered. */
  event: BenchEvent
  /** Why it was not taken. */
  reason: Reason
}

/**
 * Entries that the server has not confirmed yet. They are in the browser's own store before anything is sent, so a lost network or a
 * reload loses none. One that is refused is never tried again by itself: it can be mended, tried again, or put aside.
 */
export const useOutbox = defineStore('outbox', () => {
  const log = useLog()
  /** Always taken as a whole: what an entry says is read many times, and never changed in place. */
  const rows = shallowRef<readonly Kept[]>([])
  /** Entries on their way. */
  const pending = computed(() => rows.value.filter(row => !row.reason).map(row => row.event))
  /** Entries that were refused, and nobody has decided about them. */
  const refused = computed(() =>
    rows.value.flatMap(({ event, reason, aside }): RefusedEntry[] => (reason && !aside ? [{ event, reason }] : [])),
  )
  /** Entries that were put aside. */
  const aside = computed(() =>
    rows.value.flatMap(({ event, reason, aside: away }): RefusedEntry[] => (reason && away ? [{ event, reason }] : [])),
  )
  /** What counts on this device though the server has not confirmed it. */
  const shown = computed(() => rows.value.filter(row => !row.aside).map(row => row.event))
  /** Whether this browser’s own store refuses to keep what is entered: then a closed page would lose what is not sent. */
  const unkept = ref(false)
  let place: UseStore | undefined
  let current: Promise<void> | undefined
  let timer: ReturnType<typeof setTimeout> | undefined

  const store = async (): Promise<UseStore> => (place ??= storeOf(NAME, ROWS, await whereHere(), await whoseHere()))

  /** Does something with the browser's own store, and tells when it fails. */
  async function keeping(work: () => Promise<unknown>) {
    try {
      await work()
      unkept.value = false
    } catch {
      unkept.value = true
    }
  }

  /** Takes up what an earlier visit left. */
  async function open() {
    await keeping(async () => {
      for (const event of (await get<BenchEvent[]>(OLD_KEY)) ?? []) await set(event.id, { event } satisfies Kept, await store())
      await del(OLD_KEY)
      await takeOver(NAME, ROWS, await store())
      const kept = (await entries<string, Kept>(await store())).map(([, row]) => row)
      const here = new Set(rows.value.map(row => row.event.id))
      const earlier = kept.filter(row => !here.has(row.event.id)).sort((a, b) => (a.event.at < b.event.at ? -1 : 1))
      rows.value = [...earlier, ...rows.value]
    })
    window.addEventListener('online', () => void send())
    await send()
  }

  /** Takes entries in: all of them are shown, kept and sent together. */
  async function put(...events: BenchEvent[]) {
    rows.value = [...rows.value, ...events.map(event => ({ event }))]
    await keeping(async () => setMany(events.map(event => [event.id, { event } satisfies Kept]), await store()))
    await send()
  }

  /** Sends what is pending, and resolves when that is over; tries again later what the server did not get. */
  function send(): Promise<void> {
    current ??= sendAll().finally(() => {
      current = undefined
    })
    return current
  }

  async function sendAll() {
    clearTimeout(timer)
    try {
      while (pending.value.length) await deliver(pending.value.slice(0, BATCH))
    } catch {
      // The server is away. Nothing is lost: the entries stay in the store.
      timer = setTimeout(() => void send(), AGAIN_AFTER)
    }
  }

  /** Sends a batch. One entry that is refused must not hold up the others, so then each goes alone. Throws when the server is away. */
  async function deliver(batch: readonly BenchEvent[]): Promise<void> {
    try {
      await api('POST /api/events', { body: { events: batch, sentAt: new Date().toISOString() } })
    } catch (error) {
      const { status, fields, message } = refusalOf(error)
      // Not taken as it is, or not from whoever is here: neither changes by sending it again.
      if (status !== 422 && status !== 403) throw error
      const [only, ...more] = batch
      if (more.length) {
        for (const event of batch) await deliver([event])
      } else if (only) {
        const [field, says] = Object.entries(fields)[0] ?? ['', message]
        await change(only.id, { event: only, reason: { says, field: field.replace(/^events\[0\]\.?/, '') } })
      }
      return
    }
    await forget(batch)
  }

  async function change(id: string, row: Kept) {
    rows.value = rows.value.map(one => (one.event.id === id ? row : one))
    await keeping(async () => set(id, JSON.parse(JSON.stringify(row)), await store()))
  }

  async function forget(sent: readonly BenchEvent[]) {
    const ids = new Set(sent.map(event => event.id))
    log.take(sent)
    // A store that refuses to forget only has the entries sent once more, which changes nothing.
    for (const id of ids) await store().then(rows => del(id, rows)).catch(() => undefined)
    rows.value = rows.value.filter(row => !ids.has(row.event.id))
  }

  /** Tries a refused entry again, as it was or mended. */
  async function again(event: BenchEvent) {
    await change(event.id, { event })
    await send()
  }
  /** Puts a refused entry aside: it counts no more, and stays in this browser to be looked at. */
  const putAside = ({ event, reason }: RefusedEntry) => change(event.id, { event, reason, aside: true })

  return { pending, refused, aside, shown, unkept, open, put, send, again, putAside }
})
