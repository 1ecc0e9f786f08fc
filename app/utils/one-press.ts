import { BOUNCE } from './once'

/** Whether an event is the press of a key that sends a form. */
const isSending = (event: Event): boolean =>
  event instanceof KeyboardEvent
    ? event.key === 'Enter' || event.key === ' '
    : event.type === 'pointerdown' && event.target instanceof Element && event.target.closest('[type="submit"]') !== null

/**
 * A finger that bounces, or a key that is held, sends a form once: the same form again so soon is the same press. Whatever else was done in
 * between, as typing or choosing, makes it another.
 */
export function onePress(): void {
  let last: { form: EventTarget | null, at: number } | undefined
  document.addEventListener('submit', (event) => {
    const isBounce = last?.form === event.target && event.timeStamp - last.at < BOUNCE
    last = { form: event.target, at: event.timeStamp }
    if (!isBounce) return
    event.preventDefault()
    event.stopImmediatePropagation()
  }, { capture: true })
  const done = (event: Event) => {
    if (!isSending(event)) last = undefined
  }
  for (const kind of ['input', 'pointerdown', 'keydown']) document.addEventListener(kind, done, { capture: true })
}
