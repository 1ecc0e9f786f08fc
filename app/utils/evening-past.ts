import type { KeptEvening } from '../../contract'
import { record } from '../../core/bench'
import { counted, formatSpan } from '../../core/format'
import { stepWords } from '../../core/plan'
import type { UnitWords } from '../../core/units'
import type { Board } from '../stores/bench'

/** An evening that is over beside what it was to be. */
export interface PastEvening {
  /** Which, YYYY-MM-DD. */
  day: string
  /** How much of it was done, in a sentence. */
  says: string
  /** What took another time than was thought, the most first. */
  longer: { mark: string, title: string, says: string }[]
}

/** Times that differ by less than this part, or so many s, are as they were thought. */
const LIKE = { part: 0.5, seconds: 120 }
const SHOWN = 3

/** What became of an evening: of its pieces those that were done by its end, and those that took much longer or shorter than thought. */
export function pastOf(
  { day, first }: KeptEvening, boardOf: (pen: string) => Pick<Board, 'pen' | 'state' | 'traced'> | undefined, units: UnitWords,
): PastEvening | undefined {
  const evening = first.evenings[0]
  if (!evening) return undefined
  const wanted = first.blocks.filter(one => one.begins >= evening.from && one.begins < evening.to)
  if (!wanted.length) return undefined
  const pieces = wanted.flatMap(({ pen, step, begins, ends }) => {
    const board = boardOf(pen)
    const row = board && record(board.state, board.traced).rows.find(one => one.step.id === step)
    const traced = board?.traced.steps.find(one => one.step.id === step)
    if (!board || !row || !traced) return []
    const { title } = stepWords(board.state.plan, traced, units, board.traced)
    return [{ mark: board.pen.mark, row, title, thought: (Date.parse(ends) - Date.parse(begins)) / 1000 }]
  })
  const done = pieces.filter(({ row }) => row.at !== null && row.at <= evening.to)
  const longer = done
    .flatMap(({ mark, row, title, thought }) => {
      if (row.handsOn === null || row.timing === 'planned') return []
      const more = row.handsOn - thought
      const isOther = Math.abs(more) > Math.max(LIKE.seconds, LIKE.part * thought)
      return isOther ? [{ mark, title, more, took: row.handsOn, thought }] : []
    })
    .sort((a, b) => Math.abs(b.more) - Math.abs(a.more))
  return {
    day,
    says: saysOf(done.length, wanted.length, wanted.length - pieces.length),
    longer: longer.slice(0, SHOWN).map(({ mark, title, took, thought }) => ({
      mark, title, says: `${formatSpan(took)}, thought of as ${formatSpan(thought)}. The next plan knows.`,
    })),
  }
}

function saysOf(done: number, wanted: number, unknown: number): string {
  const laid = `${counted(wanted, 'piece')} of work`
  if (done === wanted && wanted === 1) return `The ${laid} that was laid into it was done.`
  if (done === wanted) return `${wanted === 2 ? 'Both pieces of work' : `All ${laid}`} that were laid into it were done.`
  const inTime = `${done} of the ${laid} that were laid into it ${done === 1 ? 'was' : 'were'} done in time.`
  return unknown ? `${inTime} What became of ${unknown} is not known: plans were changed since.` : inTime
}
