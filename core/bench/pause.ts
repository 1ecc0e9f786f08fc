/** A gap this many times the planned time, and at least so many s over it, is a pause: nobody stood at the lathe for that [model]. */
const PAUSE = { times: 5, over: 600 }

/** Whether so many seconds between two entries were no work on what was planned to take `planned` s, but a pause. */
export const isPause = (seconds: number, planned: number): boolean => seconds > Math.max(planned * PAUSE.times, planned + PAUSE.over)

/** The time from one moment to another, both ISO 8601, s. */
export const secondsBetween = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / 1000
