import { UnitError } from './error'

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

/** A countdown as on a clock: `0:48`, `12:05`, `1:02:09`. Rounds up, so it reads 0:00 only when the wait is over. */
export function formatCountdown(seconds: number): string {
  const s = Math.max(0, Math.ceil(seconds))
  const [h, m, rest] = [Math.floor(s / 3600), Math.floor(s / 60) % 60, s % 60]
  const tail = `${String(rest).padStart(2, '0')}`
  return h ? `${h}:${String(m).padStart(2, '0')}:${tail}` : `${m}:${tail}`
}

const SPAN_UNITS: Record<string, number> = { s: 1, sec: 1, secs: 1, second: 1, seconds: 1, m: 60, min: 60, mins: 60, minute: 60, minutes: 60, h: 3600, hr: 3600, hrs: 3600, hour: 3600, hours: 3600, d: 86_400, day: 86_400, days: 86_400, week: 604_800, weeks: 604_800 }

/**
 * A span of time as people type it, in s: “90 s”, “1 h 30 min”, “1.5 hours”, “2 days”. A bare number is refused, for a label may mean minutes or hours.
 * @throws UnitError that says what would be right
 */
export function parseSpan(text: string): number {
  const parts = [...text.trim().toLowerCase().matchAll(/(\d+(?:[.,]\d+)?)\s*([a-z]+)?/g)]
  const rest = text.trim().toLowerCase().replace(/(\d+(?:[.,]\d+)?)\s*([a-z]+)?/g, '').replace(/[\s,]|and/g, '')
  if (!parts.length || rest) throw new UnitError('Type a time like 90 s, 10 min, 4 h or 2 days.')
  return parts.reduce((sum, [, number, unit]) => {
    const size = SPAN_UNITS[unit ?? '']
    if (!size) throw new UnitError(unit ? `“${unit}” is no unit of time: use s, min, h or days.` : 'Say the unit too: s, min, h or days.')
    return sum + Number(number!.replace(',', '.')) * size
  }, 0)
}
