import { createSharedComposable, useDocumentVisibility, useNow } from '@vueuse/core'

/** The time on this device, ticking four times a second, and set right at once when the tab wakes. All waits are read off it. */
export const useClock = createSharedComposable(() => {
  const now = useNow({ interval: 250 })
  const visibility = useDocumentVisibility()
  watch(visibility, () => {
    now.value = new Date()
  })
  return { now }
})
