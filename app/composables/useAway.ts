import { createSharedComposable, refDebounced } from '@vueuse/core'

/** A connection that is away for less than this is nobody's matter, ms. */
const MOMENT = 2000

/** What is to be told of the server: that it is away for longer than a moment, or that what stands here is older than it could be. */
export const useAway = createSharedComposable(() => {
  const live = useLive()
  const fresh = useFreshness()
  /** A page that is not there asks for nothing, so nothing is away. */
  const error = useError()
  const lasting = refDebounced(computed(() => !live.connected), MOMENT)
  return computed(() => {
    if (error.value) return ''
    if (lasting.value && !live.connected) return 'not connected'
    return fresh.stale ? 'not fresh' : ''
  })
})
