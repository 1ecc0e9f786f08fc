import { del, entries, set, type UseStore } from 'idb-keyval'
import { defineStore } from 'pinia'

const AGAIN_AFTER = 5000
/** The name of their store, and of the rows in it. */
const [NAME, ROWS] = ['oxlip-photos', 'pictures']

/** Pictures that were taken here and are not with the server yet. They lie in the browser's own store under the ids that the log names. */
export const usePhotos = defineStore('photos', () => {
  let place: UseStore | undefined
  const waiting = shallowReactive(new Map<string, { picture: Blob, url: string }>())
  /** Why a picture was not taken, when the server answered and refused it. */
  const trouble = ref('')
  /** Whether this browser’s own store refuses to keep pictures: then a closed page would lose those not sent. */
  const unkept = ref(false)
  let timer: ReturnType<typeof setTimeout> | undefined

  const store = async (): Promise<UseStore> => (place ??= storeOf(NAME, ROWS, await whereHere(), await whoseHere()))

  /** Takes up what an earlier visit left. */
  async function open() {
    try {
      await takeOver(NAME, ROWS, await store())
      for (const [id, picture] of await entries<string, Blob>(await store()))
        if (!waiting.has(id)) waiting.set(id, { picture, url: URL.createObjectURL(picture) })
    } catch {
      unkept.value = true
    }
    await send()
  }
  /** Keeps a picture here, answers its id, and sends it when the server answers. */
  async function keep(picture: Blob): Promise<string> {
    const id = newId()
    waiting.set(id, { picture, url: URL.createObjectURL(picture) })
    try {
      await set(id, picture, await store())
      unkept.value = false
    } catch {
      unkept.value = true
    }
    void send()
    return id
  }
  async function send() {
    clearTimeout(timer)
    for (const [id, { picture, url }] of [...waiting]) {
      try {
        await api('PUT /api/photos/:id', { params: { id }, picture })
      } catch (error) {
        const { status, message } = refused(error)
        if (status !== 413 && status !== 415) continue
        trouble.value = message
      }
      // A store that refuses to forget only has the picture sent once more, which changes nothing.
      await store().then(rows => del(id, rows)).catch(() => undefined)
      waiting.delete(id)
      URL.revokeObjectURL(url)
    }
    if (waiting.size) timer = setTimeout(() => void send(), AGAIN_AFTER)
  }
  /** Where a picture is to be had: here until the server has it. */
  const urlOf = (id: string, size: 'small' | 'large' = 'small'): string =>
    waiting.get(id)?.url ?? addressHere(`/api/photos/${id}${size === 'small' ? '?size=small' : ''}`)
  return { waiting, trouble, unkept, open, keep, send, urlOf }
})
