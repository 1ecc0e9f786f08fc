import type { ListedPen } from '#contract'
import { placeSum, type Moved } from '#core/orders'

/** What was sold from this page: it stands here until the next visit, and can be taken back. */
export interface SoldHere {
  /** Which. */
  listed: ListedPen
  /** The entry. */
  entry: string
  /** What it brought, in minor units. */
  price: number | null
}

/** A fair: the pens that are here, and those that go; without a network too. */
export function useFair(place: () => string | null) {
  const outbox = useOutbox()
  const store = useOrders()
  const stock = useStock()
  const { leave, undo } = useLeaving()
  const list = usePenList(() => ({ at: 'here', sort: 'marks', limit: 200 }))
  const me = useMe()
  /** Whoever only looks sees the pens and what is asked for them; where they were sold is money. */
  const loadPlaces = async () => (me.may('money') ? store.loadPlaces() : undefined)
  const load = () => Promise.all([list.load(), loadPlaces(), stock.load()])

  /** Pens that went by entries which are not sent yet: the last entry of a pen counts. */
  const unsent = computed(() => {
    const undone = new Set(outbox.shown.flatMap(event => (event.kind === 'undo' ? event.payload.entries : [])))
    return outbox.shown.filter(event => event.kind === 'leave' && !undone.has(event.id))
  })
  const justSold = ref<SoldHere[]>([])
  const gone = computed(() => new Set([...unsent.value.map(event => event.pen), ...justSold.value.map(one => one.listed.pen.id)]))
  const here = computed(() => (list.pens.value ?? []).filter(one => !gone.value.has(one.pen.id)))

  async function sell(listed: ListedPen, price: number | null, how: 'sold' | 'given' = 'sold') {
    // The list is shorter at once, whether anybody answers or not.
    const row = { listed, entry: '', price: how === 'sold' ? price : null }
    justSold.value = [row, ...justSold.value]
    const [entry] = await leave([{ pen: listed.pen.id, how, price: row.price, place: place() }])
    justSold.value = justSold.value.map(one => (one.listed.pen.id === listed.pen.id ? { ...one, entry: entry ?? '' } : one))
    await told()
  }
  async function takeBack({ listed, entry }: SoldHere) {
    await undo(listed.pen.id, entry)
    justSold.value = justSold.value.filter(one => one.entry !== entry)
    await Promise.all([list.load(), told()]).catch(() => undefined)
  }
  const told = () => loadPlaces().catch(() => undefined)

  /** What this place brought: what the server knows of, and what it has not heard yet. */
  const sum = computed(() => {
    const id = place()
    const known = store.place(id)?.sum
    const more = unsent.value.flatMap((event): Moved[] =>
      event.kind === 'leave' && event.payload.place === id ? [{ kind: 'leave', how: event.payload.how, price: event.payload.price }] : [])
    const extra = placeSum(more, 0)
    if (!known) return undefined
    const { sold, given, taken, left } = known
    return { ...known, sold: sold + extra.sold, given: given + extra.given, taken: taken + extra.taken, left: left + extra.left }
  })
  return { here, hasMore: list.hasMore, load, sell, takeBack, justSold, sum }
}
