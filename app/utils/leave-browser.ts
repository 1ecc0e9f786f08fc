import { forgetAnswers } from './door'

/** Everything that this browser kept goes, but the choice of a theme: for a computer that others use too. */
export async function forgetAll(): Promise<void> {
  await forgetAnswers()
  const theirs = (await globalThis.indexedDB?.databases?.())?.flatMap(({ name }) => (name?.startsWith('oxlip-') ? [name] : [])) ?? []
  for (const name of theirs) indexedDB.deleteDatabase(name)
  for (const store of [sessionStorage, localStorage])
    for (const key of Object.keys(store)) if (key.startsWith('oxlip') && !key.startsWith('oxlip-theme')) store.removeItem(key)
}

/** What a device is called until somebody calls it something else. */
export function deviceName(): string {
  const isTouched = navigator.maxTouchPoints > 0 && matchMedia('(hover: none)').matches
  // A phone is narrower than this the short way, px.
  return isTouched ? Math.min(screen.width, screen.height) < 600 ? 'Phone' : 'Tablet' : 'Computer'
}
