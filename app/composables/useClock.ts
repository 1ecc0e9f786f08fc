import { createSharedComposable, useDocumentVisibility, useNow } from '@vueuse/core'

/**
 * The time, ticking four times a second, and set right at once when the tab wakes. A device whose clock is wrong reckons with the
 * workshop's. All waits are read off it.
 */
export const useClock = createSharedComposable(() => {
  const time = useRightTime()
  const device = useNow({ interval: 250 })
  const visibility = useDocumentVisibility()
  watch(visibility, () => {
    device.value = new Date()
  })
  const now = computed(() => new Date(device.value.getTime() - (time.ahead ?? 0)))
  return { now }
})
