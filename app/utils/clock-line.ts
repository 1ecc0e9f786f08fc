import { addMinutes, startOfMinute } from 'date-fns'
import { nth } from '#core/sure'

/** A wait as a band on the clock line. */
export interface Band {
  /** The id of the pen that waits. */
  pen: string
  /** Its witness mark. */
  mark: string
  /** What it waits for, in a few words. */
  words: string
  /** When the wait began. */
  from: Date
  /** When it is over. */
  until: Date
}

/** Pens that are free, with the same in the same words: one lane for all of them. */
export interface FreeLane {
  /** Their marks; of many the first ones and how many more. */
  mark: string
  /** What is next on them. */
  words: string
}

/** So many pens with the same in hand stand in lanes of their own; more share one. */
const ALONE = 2

/** The lanes of pens that are free, in their order: those that have the same next share one where they are many. */
export function freeLanes(free: readonly { mark: string, words: string }[]): FreeLane[] {
  const groups = new Map<string, string[]>()
  for (const { mark, words } of free) groups.set(words, [...(groups.get(words) ?? []), mark])
  const shown = new Set<string>()
  return free.flatMap(({ mark, words }): FreeLane[] => {
    const marks = groups.get(words) ?? []
    if (marks.length <= ALONE) return [{ mark, words }]
    if (shown.has(words)) return []
    shown.add(words)
    const named = marks.slice(0, MARKS).join(', ')
    return [{ mark: `${marks.length} pens`, words: `${words}, on ${named}${marks.length > MARKS ? ' ...' : ''}` }]
  })
}
const MARKS = 8

/** A lane of the clock line: one wait, or several in the same words that are over in the same minute. */
export interface WaitLane extends Omit<Band, 'pen'> {
  /** What tells it from the others. */
  id: string
  /** Of several the first marks; empty for one, whose mark stands before it. */
  marks: string
}

/** So many marks stand beside when their wait is over. */
const BESIDE = 4

/**
 * Waits in lanes, the one that is over first before all others. Each has its own, so that seconds can be told; those that are alike share
 * one where there are more than `most`.
 */
export function waitLanes(bands: readonly Band[], most: number): WaitLane[] {
  const alike = new Map<string, Band[]>()
  for (const band of [...bands].sort((a, b) => a.until.getTime() - b.until.getTime())) {
    const id = bands.length > most ? `${band.words} ${startOfMinute(band.until).getTime()}` : band.pen
    alike.set(id, [...(alike.get(id) ?? []), band])
  }
  return [...alike].flatMap(([id, all]): WaitLane[] => {
    if (all.length <= ALONE) return all.map(({ pen, ...band }) => ({ ...band, id: pen, marks: '' }))
    const { words, until } = nth(all, 0)
    const from = new Date(Math.min(...all.map(band => band.from.getTime())))
    const named = all.slice(0, BESIDE).map(band => band.mark).join(', ')
    return [{ id, mark: `${all.length} pens`, words, from, until, marks: all.length > BESIDE ? `${named} ...` : named }]
  }).sort((a, b) => a.until.getTime() - b.until.getTime())
}

export interface ClockScale {
  /** The left end of the line. */
  start: Date
  /** The right end. */
  end: Date
  /** Moments written under the line, evenly apart. */
  ticks: Date[]
}

/** Minutes between ticks that the line may have, from an evening at the bench to the nights a film cures. */
const STEPS = [5, 10, 15, 30, 60, 120, 240, 480, 720]
const TICKS = 6

/** The clock line from a little before now to past the last wait, six ticks long; waits beyond two days run off its end. */
export function clockScale(bands: readonly Pick<Band, 'until'>[], now: Date): ClockScale {
  const furthest = Math.max(0, ...bands.map(band => band.until.getTime() - now.getTime()))
  const minutes = (Math.min(furthest, 2 * 86_400_000) / 60_000) * 1.08
  const step = STEPS.find(one => one * TICKS >= minutes) ?? nth(STEPS, STEPS.length - 1)
  const first = startOfMinute(now)
  return {
    start: addMinutes(now, -step * 1.2),
    end: addMinutes(first, step * TICKS),
    ticks: Array.from({ length: TICKS + 1 }, (_, index) => addMinutes(first, index * step)),
  }
}

/** Where a moment lies on the line, 0 to 1; held at its ends. */
export function along({ start, end }: ClockScale, moment: Date): number {
  return Math.min(1, Math.max(0, (moment.getTime() - start.getTime()) / (end.getTime() - start.getTime())))
}
