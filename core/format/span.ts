/** A span of seconds in words a turner would say: `12 s`, `1 min 15 s`, `2 h 05 min`, `1 d 3 h`. Rounded to what matters. */
export function formatSpan(seconds: number): string {
  const s = Math.max(0, Math.round(seconds))
  if (s < 60) return `${s} s`
  if (s < 600) return s % 60 ? `${Math.floor(s / 60)} min ${s % 60} s` : `${s / 60} min`
  const minutes = Math.round(s / 60)
  if (minutes < 60) return `${minutes} min`
  const hours = Math.floor(minutes / 60)
  if (hours < 24) return minutes % 60 ? `${hours} h ${String(minutes % 60).padStart(2, '0')} min` : `${hours} h`
  const wholeHours = Math.round(minutes / 60)
  return wholeHours % 24 ? `${Math.floor(wholeHours / 24)} d ${wholeHours % 24} h` : `${wholeHours / 24} d`
}

/** A span to the minute, one at least, or to the quarter of an hour from an hour on: of what is planned nobody knows more. */
export const roughSpan = (seconds: number): string =>
  formatSpan(seconds < 3600 ? Math.max(60, Math.round(seconds / 60) * 60) : Math.round(seconds / 900) * 900)

/** A countdown as on a clock: `0:48`, `12:05`, `1:02:09`. Rounds up, so it reads 0:00 only when the wait is over. */
export function formatCountdown(seconds: number): string {
  const s = Math.max(0, Math.ceil(seconds))
  const [h, m, rest] = [Math.floor(s / 3600), Math.floor(s / 60) % 60, s % 60]
  const tail = `${String(rest).padStart(2, '0')}`
  return h ? `${h}:${String(m).padStart(2, '0')}:${tail}` : `${m}:${tail}`
}
