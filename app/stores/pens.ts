import { defineStore } from 'pinia'
import type { ListedPen } from '~~/server/api/pens/index.get'

/** All pens, as lists show them. */
export const usePens = defineStore('pens', () => {
  const pens = ref<ListedPen[]>()
  async function load() {
    pens.value = await $fetch<ListedPen[]>('/api/pens')
  }
  return { pens, load }
})
