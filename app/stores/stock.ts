import { defineStore } from 'pinia'
import type { BitChange, BlankInput, ReadingInput, ShelfFittingInput } from '#schemas'
import type { ShelfBit } from '~~/server/db/bits'
import type { ShelfBlank } from '~~/server/db/blanks'
import type { ShelfFitting } from '~~/server/db/fittings'

/** What pens are cut from: fittings, blanks and bits on the shelf. */
export const useStock = defineStore('stock', () => {
  const fittings = ref<ShelfFitting[]>()
  const blanks = ref<ShelfBlank[]>()
  const bits = ref<ShelfBit[]>()

  async function load() {
    [fittings.value, blanks.value, bits.value] = await Promise.all([$fetch<ShelfFitting[]>('/api/fittings'), $fetch<ShelfBlank[]>('/api/blanks'), $fetch<ShelfBit[]>('/api/bits')])
  }
  const fitting = (id: string) => fittings.value?.find(one => one.fitting.id === id)
  const blank = (id: string | null) => blanks.value?.find(one => one.id === id)

  async function keepFitting(id: string | null, body: ShelfFittingInput): Promise<ShelfFitting> {
    const kept = id ? await $fetch<ShelfFitting>(`/api/fittings/${id}`, { method: 'PUT', body }) : await $fetch<ShelfFitting>('/api/fittings', { method: 'POST', body })
    fittings.value = await $fetch<ShelfFitting[]>('/api/fittings')
    return kept
  }
  async function dropFitting(id: string) {
    await $fetch(`/api/fittings/${id}`, { method: 'DELETE' })
    fittings.value = fittings.value?.filter(one => one.fitting.id !== id)
  }
  async function keepBlank(id: string | null, body: BlankInput): Promise<ShelfBlank> {
    const kept = id ? await $fetch<ShelfBlank>(`/api/blanks/${id}`, { method: 'PUT', body }) : await $fetch<ShelfBlank>('/api/blanks', { method: 'POST', body })
    blanks.value = await $fetch<ShelfBlank[]>('/api/blanks')
    return kept
  }
  async function dropBlank(id: string) {
    await $fetch(`/api/blanks/${id}`, { method: 'DELETE' })
    blanks.value = blanks.value?.filter(one => one.id !== id)
  }
  const take = (changed: ShelfBlank) => {
    blanks.value = blanks.value?.map(one => one.id === changed.id ? changed : one)
  }
  async function addReading(blankId: string, reading: ReadingInput) {
    take(await $fetch<ShelfBlank>(`/api/blanks/${blankId}/readings`, { method: 'POST', body: reading }))
  }
  async function dropReading(blankId: string, id: string) {
    take(await $fetch<ShelfBlank>(`/api/blanks/${blankId}/readings/${id}`, { method: 'DELETE' }))
  }
  async function countBit(change: BitChange) {
    bits.value = await $fetch<ShelfBit[]>('/api/bits', { method: 'PUT', body: change })
  }
  return { fittings, blanks, bits, load, fitting, blank, keepFitting, dropFitting, keepBlank, dropBlank, addReading, dropReading, countBit }
})
