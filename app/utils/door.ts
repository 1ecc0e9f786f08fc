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
