import { defineStore } from 'pinia'
import type { Supplies } from '#contract'
import type { Bought, SupplyChange } from '#schemas'

/** Where things are bought, and what was bought and counted lately. */
export const useSupplies = defineStore('supplies', () => {
  const told = shallowRef<Supplies>()
  async function load() {
    told.value = await api('GET /api/supplies')
  }
  async function say(wanted: SupplyChange) {
    told.value = await api('PUT /api/supplies', { body: wanted })
  }
  async function book(bought: Bought) {
    told.value = await api('POST /api/supplies/bought', { body: bought })
  }
  const of = (what: string) => told.value?.supplies.find(one => one.what === what)
  /** As it is by now, where it is shown. */
  const refresh = async () => {
    if (told.value) await load()
  }
  return { told, load, say, book, of, refresh }
})
