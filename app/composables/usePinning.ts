import { roughSpan } from '#core/format'
import type { Pin } from '#schemas'
import { newId } from '~/utils/ids'
import type { Shown } from '~/utils/evening-view'

/** A wish about one piece, before it is kept. */
export type Wish = Pick<Pin, 'kind' | 'at'>

/** What a wish would cost is asked once the finger rests for so long, ms. */
const RESTS = 120

/** Taking one piece up and putting it elsewhere: what that costs is said while it is held, and kept as a wish when it is put down. */
export function usePinning(blocks: ComputedRef<readonly Shown[]>, evenings: ComputedRef<readonly Stretch[]>) {
  const store = useEveningsKept()
  const toast = useToast()
  const { plan, whatIf, withPin } = useEvenings()
  const chosen = ref<{ pen: string, step: string }>()
  const picked = computed(() => blocks.value.find(one => one.pen === chosen.value?.pen && one.is.id === chosen.value?.step))
  const cost = ref('')
  let timer: ReturnType<typeof setTimeout> | undefined
  let turn = 0

  function pick(block: Shown | undefined) {
    chosen.value = block && { pen: block.pen, step: block.is.id }
    forget()
  }
  /** Nobody wants to know any more what was asked: its answer would stand at another piece. */
  function forget(): number {
    clearTimeout(timer)
    cost.value = ''
    return ++turn
  }
  /** The same wish about the same piece is one, however often it is changed. */
  function pinOf({ pen, is }: Shown, { kind, at }: Wish): Pin {
    const before = store.kept?.pins.find(one => one.pen === pen && one.step === is.id && one.kind === kind)
    return { id: before?.id ?? newId(), pen, step: is.id, kind, at, group: null, weight: null }
  }
  /** Asks what a wish would come to; without one what is said is taken away. */
  function hold(block: Shown, wish: Wish | undefined) {
    const mine = forget()
    if (!wish) return
    timer = setTimeout(() => void ask(block, wish, mine), RESTS)
  }
  async function ask(block: Shown, wish: Wish, mine: number) {
    const before = plan.value
    if (!before) return
    const { of, is } = await whatIf({ pins: withPin(pinOf(block, wish)) })
    if (mine !== turn) return
    cost.value = costWords(before, { of, is })
  }
  /** What changes for the worse, or better. */
  function costWords(before: NonNullable<typeof plan.value>, { of, is }: Awaited<ReturnType<typeof whatIf>>): string {
    if (is.costs.pinned > before.is.costs.pinned) return 'It cannot be begun by then.'
    const [then, now] = [readyTimes(before.of.problem, before.is), readyTimes(of.problem, is)]
    const lost = store.boards.filter(({ pen }) => {
      if (pen.due === null) return false
      const by = promisedBy(pen.due).getTime()
      const isLate = (ready: number | undefined) => of.now.getTime() + (ready ?? 0) * 1000 > by
      return isLate(now.get(pen.id)) && !isLate(then.get(pen.id))
    })
    if (lost.length) return `${lost.map(one => one.pen.mark).join(', ')} would miss ${lost.length === 1 ? 'its' : 'their'} day.`
    const later = is.costs.finished - before.is.costs.finished
    if (Math.abs(later) < 300) return 'It costs nothing.'
    return `Pens are ready ${roughSpan(Math.abs(later) / of.problem.pens.length)} ${later > 0 ? 'later' : 'sooner'} on average.`
  }
  async function put(block: Shown, wish: Wish) {
    const pin = pinOf(block, wish)
    // Of the moments of one piece the last that was said counts.
    const other = (store.kept?.pins ?? []).filter(one =>
      one.pen === pin.pen && one.step === pin.step && one.kind !== 'together' && one.id !== pin.id)
    const before = store.kept?.pins.find(one => one.id === pin.id)
    pick(undefined)
    await store.attempt(async () => {
      await Promise.all([...other.map(one => store.dropPin(one.id)), store.putPin(pin)])
      const back = () => Promise.all([before ? store.putPin(before) : store.dropPin(pin.id), ...other.map(one => store.putPin(one))])
      toast.add({
        title: `${block.board.pen.mark}, ${block.title}. ${wishWords(wish, new Date())}.`,
        actions: [{ label: 'Put it back', onClick: () => void store.attempt(back) }],
      })
    })
  }
  /** The pieces of other pens that are the same operation: what could be done in one go. */
  const alike = computed(() => {
    const one = picked.value
    if (!one?.key) return []
    const others = blocks.value.filter(each => each.key === one.key && each.inHours)
    return others.filter((each, index) => others.findIndex(first => first.pen === each.pen) === index)
  })
  /** Wishes that are under way: what is taken back is all of them, not only those that were answered. */
  let putting: Promise<unknown> = Promise.resolve()
  /** All of these in one go. */
  async function together() {
    const group = newId()
    const pieces = alike.value
    pick(undefined)
    putting = store.attempt(() => Promise.all(pieces.map(({ pen, is }) =>
      store.putPin({ id: newId(), pen, step: is.id, kind: 'together', at: null, group, weight: null }))))
    await putting
  }
  /** How much the promise of a pen counts against those of others. */
  async function weigh(pen: string, weight: number) {
    const before = store.kept?.pins.find(one => one.pen === pen && one.kind === 'weight')
    const wish = { id: before?.id ?? newId(), pen, step: null, kind: 'weight' as const, at: null, group: null, weight }
    if (weight > 1) await store.attempt(() => store.putPin(wish))
    else if (before) await store.attempt(() => store.dropPin(before.id))
  }
  /** Takes a wish back; of what is wanted in one go all of it. */
  async function drop(id: string) {
    await putting
    const pins = store.kept?.pins ?? []
    const group = pins.find(one => one.id === id)?.group
    const all = pins.filter(one => one.id === id || (group && one.group === group))
    await store.attempt(() => Promise.all(all.map(one => store.dropPin(one.id))))
  }
  watch(evenings, () => {
    if (chosen.value && !picked.value) pick(undefined)
  })
  return { picked, alike, cost, pick, hold, put, together, weigh, drop }
}
