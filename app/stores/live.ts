import { useEventListener, useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { Change, ChangedKind, ListedPen, Message, WholeBench } from '#contract'

/**
 * Silence of this length, by the clock on the wall, means that the connection is dead, ms: the server gives a sign of life every five
 * seconds. A device that slept finds out within a second of waking.
 */
const SILENT = 12_000
const AGAIN_AFTER = 500

type Told = Pick<WholeBench, 'seq' | 'changed'>

/** What other devices enter and change, as it comes in; after an absence all that was missed. */
export const useLive = defineStore('live', () => {
  const bench = useBenchPens()
  const log = useLog()
  const outbox = useOutbox()
  const penRows = usePenRows()
  const workshop = useWorkshop()
  const stock = useStock()
  const methods = useMethods()
  const time = useRightTime()
  const connected = ref(false)
  /** The numbers up to which this screen has everything: entries, and changes of all else. */
  let has: Told | undefined
  let meeting: Promise<Told> | undefined
  let source: EventSource | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  /** When the server was last heard, ms. */
  let heard = 0

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
  /** Fetches the bench once, and with it the numbers from which on changes are followed: what is loaded after it misses none. */
  async function meet(): Promise<Told> {
    if (has) return has
    meeting ??= bench.load().finally(() => {
      meeting = undefined
    })
    return (has ??= await meeting)
  }
  async function begin() {
    let from: Told
    try {
      from = await meet()
    } catch {
      return again()
    }
    source?.close()
    const own = (source = new EventSource(addressHere(`/api/live?after=${from.seq}&changed=${from.changed}`)))
    own.onmessage = ({ data }: MessageEvent<string>) => {
      if (own !== source) return
      heard = Date.now()
      take(JSON.parse(data) as Message)
    }
    own.onerror = () => {
      if (own !== source) return
      again()
      // A workshop that is gone is noticed by asking for it.
      void workshop.breathe().catch(() => undefined)
    }
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

  function take(message: Message) {
    switch (message.kind) {
      case 'pulse':
        time.set(message.now)
        // A server that is back takes what waited for it at once.
        if (!connected.value && outbox.pending.length) void outbox.send()
        connected.value = true
        return
      case 'entries': {
        log.take(message.entries)
        const last = message.entries.at(-1)
        if (has && last) has = { ...has, seq: last.seq }
        takeRows(message.rows)
        return
      }
      case 'changes':
        takeRows(message.rows)
        void catchUp(message.changes, message.upTo)
    }
  }

  /** Lists follow row by row; a pen that somebody took in hand elsewhere comes to this bench too. */
  function takeRows(rows: readonly ListedPen[]) {
    penRows.take(rows)
    for (const { pen, summary } of rows)
      if (summary.stage === 'in work' && !bench.kept.has(pen.id)) void bench.fetchPen(pen.id).catch(() => undefined)
  }

  /** What is done about a change of each kind. */
  const fetchers: Record<ChangedKind, (ref: string) => Promise<unknown>> = {
    pen: async (id) => {
      if (bench.kept.has(id)) await bench.fetchPen(id)
    },
    air: () => workshop.breathe(),
    workshop: () => workshop.breathe(),
    shelf: () => workshop.loadShelf(),
    fittings: () => stock.loadFittings(),
    blanks: () => stock.loadBlanks(),
    bits: () => stock.loadBits(),
    methods: () => methods.load(),
  }
  /** Fetches what was changed, each once. The number moves on only when all of it has come, so that a lost answer is asked for again. */
  async function catchUp(changes: readonly Change[], upTo: number) {
    const each = new Map(changes.map(change => [`${change.kind} ${change.ref}`, change]))
    try {
      await Promise.all([...each.values()].map(({ kind, ref }) => fetchers[kind](ref)))
      if (has) has = { ...has, changed: Math.max(has.changed, upTo) }
    } catch {
      again()
    }
  }
  return { connected, open, meet }
})
