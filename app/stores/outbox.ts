import { get, update } from 'idb-keyval'
import { defineStore } from 'pinia'
import type { BenchEvent } from '#core/bench'

const KEY = 'oxlip-outbox'
const AGAIN_AFTER = 4000
const BATCH = 200

/** Entries that the server has not confirmed yet. They are in the browser's own store before anything is sent, so a lost network or a reload loses none. */
export const useOutbox = defineStore('outbox', () => {
  const pending = ref<BenchEvent[]>([])
  const trouble = ref<string>()
  let sending = false
  let timer: ReturnType<typeof setTimeout> | undefined

  async function open() {
    const kept = await get<BenchEvent[]>(KEY) ?? []
    const here = new Set(pending.value.map(event => event.id))
    pending.value = [...kept.filter(event => !here.has(event.id)), ...pending.value]
    if (pending.value.length) void send()
    window.addEventListener('online', () => void send())
  }

  async function put(event: BenchEvent) {
    pending.value = [...pending.value, event]
    await update<BenchEvent[]>(KEY, (kept = []) => [...kept, event])
    void send()
  }

  async function send() {
    if (sending || !pending.value.length) return
    sending = true
    clearTimeout(timer)
    try {
      const batch = pending.value.slice(0, BATCH)
      await $fetch('/api/events', { method: 'POST', body: { events: batch } })
      await forget(batch)
      trouble.value = undefined
    } catch (error) {
      const answer = refused(error)
      trouble.value = answer.status ? `An entry was not taken: ${Object.values(answer.fields)[0] ?? answer.message}` : undefined
      timer = setTimeout(() => void send(), AGAIN_AFTER)
    } finally {
      sending = false
    }
    if (pending.value.length && !timer) void send()
  }

  async function forget(sent: readonly BenchEvent[]) {
    const ids = new Set(sent.map(event => event.id))
    await update<BenchEvent[]>(KEY, (kept = []) => kept.filter(event => !ids.has(event.id)))
    pending.value = pending.value.filter(event => !ids.has(event.id))
    timer = undefined
  }

  return { pending, trouble, open, put, send }
})
