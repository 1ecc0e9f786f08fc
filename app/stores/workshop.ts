import { defineStore } from 'pinia'
import type { Shelf } from '#core/plan'
import type { Learnt } from '#core/sanding'
import { unitWords } from '#core/units'
import type { OwnAbrasive, ShelfChange, Workshop } from '#schemas'

/** The air, the units and the shelf of this workshop. */
export const useWorkshop = defineStore('workshop', () => {
  const workshop = ref<Workshop>()
  const shelf = ref<Shelf>()
  /** The turner's own cut rate and capacity, from the log of all pens. */
  const learnt = ref<Learnt>()
  const own = computed(() => learnt.value?.observations ? { rate: learnt.value.rate.likely, capacity: learnt.value.capacity.likely } : undefined)
  const units = computed(() => unitWords(workshop.value?.units ?? 'metric'))

  async function load() {
    [workshop.value, shelf.value, learnt.value] = await Promise.all([$fetch<Workshop>('/api/workshop'), $fetch<Shelf>('/api/shelf'), $fetch<Learnt>('/api/learnt')])
  }
  async function save(wanted: Workshop) {
    workshop.value = await $fetch<Workshop>('/api/workshop', { method: 'PUT', body: wanted })
  }
  async function putOnShelf(item: string, there: boolean, how: Omit<ShelfChange, 'item' | 'there'> = {}) {
    shelf.value = await $fetch<Shelf>('/api/shelf', { method: 'PUT', body: { item, there, ...how } })
  }
  async function addOwnAbrasive(wanted: OwnAbrasive) {
    shelf.value = await $fetch<Shelf>('/api/shelf/own', { method: 'POST', body: wanted })
  }
  async function fillShelf() {
    shelf.value = await $fetch<Shelf>('/api/shelf/usual', { method: 'POST' })
  }
  return { workshop, shelf, learnt, own, units, load, save, putOnShelf, addOwnAbrasive, fillShelf }
})
