import { defineStore } from 'pinia'
import type { BitChange, BlankInput, ReadingInput, ShelfFittingInput } from '#schemas'
import type { ShelfBit, ShelfBlank, ShelfFitting } from '#contract'

/** What pens are cut from: fittings, blanks and bits on the shelf. */
export const useStock = defineStore('stock', () => {
  const fittings = ref<ShelfFitting[]>()
  const blanks = ref<ShelfBlank[]>()
  const bits = ref<ShelfBit[]>()

  async function loadFittings() {
    fittings.value = await api('GET /api/fittings')
  }
  async function loadBlanks() {
    blanks.value = await api('GET /api/blanks')
  }
  async function loadBits() {
    bits.value = await api('GET /api/bits')
  }
  const load = () => Promise.all([loadFittings(), loadBlanks(), loadBits()])
  const fitting = (id: string) => fittings.value?.find(one => one.fitting.id === id)
  /** What pens can be cut from as it is: no boards. */
  const sticks = computed(() => (blanks.value ?? []).filter(one => !one.board))
  const boards = computed(() => (blanks.value ?? []).filter(one => one.board))
  const blank = (id: string | null) => blanks.value?.find(one => one.id === id)

  async function keepFitting(id: string | null, body: ShelfFittingInput): Promise<ShelfFitting> {
    const kept = id
      ? await api('PUT /api/fittings/:id', { params: { id }, body })
      : await api('POST /api/fittings', { body })
    await loadFittings()
    return kept
  }
  async function dropFitting(id: string) {
    await api('DELETE /api/fittings/:id', { params: { id } })
    fittings.value = fittings.value?.filter(one => one.fitting.id !== id)
  }
  async function keepBlank(id: string | null, body: BlankInput): Promise<ShelfBlank> {
    const kept = id
      ? await api('PUT /api/blanks/:id', { params: { id }, body })
      : await api('POST /api/blanks', { body })
    await loadBlanks()
    return kept
  }
  async function dropBlank(id: string) {
    await api('DELETE /api/blanks/:id', { params: { id } })
    blanks.value = blanks.value?.filter(one => one.id !== id)
  }
  /** A board was not cut after all: its sticks are off the shelf, and it is there again. */
  async function uncutBlank(id: string) {
    await api('POST /api/blanks/:id/uncut', { params: { id } })
    await loadBlanks()
  }
  const take = (changed: ShelfBlank) => {
    blanks.value = blanks.value?.map(one => (one.id === changed.id ? changed : one))
  }
  async function addReading(blankId: string, reading: ReadingInput) {
    take(await api('POST /api/blanks/:id/readings', { params: { id: blankId }, body: reading }))
  }
  async function dropReading(blankId: string, id: string) {
    take(await api('DELETE /api/blanks/:id/readings/:reading', { params: { id: blankId, reading: id } }))
  }
  async function countBit(change: BitChange) {
    bits.value = await api('PUT /api/bits', { body: change })
  }
  return {
    fittings,
    blanks,
    sticks,
    boards,
    bits,
    load,
    loadFittings,
    loadBlanks,
    loadBits,
    fitting,
    blank,
    keepFitting,
    dropFitting,
    keepBlank,
    dropBlank,
    uncutBlank,
    addReading,
    dropReading,
    countBit,
  }
})
