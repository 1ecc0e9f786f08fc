import { createEventHook } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { ListedPen } from '#contract'

/** Rows of pens as the server tells them, to every list that shows some. */
export const usePenRows = defineStore('pen-rows', () => {
  const told = createEventHook<[readonly ListedPen[]]>()
  const gone = createEventHook<[readonly string[]]>()
  return {
    take: (rows: readonly ListedPen[]) => void told.trigger(rows),
    onTold: told.on,
    /** Pens that are not there any more. */
    lose: (ids: readonly string[]) => void gone.trigger(ids),
    onGone: gone.on,
  }
})
