import { addDays, format, startOfDay } from 'date-fns'
import type { DayHours } from '../../contract'
import type { Hours } from '../../core/evening'

/** A stretch in which hands are there. */
export interface Stretch {
  /** Its day, YYYY-MM-DD. */
  day: string
  /** From when. */
  from: Date
  /** Until when. */
  to: Date
}

/** Whose hands. */
export type Who = DayHours['who']

/** Where nobody said when hands are there: weekday evenings [model: the workshop of the examples works evenings]. */
const USUAL: DayHours['spans'] = [{ from: '19:00', to: '21:30' }]
const WORKDAYS = ['1', '2', '3', '4', '5']

/** When hands are there on a day of the week, as it was said or as is usual; of a helper only as it was said. */
export function usualOn(hours: readonly DayHours[], who: Who, weekday: string): DayHours['spans'] {
  const said = hours.find(one => one.who === who && one.day === weekday)
  if (said) return said.spans
  return who === 'turner' && WORKDAYS.includes(weekday) ? USUAL : []
}

/** When hands are there on one day: as was said of that day, else as usual on its day of the week. */
export function spansOn(hours: readonly DayHours[], who: Who, day: Date): DayHours['spans'] {
  const said = hours.find(one => one.who === who && one.day === format(day, 'yyyy-MM-dd'))
  return said ? said.spans : usualOn(hours, who, format(day, 'i'))
}

/** A time by the clock on the wall of a day; 24:00 is the beginning of the next. Right over a change to summer time. */
export function atClock(day: Date, clock: string): Date {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number)
  const at = startOfDay(day)
  at.setHours(hours, minutes)
  return at
}

/** The stretches from a moment on over so many days; of one that has begun only what is left. */
export function stretchesFrom(hours: readonly DayHours[], who: Who, now: Date, days: number): Stretch[] {
  return Array.from({ length: days }, (_, index) => addDays(startOfDay(now), index)).flatMap(day =>
    spansOn(hours, who, day).flatMap(({ from, to }): Stretch[] => {
      const [begins, ends] = [atClock(day, from), atClock(day, to)]
      if (ends <= now) return []
      return [{ day: format(day, 'yyyy-MM-dd'), from: begins < now ? now : begins, to: ends }]
    }))
}

/** When anybody is there, of the hours of several: in their order, what overlaps as one. What only touches stays as it was said. */
export function anybodysOf(...hours: readonly (readonly Stretch[])[]): Stretch[] {
  const all: Stretch[] = []
  for (const one of hours.flat().sort((a, b) => a.from.getTime() - b.from.getTime())) {
    const last = all.at(-1)
    if (!last || one.from >= last.to) all.push({ ...one })
    else if (one.to > last.to) last.to = one.to
  }
  return all
}

/** What is left of a stretch without somebody’s hours, which lie in their order. */
export function leftOf({ from, to }: Pick<Stretch, 'from' | 'to'>, hours: readonly Stretch[]): Pick<Stretch, 'from' | 'to'>[] {
  const left = []
  let at = from
  for (const one of hours) {
    if (one.to <= at || one.from >= to) continue
    if (one.from > at) left.push({ from: at, to: one.from })
    at = one.to
  }
  return at < to ? [...left, { from: at, to }] : left
}

/** The clock on the wall at a moment of a day; where that is over already, 24:00. */
const clockOn = (day: string, moment: Date): string => (format(moment, 'yyyy-MM-dd') === day ? format(moment, 'HH:mm') : '24:00')

/** Which end of a stretch. */
export type Edge = 'from' | 'to'

/**
 * Somebody’s hours of a stretch’s day with that stretch beginning or ending at another moment of the day, midnight at the latest; the
 * other stretches of the day stay. Undefined where it would end before it begins.
 */
export function edgeMoved(hours: readonly DayHours[], who: Who, stretch: Stretch, edge: Edge, moment: Date): DayHours | undefined {
  const { day } = stretch
  const was = clockOn(day, stretch[edge])
  const other = clockOn(day, moment)
  const spans = spansOn(hours, who, new Date(`${day}T12:00:00`)).map(span => (span[edge] === was ? { ...span, [edge]: other } : span))
  return spans.every(({ from, to }) => from < to) ? { who, day, spans } : undefined
}

/** Stretches as hours of a plan that begins at a moment. A clock that was put back makes none shorter than nothing. */
export const asHours = (stretches: readonly Stretch[], now: Date): Hours[] =>
  stretches.map(({ from, to }) => ({ from: secondsTo(now, from), to: secondsTo(now, to) })).filter(({ from, to }) => to > from)

/** From one moment to another, s. */
export const secondsTo = (now: Date, moment: Date): number => (moment.getTime() - now.getTime()) / 1000

/** A promised day is kept when the pen may go by then: late in the afternoon, before it is wanted in the evening. */
const PROMISED_BY = '18:00'
/** By when a pen must be ready that is promised for a day, YYYY-MM-DD. */
export const promisedBy = (day: string): Date => atClock(new Date(`${day}T12:00:00`), PROMISED_BY)
