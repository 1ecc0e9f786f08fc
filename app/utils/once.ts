/** Two presses closer than this count as one finger that bounced, ms [model: a tap of one finger takes a fifth of a second]. */
export const BOUNCE = 600

/** What was asked lately, by its words. */
const asked = new Map<string, Promise<unknown>>()

/**
 * Asks for something once: asked the same again while it is on its way, or so soon after that it is the same press, it gets the same
 * answer, so that a finger that bounces makes one thing and not two. What went wrong may be tried again at once.
 */
export function once<T>(what: string, ask: () => Promise<T>): Promise<T> {
  const before = asked.get(what) as Promise<T> | undefined
  if (before) return before
  const now = ask()
  asked.set(what, now)
  now.then(() => setTimeout(() => asked.delete(what), BOUNCE), () => asked.delete(what))
  return now
}
