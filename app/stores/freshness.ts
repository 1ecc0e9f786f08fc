import { defineStore } from 'pinia'
import { computed, ref, shallowReactive } from 'vue'

/** What the service worker marks answers with that it kept, since the server gave none in time. */
export const KEPT_MARK = 'x-oxlip-kept'

/** Whether what stands on the screen came from the server, or was kept in this browser from an earlier visit. */
export const useFreshness = defineStore('freshness', () => {
  /** So many answers were kept ones. */
  const kept = ref(0)
  const old = shallowReactive(new Set<symbol>())
  const standing = shallowReactive(new Set<symbol>())
  return {
    /** Counts up with every answer that was a kept one. */
    kept,
    /** Hears of an answer. */
    hear: (headers: Headers) => {
      if (headers.has(KEPT_MARK)) kept.value++
    },
    /** Says of something that was loaded whether it is old. */
    set: (what: symbol, isOld: boolean) => {
      if (isOld) old.add(what)
      else old.delete(what)
    },
    isOld: (what: symbol) => old.has(what),
    /** Says of something whether all that it needs was loaded, so that it stands on the screen. */
    stand: (what: symbol, isThere: boolean) => {
      if (isThere) standing.add(what)
      else standing.delete(what)
    },
    /** Whether anything stands on the screen. */
    stands: computed(() => standing.size > 0),
    /** Whether anything on the screen is. */
    stale: computed(() => old.size > 0),
  }
})
