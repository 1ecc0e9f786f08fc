import { useDebounceFn, useEventListener, useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { Message } from '~~/server/live/follow'

/** Silence of this length, by the clock on the wall, means that the connection is dead, ms: the server gives a sign of life every five seconds. A device that slept finds out within a second of waking. */
const SILENT = 12_000
const AGAIN_AFTER = 500

/** What other devices enter, as it comes in; after an absence all that was missed. */
export const useLive = defineStore('live', () => {
  const bench = useBenchPens()
  const log = useLog()
  const outbox = useOutbox()
  const pens = usePens()
  const workshop = useWorkshop()
  const time = useRightTime()
  const connected = ref(false)
  let seq: number | undefined
  let source: EventSource | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  /** When the server was last heard, ms. */
  let heard = 0
  const refreshPens = useDebounceFn(() => pens.refresh().catch(() => undefined), 400)

  function open() {
    useIntervalFn(() => {
      if (source && Date.now() - heard > SILENT) connect()
    }, 1000)
    useEventListener(window, 'online', connect)
    useEventListener(window, 'offline', again)
    useEventListener(document, 'visibilitychange', () => document.visibilityState === 'visible' && !connected.value && connect())
    connect()
  }

  function connect() {
    connected.value = false
    clearTimeout(timer)
    source?.close()
    source = undefined
    void begin()
  }
  async function begin() {
    try {
      seq ??= await bench.load()
    } catch {
      return again()
    }
    source?.close()
    const own = source = new EventSource(`/api/live?after=${seq}`)
    own.onmessage = ({ data }: MessageEvent<string>) => {
      if (own !== source) return
      heard = Date.now()
      take(JSON.parse(data) as Message | { kind: 'pulse', now: string })
    }
    own.onerror = () => own === source && again()
    heard = Date.now()
  }
  /** The browser would try again by itself, but not after every fault, and not soon enough. */
  function again() {
    connected.value = false
    source?.close()
    source = undefined
    clearTimeout(timer)
    timer = setTimeout(connect, AGAIN_AFTER)
  }

  function take(message: Message | { kind: 'pulse', now: string }) {
    switch (message.kind) {
      case 'pulse':
        time.set(message.now)
        // A server that is back takes what waited for it at once.
        if (!connected.value && outbox.pending.length) void outbox.send()
        connected.value = true
        return
      case 'entries':
        log.take(message.entries)
        seq = message.entries.at(-1)!.seq
        if (message.entries.some(entry => !bench.kept.has(entry.pen))) void bench.load().catch(() => undefined)
        void refreshPens()
        return
      case 'pen':
        if (bench.kept.has(message.pen)) void bench.fetchPen(message.pen).catch(() => undefined)
        void refreshPens()
        return
      case 'air': void workshop.breathe().catch(() => undefined)
    }
  }
  return { connected, open }
})
