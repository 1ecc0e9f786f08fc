import { customersShown } from '#contract'
import type { CustomerQuery } from '#schemas'

/** The list of customers, page by page, in the order of their names. */
export function useCustomerList(asked: () => Pick<CustomerQuery, 'text'>) {
  const store = useOrders()
  const pages = usePages(asked, async (query) => {
    const rows = await api('GET /api/customers', { query })
    const last = rows.at(-1)
    return { rows, next: last && rows.length >= (query.limit ?? customersShown) ? `${last.id} ${last.name}` : null }
  })
  store.onTold(pages.load)
  return { customers: computed(() => pages.read.value?.rows), load: pages.load, more: pages.more }
}
