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
  const evenings = useEveningsKept()
  const time = useRightTime()
  const me = useMe()
  const connected = ref(false)
  /** Whether the bench was asked for, and was answered or refused. */
  const met = ref(false)
  /** The numbers up to which this screen has everything: entries, and changes of all else. */
  let has: Told | undefined
  let meeting: Promise<Told> | undefined
  let source: EventSource | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  /** When the server was last heard, ms. */
  let heard = 0

  /** Whether this tab holds the connection, for all tabs of this browser in this workshop. */
  let leads = false
  let others: ReturnType<typeof shareLive> | undefined

  function open() {
    useIntervalFn(() => {
      if (Date.now() - heard <= SILENT) return
      // A tab that does not lead hears nothing of the one that does: that one is away, or notices itself.
      if (!leads) connected.value = false
      else if (source) connect()
    }, 1000)
    useEventListener(window, 'online', () => leads && connect())
    useEventListener(window, 'offline', () => (leads ? again() : lost()))
    useEventListener(document, 'visibilitychange', () => {
      if (document.visibilityState !== 'visible' || connected.value) return
      if (leads) connect()
      else others?.claim()
    })
    void join()
  }
  /** Begins to hear: first the others, then what there is, so that nothing falls between. */
  async function join() {
    let workshop: string
    try {
      workshop = await whereHere()
    } catch {
      timer = setTimeout(() => void join(), AGAIN_AFTER)
      return
    }
    const standing = () => (leads && connected.value ? (time.ahead ?? 0) : undefined)
    others = shareLive(workshop, { lead, follow, take: hear, lost, there, standing })
  }
  function lead() {
    leads = true
    connect()
  }
  function follow() {
    leads = false
    clearTimeout(timer)
    source?.close()
    source = undefined
  }
  function lost() {
    connected.value = false
  }
  /** What the tab that leads has heard, once this one has what was before. */
  function hear(message: Message) {
    heard = Date.now()
    void meet().then(() => take(message), () => undefined)
  }
  function there(ahead: number) {
    heard = Date.now()
    void meet().then(() => {
      time.is(ahead)
      stand()
    }, () => undefined)
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
      met.value = true
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
      const message = JSON.parse(data) as Message
      take(message)
      others?.pass(message)
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
    if (connected.value) others?.lose()
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
        return stand()
      case 'entries': {
        log.take(message.entries)
        const last = message.entries.at(-1)
        if (has && last) has = { ...has, seq: Math.max(has.seq, last.seq) }
        takeRows(message.rows)
        return
      }
      case 'changes':
        takeRows(message.rows)
        loseGone(message)
        void catchUp(message.changes, message.upTo)
    }
  }

  /** The connection stands: a server that is back takes what waited for it at once. */
  function stand() {
    if (!connected.value && outbox.pending.length) void outbox.send()
    connected.value = true
  }

  /** Lists follow row by row; a pen that somebody took in hand elsewhere comes to this bench too. */
  function takeRows(rows: readonly ListedPen[]) {
    penRows.take(rows)
    for (const { pen, summary } of rows)
      if (isWanted(summary.stage) && me.onBench(pen.maker) && !bench.kept.has(pen.id)) void bench.fetchPen(pen.id).catch(() => undefined)
  }

  /** Pens that were changed and of which nothing more is told are not there any more: what was taken in with a sheet and undone. */
  function loseGone({ changes, rows }: Extract<Message, { kind: 'changes' }>) {
    const there = new Set(rows.map(one => one.pen.id))
    const gone = changes.filter(one => one.kind === 'pen' && !there.has(one.ref)).map(one => one.ref)
    if (!gone.length) return
    penRows.lose(gone)
    for (const id of gone) bench.kept.delete(id)
  }

  /** Pens in work stand on the bench; planned ones are in the evenings, where somebody looks at those. */
  const isWanted = (stage: ListedPen['summary']['stage']) => stage === 'in work' || (stage === 'planned' && evenings.kept !== undefined)

  /** What is done about a change of each kind. Stores that few pages have come when they are wanted: the first load stays light. */
  const fetchers: Record<ChangedKind, (ref: string) => Promise<unknown>> = {
    pen: async (id) => {
      if (bench.kept.has(id)) await bench.fetchPen(id)
    },
    air: () => workshop.breathe(),
    workshop: () => workshop.breathe(),
    shelf: async () => {
      const [{ usePrices }, { useSupplies }] = await Promise.all([import('./prices'), import('./supplies')])
      await Promise.all([workshop.loadShelf(), usePrices().refresh(), useSupplies().refresh()])
    },
    fittings: () => stock.loadFittings(),
    blanks: () => stock.loadBlanks(),
    bits: () => stock.loadBits(),
    methods: () => methods.load(),
    evenings: async () => {
      if (evenings.kept) await evenings.load()
    },
    findings: async () => {
      const { useFindings } = await import('./findings')
      await Promise.all([useFindings().refresh(), workshop.learn()])
    },
    orders: async () => (await import('./orders')).useOrders().refresh(),
    classes: async () => (await import('./classes')).useClasses().refresh(),
  }
  /** Fetches what was changed, each once. The number moves on only when all of it has come, so that a lost answer is asked for again. */
  async function catchUp(changes: readonly Change[], upTo: number) {
    const each = new Map(changes.map(change => [`${change.kind} ${change.ref}`, change]))
    try {
      // A newer server may tell of what this page does not know.
      await Promise.all([...each.values()].map(({ kind, ref }) => (kind in fetchers ? fetchers[kind](ref) : undefined)))
      if (has) has = { ...has, changed: Math.max(has.changed, upTo) }
    } catch {
      // A tab that does not lead asks once more by itself; the connection is another's.
      if (leads) again()
      else timer = setTimeout(() => void catchUp(changes, upTo), AGAIN_AFTER)
    }
  }
  return { connected, met, open, meet }
})
