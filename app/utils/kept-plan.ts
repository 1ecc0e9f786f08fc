import { format } from 'date-fns'
import type { KeptPlan } from '#schemas'
import type { Board } from '../stores/bench'
import type { Posed } from './evening-problem'
import { groupsOf, type Group, type Shown } from './evening-view'
import type { Promised } from './evening-words'

/** So many evenings, and ends of waits that are longer than so many s, are kept for the calendar and the sheet. */
const EVENINGS = 14
const LONG = 20 * 60

/** What is kept of a plan as it is shown: for the calendar, for the paper, and to be compared with how the evening was. */
export function keptPlanOf(
  { now, evenings }: Posed, blocks: readonly Shown[], promised: readonly Promised[], boards: readonly Board[],
): KeptPlan {
  const soon = evenings.slice(0, EVENINGS)
  const end = soon.at(-1)?.to ?? now
  const mine = blocks.filter(one => one.inHours && one.from <= end)
  const iso = (at: Date) => at.toISOString()
  const told = ({ from, to, title, marks }: Group) =>
    ({ at: iso(from), seconds: Math.round((to.getTime() - from.getTime()) / 1000), title: title.slice(0, 300), marks: marks.slice(0, 200) })
  return {
    day: format(now, 'yyyy-MM-dd'),
    madeAt: iso(now),
    evenings: soon.map(({ from, to }) => ({ from: iso(from), to: iso(to), groups: groupsIn(mine, { from, to }).map(told) })),
    waits: mine
      .filter(one => one.waits && one.waits.getTime() - one.to.getTime() >= LONG * 1000)
      .map(one => ({ mark: one.board.pen.mark, title: `ready after: ${one.title}`.slice(0, 300), until: iso(one.waits ?? one.to) })),
    promised: promised.map(({ mark, pen, due }) => ({ mark, name: boards.find(one => one.pen.id === pen)?.pen.name ?? mark, day: due })),
    blocks: mine.map(({ pen, is, from, to }) => ({ pen, step: is.id, begins: iso(from), ends: iso(to) })),
  }
}

/** What the turner’s own hands do in one evening, grouped as they go. */
export const groupsIn = (blocks: readonly Shown[], { from, to }: { from: Date, to: Date }): Group[] =>
  groupsOf(blocks.filter(one => one.crew === 0 && one.inHours && one.from >= from && one.from < to))
