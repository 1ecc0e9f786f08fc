import { defineStore } from 'pinia'
import type { ListedPen } from '#contract'

/** All pens, as lists show them. */
export const usePens = defineStore('pens', () => {
  const outbox = useOutbox()
  const pens = ref<ListedPen[]>()
  /** Loads the list, after what was entered here has been sent, so that the list knows of it. */
  async function load() {
    await outbox.send()
    pens.value = await api('GET /api/pens')
  }
  /** The same for a list that was shown already. */
  async function refresh() {
    if (pens.value) await load()
  }
  return { pens, load, refresh }
})
