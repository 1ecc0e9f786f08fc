import { defineStore } from 'pinia'
import type { Method } from '#core/method'
import type { MethodInput } from '#schemas'

/** The methods of this workshop as they are now. */
export const useMethods = defineStore('methods', () => {
  const methods = ref<Method[]>()
  const method = (id: string) => methods.value?.find(one => one.id === id)

  async function load() {
    methods.value = await api('GET /api/methods')
  }
  /** A copy under a name of its own. */
  async function copy(of: string, name: string): Promise<Method> {
    const made = await api('POST /api/methods', { body: { of, name } })
    await load()
    return made
  }
  /** Makes a new version; plans made before keep theirs. */
  async function change({ id, version, source: _, ...settings }: Method): Promise<Method> {
    const body: MethodInput & { version: number } = { version, ...settings }
    const kept = await api('PUT /api/methods/:id', { params: { id }, body })
    await load()
    return kept
  }
  async function putAway(id: string, gone: boolean) {
    await api('PATCH /api/methods/:id', { params: { id }, body: { gone } })
    await load()
  }
  return { methods, method, load, copy, change, putAway }
})
