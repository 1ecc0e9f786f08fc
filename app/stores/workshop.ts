import { defineStore } from 'pinia'
import { sandingClass, type Material, type Shelf } from '#core/plan'
import { unitWords } from '#core/units'
import type { BuildFit } from '#core/film'
import type { AirReading } from '#core/climate'
import type { BottleChange, OwnAbrasive, ShelfChange, Workshop } from '#schemas'
import type { WorkshopLearnt } from '~~/server/db/learnt'

/** The air, the units and the shelf of this workshop. */
export const useWorkshop = defineStore('workshop', () => {
  const workshop = ref<Workshop>()
  const shelf = ref<Shelf>()
  /** The turner's own cut rate and capacity for each class of wood, from the log of all pens. */
  const learnt = ref<WorkshopLearnt>()
  const learntOf = (material: Material) => learnt.value?.sanding[sandingClass(material)]
  /** What the turner's own coats build, fitted to the diameters of all pens. */
  const fit = computed((): BuildFit => learnt.value?.builds ?? { products: {}, setAside: [] })
  /** The same as a plan takes it; undefined while nothing was measured. */
  const builds = computed(() => {
    const own = Object.entries(fit.value.products).flatMap(([id, one]) => one.measurements > 0 ? [[id, one.build] as const] : [])
    return own.length ? Object.fromEntries(own) : undefined
  })
  /** The air as it was read in the last weeks, which running waits follow. */
  const air = ref<AirReading[]>([])
  /** The same as a plan takes it. */
  function ownOf(material: Material) {
    const found = learntOf(material)
    return found && { rate: found.rate.likely, capacity: found.capacity.likely }
  }
  const units = computed(() => unitWords(workshop.value?.units ?? 'metric'))

  async function load() {
    [workshop.value, shelf.value, learnt.value, air.value] = await Promise.all([
      $fetch<Workshop>('/api/workshop'), $fetch<Shelf>('/api/shelf'), $fetch<WorkshopLearnt>('/api/learnt'), $fetch<AirReading[]>('/api/air'),
    ])
  }
  /** What the log tells by now: after something was measured. */
  async function learn() {
    learnt.value = await $fetch<WorkshopLearnt>('/api/learnt')
  }
  /** The air as it is by now: an instrument has read it. */
  async function breathe() {
    [workshop.value, air.value] = await Promise.all([$fetch<Workshop>('/api/workshop'), $fetch<AirReading[]>('/api/air')])
  }
  async function readAir(reading: { celsius: number, humidity: number }) {
    air.value = await $fetch<AirReading[]>('/api/air', { method: 'POST', body: reading })
  }
  async function save(wanted: Workshop) {
    workshop.value = await $fetch<Workshop>('/api/workshop', { method: 'PUT', body: wanted })
    air.value = await $fetch<AirReading[]>('/api/air')
  }
  async function putOnShelf(item: string, there: boolean, how: Omit<ShelfChange, 'item' | 'there'> = {}) {
    shelf.value = await $fetch<Shelf>('/api/shelf', { method: 'PUT', body: { item, there, ...how } })
  }
  async function sayBottle(bottle: BottleChange) {
    shelf.value = await $fetch<Shelf>('/api/shelf/bottle', { method: 'PUT', body: bottle })
  }
  async function addOwnAbrasive(wanted: OwnAbrasive) {
    shelf.value = await $fetch<Shelf>('/api/shelf/own', { method: 'POST', body: wanted })
  }
  async function fillShelf() {
    shelf.value = await $fetch<Shelf>('/api/shelf/usual', { method: 'POST' })
  }
  return { workshop, shelf, air, fit, builds, learn, breathe, readAir, sayBottle, learntOf, ownOf, units, load, save, putOnShelf, addOwnAbrasive, fillShelf }
})
