import { useEventListener } from '@vueuse/core'

/**
 * What happens when a part of the program that is fetched late does not come. With the server there it is gone, since a newer program came
 * while this page was open: the page that was gone to begins anew; entries are kept. Without the server the page stays as it stands, and
 * says so. Once a newer program is there the next page that is gone to comes from it.
 */
export function useProgram(): void {
  const toast = useToast()
  const router = useRouter()
  /** Where somebody was on the way to, while they were. */
  let toward: string | undefined
  router.beforeEach((to) => {
    toward = to.fullPath
  })
  const arrived = () => {
    toward = undefined
  }
  router.afterEach(arrived)
  router.onError(arrived)
  /** Parts are missing together: the first that is missed answers for all. */
  let asks = false
  const again = () => {
    asks = false
  }
  useEventListener(window, 'vite:preloadError', async () => {
    if (asks) return
    asks = true
    const path = toward
    if (await isAnswered()) {
      reloadNuxtApp({ path })
      // A page that was loaded anew just now is not once more, and stands.
      return setTimeout(again, REST)
    }
    again()
    toast.add({ id: 'part-missing', title: 'This part of Oxlip is not on this device yet', description: REMEDY, color: 'warning' })
  })
  useNuxtApp().hook('app:manifest:update', () => {
    router.beforeResolve(async ({ fullPath }) => {
      if (await isAnswered()) reloadNuxtApp({ path: fullPath })
    })
  })
}

/** A page is not loaded anew twice in this time, ms. */
const REST = 10_000
const REMEDY = 'There is no connection to fetch it. When there is one again, load the page anew. What was entered is kept.'

const isAnswered = (): Promise<boolean> => api('GET /api/health').then(() => true, () => false)
