/** Where the service worker keeps answers. */
const ANSWERS = 'oxlip-answers'
const DOOR = '/door'

/** What was kept of the server’s answers goes: it belongs to whoever was in. */
export async function forgetAnswers(): Promise<void> {
  try {
    await caches.delete(ANSWERS)
  } catch {
    // Without a secure line there is none.
  }
}

/** Nobody is in any more: what was kept of answers goes, and the door comes. What was entered and not sent waits for whoever entered it. */
export async function toDoor(): Promise<void> {
  if ([DOOR, '/shown'].includes(location.pathname)) return
  await forgetAnswers()
  location.assign(DOOR)
}

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
