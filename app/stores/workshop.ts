import { defineStore } from 'pinia'
import { sandingClass, type Material, type Shelf } from '#core/plan'
import { unitWords } from '#core/units'
import type { OwnAbrasive, ShelfChange, Workshop } from '#schemas'
import type { LearntByClass } from '~~/server/db/learnt'

/** The air, the units and the shelf of this workshop. */
export const useWorkshop = defineStore('workshop', () => {
  const workshop = ref<Workshop>()
  const shelf = ref<Shelf>()
  /** The turner's own cut rate and capacity for each class of wood, from the log of all pens. */
  const learnt = ref<LearntByClass>({})
  const learntOf = (material: Material) => learnt.value[sandingClass(material)]
  /** The same as a plan takes it. */
  function ownOf(material: Material) {
    const found = learntOf(material)
    return found && { rate: found.rate.likely, capacity: found.capacity.likely }
  }
  const units = computed(() => unitWords(workshop.value?.units ?? 'metric'))

  async function load() {
    [workshop.value, shelf.value, learnt.value] = await Promise.all([$fetch<Workshop>('/api/workshop'), $fetch<Shelf>('/api/shelf'), $fetch<LearntByClass>('/api/learnt')])
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
  return { workshop, shelf, learntOf, ownOf, units, load, save, putOnShelf, addOwnAbrasive, fillShelf }
})
