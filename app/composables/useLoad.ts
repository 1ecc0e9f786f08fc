import { useDocumentVisibility } from '@vueuse/core'
import type { Refused } from '~/utils/refusal'

/** What could not be loaded, or only as it was kept in this browser, is asked for again after so long, ms; longer each time. */
const AGAIN_AFTER = [1000, 2000, 4000, 8000]

/** Whether asking again may help: the server is away or slow. */
const mayCome = ({ status }: Refused): boolean => status === 0 || status >= 500

/**
 * Loads what something needs, tells when it cannot, and asks again by itself until it came fresh from the server: a server that is away
 * or slow is nobody's work.
 */
export function useInsist(load: () => Promise<unknown>) {
  const live = useLive()
  const fresh = useFreshness()
  const failed = ref<Refused>()
  const loaded = ref(false)
  let [calls, times] = [0, 0]
  let timer: ReturnType<typeof setTimeout> | undefined
  const own = Symbol('load')

  async function again() {
    clearTimeout(timer)
    const mine = ++calls
    const before = fresh.kept
    try {
      await load()
      if (mine !== calls) return
      failed.value = undefined
      loaded.value = true
      fresh.stand(own, true)
      fresh.set(own, fresh.kept !== before)
      if (fresh.kept !== before) return later()
      times = 0
    } catch (error) {
      if (mine !== calls) return
      failed.value = refused(error)
      if (mayCome(failed.value)) later()
    }
  }
  function later() {
    timer = setTimeout(() => void again(), AGAIN_AFTER[Math.min(times++, AGAIN_AFTER.length - 1)])
  }
  watch(() => live.connected, (is) => {
    if (is && (failed.value || fresh.isOld(own))) void again()
  })
  onScopeDispose(() => {
    calls++
    clearTimeout(timer)
    fresh.set(own, false)
    fresh.stand(own, false)
  })
  return { failed, loaded, again }
}

/** The same for a page, which loads again when it is looked at anew. */
export function useLoad(load: () => Promise<unknown>) {
  const insisted = useInsist(load)
  onMounted(insisted.again)
  const visibility = useDocumentVisibility()
  watch(visibility, (now) => {
    if (now === 'visible') void insisted.again()
  })
  return insisted
}
