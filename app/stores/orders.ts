import { createEventHook } from '@vueuse/core'
import { defineStore } from 'pinia'
import { customersShown, type Customer, type ListedOrder, type Place } from '#contract'
import type { NewCustomer, NewOrder, NewPlace } from '#schemas'
import { withPens } from '~/utils/order-list'

/** Orders that are open, places where pens are sold, and whom they are made for, as far as they were asked for. */
export const useOrders = defineStore('orders', () => {
  const open = shallowRef<readonly ListedOrder[]>()
  const places = shallowRef<readonly Place[]>()
  const customers = shallowRef<readonly Customer[]>()

  async function loadOpen() {
    open.value = (await api('GET /api/orders', { query: { state: 'open' } })).orders
  }
  async function loadPlaces() {
    places.value = await api('GET /api/places')
  }
  /** Which of them were looked for. */
  let looked: { text?: string, also?: string | null } = {}
  let calls = 0
  /** Looks customers up: the same as before, or others from now on. An answer that a later one overtook is not taken. */
  async function loadCustomers(wanted = looked) {
    looked = wanted
    const mine = ++calls
    const { text, also } = wanted
    const found = await api('GET /api/customers', { query: { ...(text ? { text } : {}), ...(also ? { also } : {}) } })
    if (mine === calls) customers.value = found
  }
  /** Whether there may be more of them than stand there. */
  const moreCustomers = computed(() => (customers.value?.length ?? 0) >= customersShown)
  /** Of orders and customers something was changed: lists of them are read anew. */
  const told = createEventHook<[]>()
  /** What stands here, as it is by now. */
  const refresh = () => Promise.all([
    open.value && loadOpen(), places.value && loadPlaces(), customers.value && loadCustomers(), told.trigger(),
  ])
  usePenRows().onTold((now) => {
    if (open.value) open.value = withPens(open.value, now)
  })

  /** Keeps an order: a new one, or as it was at a version. */
  async function keep({ id, ...rest }: NewOrder, version?: number): Promise<ListedOrder> {
    const kept = version === undefined
      ? await api('POST /api/orders', { body: { id, ...rest } })
      : await api('PUT /api/orders/:id', { params: { id }, body: { version, ...rest } })
    if (open.value) await loadOpen()
    return kept
  }
  /** A pen stands for a line of an order from now on. */
  async function stand(id: string, line: string, pen: string) {
    const { order: { number: _, made: __, handed: ___, version, ...order } } = await api('GET /api/orders/:id', { params: { id } })
    await keep({ ...order, lines: order.lines.map(one => (one.id === line ? { ...one, pen } : one)) }, version)
  }
  async function keepPlace({ id, ...rest }: NewPlace, version?: number) {
    places.value = version === undefined
      ? await api('POST /api/places', { body: { id, ...rest } })
      : await api('PUT /api/places/:id', { params: { id }, body: { version, ...rest } })
  }
  async function keepCustomer({ id, ...rest }: NewCustomer, version?: number): Promise<Customer> {
    const kept = version === undefined
      ? await api('POST /api/customers', { body: { id, ...rest } })
      : await api('PUT /api/customers/:id', { params: { id }, body: { version, ...rest } })
    await loadCustomers()
    return kept
  }
  async function forget(id: string) {
    await api('DELETE /api/customers/:id', { params: { id } })
    await Promise.all([loadCustomers(), open.value && loadOpen()])
  }
  const place = (id: string | null) => places.value?.find(one => one.id === id)
  return {
    open, places, customers, moreCustomers, loadOpen, loadPlaces, loadCustomers, refresh,
    onTold: told.on, keep, stand, keepPlace, keepCustomer, forget, place,
  }
})
