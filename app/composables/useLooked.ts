import { refDebounced } from '@vueuse/core'

/** A text is looked for once the fingers rest so long, ms. */
const RESTS = 250

/** What is typed to look something up: handed on once the fingers rest, and what it was where the page is gone back to. */
export function useLooked(said: () => string | undefined, say: (text: string) => void) {
  const looked = ref(said() ?? '')
  const rested = refDebounced(looked, RESTS)
  watch(rested, text => text.trim() !== (said() ?? '') && say(text.trim()))
  watch(said, (text) => {
    if ((text ?? '') !== looked.value.trim()) looked.value = text ?? ''
  })
  return looked
}
