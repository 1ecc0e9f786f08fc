import { createSharedComposable, useDocumentVisibility, useNow } from '@vueuse/core'

/** How often is looked whether the next second has begun, ms. */
const LOOKS = 250

/**
 * The time: `now` changes once a second, all waits are read off it; `minute` once a minute, for what is said in hours and minutes, so
 * that a page at rest has nothing to draw. Set right at once when the tab wakes. A device whose clock is wrong reckons with the
 * workshop's.
 */
export const useClock = createSharedComposable(() => {
  const time = useRightTime()
  const device = useNow({ interval: LOOKS })
  const visibility = useDocumentVisibility()
  watch(visibility, () => {
    device.value = new Date()
  })
  const inSteps = (step: number) => computed((before?: Date) => inStep(before, device.value.getTime() - (time.ahead ?? 0), step))
  return { now: inSteps(1000), minute: inSteps(60_000) }
})
