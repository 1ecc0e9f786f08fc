import { defineStore } from 'pinia'
import type { BuildFit } from '#core/film'
import type { AirReading } from '#core/climate'
import { format } from 'date-fns'
import { sandingClass, type Material, type Product, type Shelf } from '#core/shelf'
import { money } from '#core/format'
import { unitWords } from '#core/units'
import type { OwnProductKept, WorkshopLearnt } from '#contract'
import type { BottleChange, OwnAbrasive, OwnProduct, ShelfChange, Workshop, WorkshopChange } from '#schemas'

/** The air, the units and the shelf of this workshop. */
export const useWorkshop = defineStore('workshop', () => {
  const workshop = ref<Workshop>()
  const shelf = ref<Shelf>()
  /** The turner's own cut rate and capacity for each class of wood, from the log of all pens. */
  const learnt = ref<WorkshopLearnt>()
  const learntOf = (material: Material) => learnt.value?.sanding[sandingClass(material)]
  /** What the turner's own coats build, fitted to the diameters of all pens. */
  const fit = computed((): BuildFit => learnt.value?.builds ?? { products: {}, setAside: [] })
  /** The air as it was read in the last weeks, which running waits follow. */
  const air = ref<AirReading[]>([])
  const currency = computed(() => workshop.value?.currency ?? null)
  /** An amount of minor units, in the money of this workshop. */
  const inMoney = (minor: number) => money(minor, currency.value)
  const units = computed(() => unitWords(workshop.value?.units ?? 'metric'))

  /** Each answer is the whole shelf: asked one after the other, none puts back what a later one has told. */
  const onShelf = inTurn()
  async function load() {
    ;[workshop.value, shelf.value, air.value] = await Promise.all([
      api('GET /api/workshop'),
      onShelf(() => api('GET /api/shelf')),
      api('GET /api/air'),
      // Work goes on without what was learnt: plans are then made with the defaults, and say so.
      learn().catch(() => undefined),
    ])
  }
  async function loadShelf() {
    shelf.value = await onShelf(() => api('GET /api/shelf'))
  }
  let asked = 0
  /** What the log tells by now: after something was measured. An answer that a later one has overtaken is not taken. */
  async function learn() {
    const mine = ++asked
    const told = await api('GET /api/learnt')
    if (mine === asked) learnt.value = told
  }
  /** The air and the settings as they are by now: an instrument has read it, or another device has changed them. */
  async function breathe() {
    ;[workshop.value, air.value] = await Promise.all([api('GET /api/workshop'), api('GET /api/air')])
  }
  async function readAir(reading: { celsius: number, humidity: number }) {
    air.value = await api('POST /api/air', { body: reading })
  }
  async function save(wanted: WorkshopChange) {
    workshop.value = await api('PUT /api/workshop', { body: wanted })
    air.value = await api('GET /api/air')
  }
  async function putOnShelf(item: string, there: boolean, how: Omit<ShelfChange, 'item' | 'there'> = {}) {
    shelf.value = await onShelf(() => api('PUT /api/shelf', { body: { item, there, ...how } }))
  }
  async function sayBottle(bottle: BottleChange) {
    shelf.value = await onShelf(() => api('PUT /api/shelf/bottle', { body: bottle }))
  }
  /** The next bottle of a product is opened today: it is full, and one fewer is sealed. */
  async function openBottle({ id, bottle = {} }: Product) {
    const sealed = bottle.opened === null ? bottle.sealed : Math.max(0, (bottle.sealed ?? 0) - 1)
    await sayBottle({
      item: id, opened: format(new Date(), 'yyyy-MM-dd'), closed: false,
      ...(sealed === undefined ? {} : { sealed }), ...(bottle.size ? { left: bottle.size } : {}),
    })
  }
  /** A product of one's own, entered or changed. */
  async function keepOwnProduct(wanted: OwnProduct, kept?: OwnProductKept) {
    const { id, version } = kept ?? {}
    shelf.value = await onShelf(() => (id !== undefined && version !== undefined
      ? api('PUT /api/shelf/products/:id', { params: { id }, body: { ...wanted, version } })
      : api('POST /api/shelf/products', { body: wanted })))
  }
  async function throwAway(item: string) {
    shelf.value = await onShelf(() => api('POST /api/shelf/bottle/thrown', { body: { item } }))
  }
  async function addOwnAbrasive(wanted: OwnAbrasive) {
    shelf.value = await onShelf(() => api('POST /api/shelf/own', { body: wanted }))
  }
  async function fillShelf() {
    shelf.value = await onShelf(() => api('POST /api/shelf/usual'))
  }
  return {
    workshop,
    shelf,
    air,
    fit,
    learnt,
    learn,
    breathe,
    readAir,
    sayBottle,
    openBottle,
    learntOf,
    units, currency, inMoney,
    load,
    loadShelf,
    save,
    putOnShelf,
    addOwnAbrasive,
    keepOwnProduct,
    throwAway,
    fillShelf,
  }
})
