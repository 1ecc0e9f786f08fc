import { get, update } from 'idb-keyval'
import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { BenchEvent } from '#core/bench'
import { useLog } from './log'
import { refused } from '~/utils/refusal'

const KEY = 'oxlip-outbox'
const AGAIN_AFTER = 4000
const BATCH = 200

/** Entries that the server has not confirmed yet. They are in the browser's own store before anything is sent, so a lost network or a reload loses none. */
export const useOutbox = defineStore('outbox', () => {
  const log = useLog()
  const pending = ref<BenchEvent[]>([])
  /** Why an entry was not taken, when the server answered and refused it. */
  const trouble = ref<string>()
  /** Whether this browser’s own store refuses to keep what is entered: then a closed page would lose what is not sent. */
  const unkept = ref(false)
  let current: Promise<void> | undefined
  let timer: ReturnType<typeof setTimeout> | undefined

  /** Takes up what an earlier visit left unsent. */
  async function open() {
    const kept = await get<BenchEvent[]>(KEY) ?? []
    const here = new Set(pending.value.map(event => event.id))
    pending.value = [...kept.filter(event => !here.has(event.id)), ...pending.value]
    window.addEventListener('online', () => void send())
    await send()
  }

  async function put(event: BenchEvent) {
    pending.value = [...pending.value, event]
    try {
      await update<BenchEvent[]>(KEY, (kept = []) => [...kept, event])
      unkept.value = false
    } catch {
      unkept.value = true
    }
    await send()
  }

  /** Sends what is pending, and resolves when that is over; tries again later what the server did not get or would not take. */
  function send(): Promise<void> {
    current ??= sendAll().finally(() => {
      current = undefined
    })
    return current
  }

  async function sendAll() {
    clearTimeout(timer)
    trouble.value = undefined
    try {
      let held = 0
      while (pending.value.length > held) {
        const taken = await deliver(pending.value.slice(held, held + BATCH))
        held += Math.min(BATCH, pending.value.length - held) - taken.length
        await forget(taken)
      }
    } catch {
      // The server is away. Nothing is lost: the entries stay in the store.
    } finally {
      if (pending.value.length) timer = setTimeout(() => void send(), AGAIN_AFTER)
    }
  }

  /** Sends a batch and answers what was taken. One entry that is refused must not hold up the others, so then each goes alone. Throws when the server is away. */
  async function deliver(batch: readonly BenchEvent[]): Promise<readonly BenchEvent[]> {
    try {
      await $fetch('/api/events', { method: 'POST', body: { events: batch, sentAt: new Date().toISOString() } })
      return batch
    } catch (error) {
      const { status, fields, message } = refused(error)
      if (status !== 422) throw error
      if (batch.length > 1) {
        const taken: BenchEvent[] = []
        for (const event of batch) taken.push(...await deliver([event]))
        return taken
      }
      trouble.value = `An entry was not taken: ${Object.values(fields)[0] ?? message}`
      return []
    }
  }

  async function forget(sent: readonly BenchEvent[]) {
    const ids = new Set(sent.map(event => event.id))
    log.take(sent)
    // A store that refuses to forget only has the entries sent once more, which changes nothing.
    await update<BenchEvent[]>(KEY, (kept = []) => kept.filter(event => !ids.has(event.id))).catch(() => undefined)
    pending.value = pending.value.filter(event => !ids.has(event.id))
  }

  return { pending, trouble, unkept, open, put, send }
})
