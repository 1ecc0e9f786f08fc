import type { OrderQuery } from '#schemas'
import { withPens } from '~/utils/order-list'

/**
 * A list of orders, page by page. What is entered of a pen changes the order it stands for; the list is read anew only where an order
 * was changed.
 */
export function useOrderList(asked: () => Pick<OrderQuery, 'state' | 'text'>) {
  const store = useOrders()
  const pages = usePages(asked, async ({ after, ...query }) => {
    const from = after ? { after: Number(after) } : {}
    const { orders, next } = await api('GET /api/orders', { query: { limit: AT_ONCE, ...query, ...from } })
    return { rows: orders, next: next === null ? null : String(next) }
  })
  usePenRows().onTold(now => pages.change(rows => withPens(rows, now)))
  store.onTold(pages.load)
  return { orders: computed(() => pages.read.value?.rows), load: pages.load, more: pages.more }
}

/** So many come at once. */
const AT_ONCE = 50
