import { defineStore } from 'pinia'
import type { Shelf } from '#core/plan'
import { unitWords } from '#core/units'
import type { Workshop } from '#schemas'

/** The air, the units and the shelf of this workshop. */
export const useWorkshop = defineStore('workshop', () => {
  const workshop = ref<Workshop>()
  const shelf = ref<Shelf>()
  const units = computed(() => unitWords(workshop.value?.units ?? 'metric'))

  async function load() {
    [workshop.value, shelf.value] = await Promise.all([$fetch<Workshop>('/api/workshop'), $fetch<Shelf>('/api/shelf')])
  }
  async function save(wanted: Workshop) {
    workshop.value = await $fetch<Workshop>('/api/workshop', { method: 'PUT', body: wanted })
  }
  async function putOnShelf(item: string, there: boolean) {
    shelf.value = await $fetch<Shelf>('/api/shelf', { method: 'PUT', body: { item, there } })
  }
  async function fillShelf() {
    shelf.value = await $fetch<Shelf>('/api/shelf/usual', { method: 'POST' })
  }
  return { workshop, shelf, units, load, save, putOnShelf, fillShelf }
})
