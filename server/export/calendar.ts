import { createHash } from 'node:crypto'
import type { KeptPlan, Laid } from '../../schemas'

/** A moment in UTC as RFC 5545 writes it (3.3.5, form 2). */
const stamp = (moment: string): string => moment.replace(/[-:]/g, '').replace(/\.\d{3}Z$/, 'Z')
const dayStamp = (day: string): string => day.replaceAll('-', '')
const nextDay = (day: string): string => new Date(Date.parse(`${day}T00:00:00.000Z`) + 86_400_000).toISOString().slice(0, 10)

/** Text with what is a sign of the format escaped (3.3.11). */
const text = (value: string): string => value.replace(/[\\;,]/g, '\\$&').replace(/\n/g, '\\n')

/** Lines are at most 75 octets long; longer ones go on in the next, which begins with a space (3.1). */
function folded(line: string): string {
  const parts: string[] = []
  let part = ''
  let octets = 0
  for (const sign of line) {
    const size = Buffer.byteLength(sign)
    if (octets + size > 75) {
      parts.push(part)
      part = ' '
      octets = 1
    }
    part += sign
    octets += size
  }
  return [...parts, part].join('\r\n')
}

/** The same thing has the same name each time, so that a calendar program changes it instead of adding it. */
const uid = (...parts: readonly string[]): string => `${createHash('sha256').update(parts.join('\n')).digest('hex').slice(0, 32)}@oxlip`

const clock = (seconds: number): string => `${Math.max(1, Math.round(seconds / 60))} min`

function* eveningLines(evenings: readonly Laid[], madeAt: string, kind: string, title: string): Generator<string> {
  for (const { from, to, groups } of evenings) {
    if (!groups.length) continue
    yield 'BEGIN:VEVENT'
    yield `UID:${uid(kind, from.slice(0, 10))}`
    yield `DTSTAMP:${stamp(madeAt)}`
    yield `DTSTART:${stamp(from)}`
    yield `DTEND:${stamp(to)}`
    yield `SUMMARY:${text(`${title}: ${[...new Set(groups.flatMap(group => group.marks))].join(' ')}`)}`
    yield `DESCRIPTION:${text(groups.map(group => `${group.title}: ${group.marks.join(' ')}, ${clock(group.seconds)}`).join('\n'))}`
    yield 'END:VEVENT'
  }
}

function* lathe({ evenings, helps = [], helper = 'Who helps', madeAt }: KeptPlan): Generator<string> {
  yield* eveningLines(evenings, madeAt, 'evening', 'At the lathe')
  yield* eveningLines(helps, madeAt, 'helps', helper)
}

function* waitLines({ waits, madeAt }: KeptPlan): Generator<string> {
  for (const { mark, title, until } of waits) {
    const says = text(`${mark}: ${title}`)
    yield* ['BEGIN:VEVENT', `UID:${uid('wait', mark, title)}`, `DTSTAMP:${stamp(madeAt)}`, `DTSTART:${stamp(until)}`, 'DURATION:PT0S']
    yield* [`SUMMARY:${says}`, 'TRANSP:TRANSPARENT', 'BEGIN:VALARM', 'ACTION:DISPLAY', 'TRIGGER:PT0S', `DESCRIPTION:${says}`]
    yield* ['END:VALARM', 'END:VEVENT']
  }
}

function* promiseLines({ promised, madeAt }: KeptPlan): Generator<string> {
  for (const { mark, name, day } of promised) {
    yield* ['BEGIN:VEVENT', `UID:${uid('promise', mark, name)}`, `DTSTAMP:${stamp(madeAt)}`, `DTSTART;VALUE=DATE:${dayStamp(day)}`]
    yield* [`DTEND;VALUE=DATE:${dayStamp(nextDay(day))}`, `SUMMARY:${text(`${mark} ${name} is promised`)}`]
    yield* ['TRANSP:TRANSPARENT', 'END:VEVENT']
  }
}

/**
 * Evenings as an iCalendar file (RFC 5545): each evening with what is done in it, ends of waits with an alarm, promised days. Moments are
 * in UTC, which needs no table of a time zone and is right over a change to summer time.
 */
export function calendarOf(plan: KeptPlan | undefined): string {
  const lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Oxlip//Evenings//EN', 'CALSCALE:GREGORIAN', 'NAME:Oxlip']
  if (plan) lines.push(...lathe(plan), ...waitLines(plan), ...promiseLines(plan))
  return [...lines, 'END:VCALENDAR', ''].map(folded).join('\r\n')
}
