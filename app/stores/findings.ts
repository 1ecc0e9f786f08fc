import { defineStore } from 'pinia'
import type { FindingsPlace } from '#contract'

/** What stands out in the log, and which questions it can answer. */
export const useFindings = defineStore('findings', () => {
  const place = shallowRef<FindingsPlace>()
  async function load() {
    place.value = await api('GET /api/findings')
  }
  return { place, load }
})
