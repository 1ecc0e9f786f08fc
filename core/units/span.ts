import { UnitError } from './error'

const SPAN_UNITS: Record<string, number> = {
  s: 1,
  sec: 1,
  secs: 1,
  second: 1,
  seconds: 1,
  m: 60,
  min: 60,
  mins: 60,
  minute: 60,
  minutes: 60,
  h: 3600,
  hr: 3600,
  hrs: 3600,
  hour: 3600,
  hours: 3600,
  d: 86_400,
  day: 86_400,
  days: 86_400,
  week: 604_800,
  weeks: 604_800,
}

/**
 * A span of time as people type it, in s: “90 s”, “1 h 30 min”, “1.5 hours”, “2 days”. A bare number is refused, for a label may mean
 * minutes or hours.
 * @throws UnitError that says what would be right
 */
export function parseSpan(text: string): number {
  const parts = [
    ...text
      .trim()
      .toLowerCase()
      .matchAll(/(\d+(?:[.,]\d+)?)\s*([a-z]+)?/g),
  ]
  const rest = text
    .trim()
    .toLowerCase()
    .replace(/(\d+(?:[.,]\d+)?)\s*([a-z]+)?/g, '')
    .replace(/[\s,]|and/g, '')
  if (!parts.length || rest) throw new UnitError('Type a time like 90 s, 10 min, 4 h or 2 days.')
  return parts.reduce((sum, [, number = '', unit]) => {
    const size = SPAN_UNITS[unit ?? '']
    if (!size) throw new UnitError(unit ? `“${unit}” is no unit of time: use s, min, h or days.` : 'Say the unit too: s, min, h or days.')
    return sum + Number(number.replace(',', '.')) * size
  }, 0)
}
