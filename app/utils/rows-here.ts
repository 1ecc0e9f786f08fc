import { createStore, del, entries, set, type UseStore } from 'idb-keyval'

/** This browser’s own store of a kind of rows, of one workshop and of whoever is in: what somebody entered is sent as theirs alone. */
export const storeOf = (name: string, rows: string, workshop: string, person: string): UseStore =>
  createStore([name, workshop, person].filter(Boolean).join('-'), rows)

/** Takes over what an earlier Oxlip, which knew one workshop only, left in a store. */
export async function takeOver(name: string, rows: string, to: UseStore): Promise<void> {
  const there = await globalThis.indexedDB?.databases?.()
  if (!there?.some(one => one.name === name)) return
  const earlier = createStore(name, rows)
  for (const [key, row] of await entries(earlier)) {
    await set(key, row, to)
    await del(key, earlier)
  }
}
