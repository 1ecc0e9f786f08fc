/** Keys nearer to one another than this come from an instrument, ms: no finger is as quick. */
const QUICK = 45
/** Figures it may type, with a sign for the fraction. */
const FIGURE = /^[\d.,]$/

/**
 * Tells a calliper that types its reading (digits, then Enter) from fingers on a keyboard. A figure that stands alone for a moment was
 * a finger, and is handed on as a key; figures in quick succession that end with Enter are a reading; anything else is nobody's.
 * Answers whether the key was taken.
 */
export function keyboardWedge(on: { reading: (text: string) => void, key: (figure: string) => void }): (key: string) => boolean {
  let typed = ''
  let timer: ReturnType<typeof setTimeout> | undefined
  function rest() {
    const alone = typed
    typed = ''
    if (/^\d$/.test(alone)) on.key(alone)
  }
  return (key) => {
    clearTimeout(timer)
    if (FIGURE.test(key)) {
      typed += key
      timer = setTimeout(rest, QUICK)
      return true
    }
    const whole = typed
    typed = ''
    if (key === 'Enter' && whole.length > 1) {
      on.reading(whole)
      return true
    }
    if (/^\d$/.test(whole)) on.key(whole)
    return false
  }
}
