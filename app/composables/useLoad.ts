import { useDocumentVisibility } from '@vueuse/core'
import type { Refused } from '~/utils/refusal'

/** Loads what a page needs, tells when it cannot, and loads again when the page is looked at anew. */
export function useLoad(load: () => Promise<unknown>) {
  const failed = ref<Refused>()
  const loaded = ref(false)
  async function again() {
    try {
      await load()
      failed.value = undefined
      loaded.value = true
    } catch (error) {
      failed.value = refused(error)
    }
  }
  onMounted(again)
  const visibility = useDocumentVisibility()
  watch(visibility, (now) => {
    if (now === 'visible') void again()
  })
  return { failed, loaded, again }
}
