/** A pen on which an operation was done together with others. */
export interface Worked {
  /** Its id. */
  pen: string
  /** Before this it cannot have been done: its own last entry, or the end of its wait; ISO 8601. */
  notBefore: string
}

/** When a pen of those was done, and how long hands were on it. */
export interface Share {
  /** Its id. */
  pen: string
  /** When it was done, ISO 8601. */
  at: string
  /** Its part of the time of hands, s. */
  seconds: number
}

/**
 * The time of one operation on several pens, shared between them: they were done one after the other, in this order, from when it began
 * until all were done (ISO 8601), and each took the same. No pen was done before it could be; no two at the same moment.
 */
export function shared(pens: readonly Worked[], began: string, done: string): Share[] {
  const [from, until] = [Date.parse(began), Date.parse(done)]
  const each = Math.max(0, until - from) / Math.max(1, pens.length)
  const soonest = [...pens].sort((a, b) => (a.notBefore < b.notBefore ? -1 : a.notBefore > b.notBefore ? 1 : 0))
  let last = -Infinity
  return soonest.map(({ pen, notBefore }, index): Share => {
    const wanted = Math.min(until, Math.max(from + (index + 1) * each, Date.parse(notBefore)))
    last = Math.max(Math.round(wanted), last + 1)
    return { pen, at: new Date(last).toISOString(), seconds: each / 1000 }
  })
}
