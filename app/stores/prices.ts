import { defineStore } from 'pinia'
import type { Prices } from '#core/money'

/** What the workshop pays, by what it is for, in minor units. */
export const usePrices = defineStore('prices', () => {
  const prices = shallowRef<Prices>()
  async function load() {
    prices.value = await api('GET /api/prices')
  }
  async function put(what: string, minor: number | null) {
    prices.value = await api('PUT /api/prices', { body: { what, minor } })
  }
  /** As they are by now, where they are shown. */
  const refresh = async () => {
    if (prices.value) await load()
  }
  return { prices, load, put, refresh }
})
