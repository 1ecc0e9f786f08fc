import type { BarrelId } from '#core/barrel'
import { answerTo, operationOf, shared, type Entry, type Operation } from '#core/bench'
import { must } from '#core/sure'
import { checksFor, stepWords, type Step } from '#core/plan'
import type { Board } from '~/stores/bench'

/** A pen among those that are worked together, as its tile shows it. */
export interface Tile {
  /** The pen worked out. */
  board: Board
  /** `in` what is done now; `out`: taken out by hand; `waits` for the same; `elsewhere`: something else is next; `finished`. */
  is: 'in' | 'out' | 'waits' | 'elsewhere' | 'finished'
  /** In a few words. */
  says: string
  /** Defects that something has to be decided about. */
  open: number
}

/** Something to look at on all that are in it. */
export interface SharedCheck {
  /** Its name. */
  id: string
  /** The question. */
  ask: string
  /** On how many it is not answered. */
  open: number
  /** On how many it was answered no. */
  noes: number
}

/** What is next on a pen, and since when it can be. */
interface Standing {
  board: Board
  operation: Operation | null
  ready: string
}

/** Several pens worked as one: what is next on most of them, which of them are in it, and what the keys do. */
export function useTogether(ids: () => readonly string[]) {
  const bench = useBenchPens()
  const outbox = useOutbox()
  const time = useRightTime()
  const { units } = storeToRefs(useWorkshop())
  const { now } = useClock()

  const boards = computed(() => ids().flatMap(id => bench.boardOf(id) ?? []))
  const standing = computed(() => boards.value.map((board): Standing => {
    const { next, waits } = board.state
    return {
      board,
      operation: next && operationOf(next, board.state.plan.inputs),
      ready: waits.find(one => one.before === next?.id)?.until ?? board.state.log.at(-1)?.event.at ?? '',
    }
  }))
  const isReady = ({ ready }: Standing) => Date.parse(ready || '1970-01-01') <= now.value.getTime()
  const isOpen = ({ board }: Standing) => board.summary.openDefects > 0

  /** Taken out by hand, for what is done now. */
  const out = ref(new Set<string>())
  /** What was done last stays in hand while any pen is left for it. */
  const held = ref<string>()
  const operation = computed(() => {
    const counts = new Map<string, { operation: Operation, ready: number, all: number }>()
    for (const one of standing.value) {
      if (!one.operation) continue
      const known = counts.get(one.operation.key) ?? { operation: one.operation, ready: 0, all: 0 }
      known.all++
      // Whoever is taken out by hand keeps nobody at it.
      if (isReady(one) && !out.value.has(one.board.pen.id)) known.ready++
      counts.set(one.operation.key, known)
    }
    const kept = held.value === undefined ? undefined : counts.get(held.value)
    if (kept?.ready) return kept.operation
    return [...counts.values()].sort((a, b) => b.ready - a.ready || b.all - a.all)[0]?.operation
  })
  watch(() => operation.value?.key, (key) => {
    held.value = key
    out.value = new Set()
  })

  const inHand = computed(() => standing.value.filter(one => one.operation && one.operation.key === operation.value?.key))
  const chosen = computed(() => inHand.value.filter(one => isReady(one) && !isOpen(one) && !out.value.has(one.board.pen.id)))
  const tiles = computed(() =>
    standing.value.map((one): Tile => ({ board: one.board, open: one.board.summary.openDefects, ...stands(one) })))
  function stands(one: Standing): Pick<Tile, 'is' | 'says'> {
    const { summary, pen } = one.board
    if (!summary.next) return { is: 'finished', says: 'Finished' }
    if (one.operation?.key !== operation.value?.key) return { is: 'elsewhere', says: summary.next.title }
    if (out.value.has(pen.id)) return { is: 'out', says: 'Not this time' }
    if (!isReady(one)) return { is: 'waits', says: `Ready ${clockTime(one.ready, now.value)}` }
    return { is: 'in', says: alike.value.title ? pen.name : `${pen.name}: ${summary.next.says}` }
  }

  /** Whether the words of one are true of all in hand: another coat of the same, or another fitting, says something else. */
  const alike = computed(() => {
    const nexts = inHand.value.flatMap(one => one.board.summary.next ?? [])
    const same = (of: 'title' | 'how') => nexts.every(one => one[of] === nexts[0]?.[of])
    return { title: same('title'), how: same('how') }
  })
  /** What all of them have to do, as far as it is the same for all. */
  const lead = computed(() => chosen.value[0] ?? inHand.value[0])
  const words = computed(() => {
    const board = lead.value?.board
    const step = board?.traced.steps.find(one => one.step.id === board.state.next?.id)
    if (!board || !step) return undefined
    const { title, work, how, done } = stepWords(board.state.plan, step, units.value, board.traced)
    return {
      step: step.step,
      title: alike.value.title ? title : work,
      how: alike.value.how ? how : '',
      done: alike.value.title ? done : 'Done',
    }
  })
  const looksOf = ({ board: { state, traced } }: Standing) => (state.next ? checksFor(state.plan, state.next, traced, units.value) : [])
  const saidOf = ({ board: { state } }: Standing, check: string) => state.next && answerTo(state, state.next.id, check)
  /** What is asked in the same words of all that are in it. */
  const checks = computed((): SharedCheck[] => {
    const all = chosen.value.map(one => ({ one, asks: looksOf(one) }))
    return (all[0]?.asks ?? [])
      .filter(({ id, ask }) => all.every(({ asks }) => asks.some(other => other.id === id && other.ask === ask)))
      .map(({ id, ask }) => {
        const said = all.map(({ one }) => saidOf(one, id))
        return { id, ask, open: said.filter(answer => !answer).length, noes: said.filter(answer => answer === 'no').length }
      })
  })
  /** Yes on all that nobody has answered it for. */
  function sayYes(check: string) {
    const open = chosen.value.filter(one => !saidOf(one, check))
    put(open, step => ({ kind: 'check', payload: { step: step.id, check, answer: 'yes' } }))
  }
  const sands = computed(() => chosen.value.length > 0 && chosen.value.every(({ board }) => board.state.next?.kind === 'sand'))
  /** Looked at, and the scratches of the grit before still show: on all that are in it. */
  function notYet() {
    if (sands.value) put(chosen.value, step => ({ kind: 'look', payload: { step: step.id, answer: 'not yet' } }))
  }
  function put(those: readonly Standing[], entry: (step: Step) => Entry) {
    const events = those.flatMap(({ board: { pen, state } }) =>
      state.next ? [{ pen: pen.id, barrels: state.next.barrels, entry: entry(state.next) }] : [])
    void outbox.put(...asEvents(events, time.ahead))
  }
  /** When the next of those that wait is ready. */
  const nextReady = computed(() => inHand.value.filter(one => !isReady(one)).map(one => one.ready).sort()[0])

  /** When what is in hand was begun: when the page was opened, or what came before was done. */
  const began = ref('')
  /** By the right time: this device's clock may be wrong. */
  const rightNow = () => new Date(time.now()).toISOString()
  /** What was done last together: the entries, to be taken back as one. */
  const last = ref<readonly { pen: string, entry: string }[]>([])

  /** All that are in it are done: an entry for each, with its part of the time. */
  function done() {
    const pens = chosen.value
    if (!pens.length) return
    const ends = rightNow()
    const lastOf = ({ board }: Standing) => board.state.log.at(-1)?.event.at ?? ''
    const after = (one: Standing) => (one.ready > lastOf(one) ? one.ready : lastOf(one)) || began.value
    const shares = shared(pens.map(one => ({ pen: one.board.pen.id, notBefore: after(one) })), began.value, ends)
    const steps = new Map(pens.map(one => [one.board.pen.id, must(one.board.state.next, 'what is in hand is next')]))
    const events = asEvents(
      shares.map(({ pen, at, seconds }) => {
        const step = must(steps.get(pen), 'each has its step')
        const part = pens.length > 1 ? { shared: { seconds, pens: pens.length } } : {}
        return { pen, at, barrels: step.barrels, entry: { kind: 'done', payload: { step: step.id, ...part } } }
      }),
      time.ahead,
    )
    last.value = events.map(({ pen, id }) => ({ pen, entry: id }))
    began.value = ends
    void outbox.put(...events)
  }
  function takeBack() {
    const back = last.value.map(({ pen, entry }) => ({ pen, entry: { kind: 'undo' as const, payload: { entries: [entry] } } }))
    last.value = []
    void outbox.put(...asEvents(back, time.ahead))
  }
  /** Something of one of them. */
  function enter(pen: string, entry: Entry, barrels: readonly BarrelId[] = []) {
    void outbox.put(...asEvents([{ pen, entry, barrels }], time.ahead))
  }
  function toggle(id: string) {
    const now = new Set(out.value)
    if (!now.delete(id)) now.add(id)
    out.value = now
  }

  /** Fetches those that this screen has not met. */
  const load = async () => {
    // One that is not there any more stands in the way of none of the others.
    const gone = (error: unknown) => {
      if (refused(error).status !== 404) throw error
    }
    await Promise.all(ids().filter(id => !bench.boardOf(id) && !bench.brokenOf(id)).map(id => bench.fetchPen(id).catch(gone)))
    began.value = rightNow()
  }
  return { tiles, operation, chosen, inHand, words, checks, sands, nextReady, last, enter, done, sayYes, notYet, takeBack, toggle, load }
}
