import { format } from 'date-fns'
import type { KeptPlan } from '#schemas'
import type { Group, Shown } from '~/utils/evening-view'

type Known = ReturnType<typeof useEvenings>['plan']['value']

/** So many evenings, and ends of waits that are longer than so many s, are kept for the calendar and the sheet. */
const EVENINGS = 14
const LONG = 20 * 60

/** Keeps what is shown: so that an evening that is over can be compared with what it was to be, and a calendar program can read it. */
export function useKeptPlan(given: () => { plan: Known, blocks: readonly Shown[], promised: readonly Promised[] }) {
  const store = useEveningsKept()
  let last = ''
  /** The same plan is sent once; one that could not be sent is sent with the next. */
  async function keep() {
    const { plan, blocks, promised } = given()
    if (!plan || !blocks.length) return
    const body = keptPlanOf(plan.of, blocks, promised, store.boards)
    const same = JSON.stringify({ ...body, madeAt: '' })
    if (same === last) return
    try {
      await store.keepPlan(body)
      last = same
    } catch {
      // Without the server nothing is lost: it follows from the pens, and is kept the next time.
    }
  }
  return { keep }
}

function keptPlanOf({ now, evenings }: Posed, blocks: readonly Shown[], promised: readonly Promised[], boards: readonly Board[]): KeptPlan {
  const soon = evenings.slice(0, EVENINGS)
  const end = soon.at(-1)?.to ?? now
  const mine = blocks.filter(one => one.inHours && one.from <= end)
  const iso = (at: Date) => at.toISOString()
  const told = ({ from, to, title, marks }: Group) =>
    ({ at: iso(from), seconds: Math.round((to.getTime() - from.getTime()) / 1000), title: title.slice(0, 300), marks: marks.slice(0, 200) })
  return {
    day: format(now, 'yyyy-MM-dd'),
    madeAt: iso(now),
    evenings: soon.map(({ from, to }) => ({
      from: iso(from), to: iso(to), groups: groupsOf(mine.filter(one => one.crew === 0 && one.from >= from && one.from < to)).map(told),
    })),
    waits: mine
      .filter(one => one.waits && one.waits.getTime() - one.to.getTime() >= LONG * 1000)
      .map(one => ({ mark: one.board.pen.mark, title: `ready after: ${one.title}`.slice(0, 300), until: iso(one.waits ?? one.to) })),
    promised: promised.map(({ mark, pen, due }) => ({ mark, name: boards.find(one => one.pen.id === pen)?.pen.name ?? mark, day: due })),
    blocks: mine.map(({ pen, is, from, to }) => ({ pen, step: is.id, begins: iso(from), ends: iso(to) })),
  }
}
