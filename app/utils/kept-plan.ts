import { format } from 'date-fns'
import type { KeptPlan, Laid } from '#schemas'
import type { Board } from '../stores/bench'
import type { Stretch, Who } from './evening-hours'
import type { Posed } from './evening-problem'
import { groupsOf, type Group, type Shown } from './evening-view'
import type { Promised } from './evening-words'

/** So many evenings, and ends of waits that are longer than so many s, are kept for the calendar and the sheet. */
const EVENINGS = 14
const LONG = 20 * 60

/** What is kept of a plan as it is shown: for the calendar, for the paper, and to be compared with how the evening was. */
export function keptPlanOf(
  { now, evenings, helps }: Posed, blocks: readonly Shown[], promised: readonly Promised[], boards: readonly Board[],
): KeptPlan {
  const soon = evenings.slice(0, EVENINGS)
  const end = soon.at(-1)?.to ?? now
  const mine = blocks.filter(one => one.inHours && one.from <= end)
  const iso = (at: Date) => at.toISOString()
  const told = ({ from, to, title, marks }: Group) =>
    ({ at: iso(from), seconds: Math.round((to.getTime() - from.getTime()) / 1000), title: title.slice(0, 300), marks: marks.slice(0, 200) })
  const laid = (of: readonly Stretch[], who: Who): Laid[] =>
    of.map(({ from, to }) => ({ from: iso(from), to: iso(to), groups: groupsIn(mine, { from, to }, who).map(told) }))
  return {
    day: format(now, 'yyyy-MM-dd'),
    madeAt: iso(now),
    evenings: laid(soon, 'turner'),
    ...(helps.length ? { helps: laid(helps.slice(0, EVENINGS), 'helper') } : {}),
    waits: mine
      .filter(one => one.waits && one.waits.getTime() - one.to.getTime() >= LONG * 1000)
      .map(one => ({ mark: one.board.pen.mark, title: `ready after: ${one.title}`.slice(0, 300), until: iso(one.waits ?? one.to) })),
    promised: promised.map(({ mark, pen, due }) => ({ mark, name: boards.find(one => one.pen.id === pen)?.pen.name ?? mark, day: due })),
    blocks: mine.map(({ pen, is, from, to }) => ({ pen, step: is.id, begins: iso(from), ends: iso(to) })),
  }
}

/** What somebody’s hands do in a stretch of hours, grouped as they go. */
export const groupsIn = (blocks: readonly Shown[], { from, to }: Pick<Stretch, 'from' | 'to'>, who: Who): Group[] =>
  groupsOf(blocks.filter(one => (one.crew === 0) === (who === 'turner') && one.inHours && one.from >= from && one.from < to))
