import { createStore, del, entries, set } from 'idb-keyval'
import { defineStore } from 'pinia'

const AGAIN_AFTER = 5000

/** Pictures that were taken here and are not with the server yet. They lie in the browser's own store under the ids that the log names. */
export const usePhotos = defineStore('photos', () => {
  const kept = createStore('oxlip-photos', 'pictures')
  const waiting = shallowReactive(new Map<string, { picture: Blob, url: string }>())
  /** Why a picture was not taken, when the server answered and refused it. */
  const trouble = ref('')
  let timer: ReturnType<typeof setTimeout> | undefined

  /** Takes up what an earlier visit left. */
  async function open() {
    for (const [id, picture] of await entries<string, Blob>(kept)) if (!waiting.has(id)) waiting.set(id, { picture, url: URL.createObjectURL(picture) })
    await send()
  }
  /** Keeps a picture here, answers its id, and sends it when the server answers. */
  async function keep(picture: Blob): Promise<string> {
    const id = crypto.randomUUID()
    waiting.set(id, { picture, url: URL.createObjectURL(picture) })
    await set(id, picture, kept)
    void send()
    return id
  }
  async function send() {
    clearTimeout(timer)
    for (const [id, { picture, url }] of [...waiting]) {
      try {
        await $fetch(`/api/photos/${id}`, { method: 'PUT', body: picture, headers: { 'content-type': picture.type || 'image/jpeg' } })
      } catch (error) {
        const { status, message } = refused(error)
        if (status !== 413 && status !== 415) continue
        trouble.value = message
      }
      await del(id, kept)
      waiting.delete(id)
      URL.revokeObjectURL(url)
    }
    if (waiting.size) timer = setTimeout(() => void send(), AGAIN_AFTER)
  }
  /** Where a picture is to be had: here until the server has it. */
  const urlOf = (id: string, size: 'small' | 'large' = 'small'): string => waiting.get(id)?.url ?? `/api/photos/${id}${size === 'small' ? '?size=small' : ''}`
  return { waiting, trouble, open, keep, send, urlOf }
})
