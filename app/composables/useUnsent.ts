import { refDebounced } from '@vueuse/core'

/** An entry that is on its way is no news: told only when it takes longer, ms. */
const ON_ITS_WAY = 1200

/** How many entries wait for the server, once that is worth telling. */
export function useUnsent() {
  const outbox = useOutbox()
  const slow = refDebounced(
    computed(() => outbox.pending.length),
    ON_ITS_WAY,
  )
  // What is sent is told at once.
  return computed(() => Math.min(slow.value, outbox.pending.length))
}
