import { abrasiveName } from '#core/abrasives'
import { takesOf } from '#core/bench'
import { abrasivePrice, blankPrice, bottlePrice, materialPrice, setPrice } from '#core/money'
import { whatToBuy, type BuyAt, type Wanted } from '#core/stock'
import type { OwnProductKept } from '#contract'
import { materials, products } from '#reference'

/** What must be bought for pens in work, those that are planned and those that are ordered, until a day (YYYY-MM-DD) or for all. */
export function useShopping(until: () => string) {
  const evenings = useEveningsKept()
  const orders = useOrders()
  const stock = useStock()
  const workshop = useWorkshop()
  const prices = usePrices()
  const supplies = useSupplies()
  const live = useLive()
  /** Products of one's own: also of those that are off the shelf it is told what was done with them. */
  const own = shallowRef<readonly OwnProductKept[]>([])
  const readOwn = async () => {
    own.value = await api('GET /api/shelf/products')
  }
  const load = () => Promise.all([
    readOwn(), live.meet(), evenings.load(), orders.loadOpen(), stock.load(), workshop.load(), prices.load(), supplies.load(),
  ])

  const isIn = (day: string | null | undefined) => !until() || (day != null && day <= until())
  const sheets = (id: string) => {
    const paper = workshop.shelf?.abrasives.find(one => one.id === id)
    return paper?.count === undefined ? null : paper.count - (paper.worn ?? 0)
  }
  function bottle(id: string): Pick<Wanted, 'there' | 'piece'> {
    const known = workshop.shelf?.products.find(one => one.id === id)?.bottle
    const more = (known?.sealed ?? 0) * (known?.size ?? 0)
    return { there: known?.left === undefined ? null : known.left + more, piece: known?.size ?? null }
  }
  const set = (id: string, name: string): Omit<Wanted, 'needed'> =>
    ({ what: setPrice(id), name, there: stock.fitting(id)?.sets ?? null, piece: 1 })
  const penBlank = (id: string): Omit<Wanted, 'needed'> =>
    ({
      what: materialPrice(id), name: `${materials.find(one => one.id === id)?.name ?? id}, pen blank`,
      there: supplies.told?.penBlanks[id] ?? null, piece: 1,
    })

  /** What each pen that is begun or planned takes; those in work come in whatever their day is. */
  const ofPens = computed((): Wanted[] => evenings.boards
    .filter(({ pen, summary }) => summary.stage === 'in work' || isIn(pen.due))
    .flatMap((board) => {
      const stick = stock.blank(board.pen.blank)
      const isCut = board.state.steps.some(one => one.step.kind === 'cut' && one.status !== 'open')
      const own = stick || isCut ? [] : [{ ...penBlank(board.pen.material), needed: 1 }]
      const takes = takesOf(board.pen.id, board, stick && { id: stick.id, name: stick.name })
      return [...own, ...takes.map(({ of, id, name, amount }): Wanted => {
        if (of === 'set') return { ...set(id, name), needed: amount }
        if (of === 'stick') return { what: blankPrice(id), name, needed: amount, there: stock.blank(id)?.count ?? null, piece: 1 }
        if (of === 'sheet') return { what: abrasivePrice(id), name, needed: amount, there: sheets(id), piece: 1 }
        return { what: bottlePrice(id), name, needed: amount, ...bottle(id) }
      })]
    }))
  /** Pens of orders that are not started yet take a set and a blank, as far as it is said which. */
  const ofOrders = computed((): Wanted[] => (orders.open ?? [])
    .filter(({ order }) => isIn(order.promised))
    .flatMap(({ order }) => order.lines)
    .filter(line => line.pen === null)
    .flatMap(({ fitting, material }) => [
      ...(fitting ? [{ ...set(fitting, stock.fitting(fitting)?.fitting.name ?? fitting), needed: 1 }] : []),
      ...(material ? [{ ...penBlank(material), needed: 1 }] : []),
    ]))
  const priceOf = (what: string) =>
    prices.prices?.[what] ?? workshop.shelf?.products.find(one => bottlePrice(one.id) === what)?.bottle?.price
  const list = computed((): BuyAt[] => whatToBuy([...ofPens.value, ...ofOrders.value], what => supplies.of(what), priceOf))

  /** What a thing is called that was bought or counted. */
  function nameOf(what: string): string {
    const [kind = '', id = ''] = what.split(':')
    if (kind === 'fitting') return stock.fitting(id)?.fitting.name ?? 'A fitting that is gone'
    if (kind === 'blank') return stock.blank(id)?.name ?? 'A blank that is gone'
    if (kind === 'material') return penBlank(id).name
    const paper = workshop.shelf?.abrasives.find(one => one.id === id)
    if (kind === 'abrasive') return paper ? abrasiveName(paper) : id
    return [...products, ...own.value].find(one => one.id === id)?.name ?? id
  }
  return { load, list, nameOf, priceOf }
}
