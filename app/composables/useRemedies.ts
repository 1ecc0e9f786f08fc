import type { DayHours } from '#contract'
import { formatSpan } from '#core/format'
import { addMinutes, format } from 'date-fns'

/** So many pens are helped at once, and so much longer an evening may be, min. */
const PENS = 3
const LONGER = [30, 60, 120]

/** What would keep each promise that a plan breaks: an evening made longer, tried on the side; or that none of these does. */
export function useRemedies(late: ComputedRef<readonly Promised[]>) {
  const { plan, given, whatIf } = useEvenings()
  const remedies = shallowRef<ReadonlyMap<string, string>>(new Map())
  let turn = 0

  async function look() {
    const mine = ++turn
    const found = new Map<string, string>()
    for (const one of late.value.slice(0, PENS)) {
      const says = await remedyOf(one, () => mine === turn)
      if (mine !== turn) return
      found.set(one.pen, says)
      remedies.value = new Map(found)
    }
  }
  async function remedyOf(one: Promised, isWanted: () => boolean): Promise<string> {
    const known = plan.value
    if (!known) return ''
    const by = promisedBy(one.due)
    const evenings = known.of.evenings.filter(evening => evening.from < by)
    if (!evenings.length) return 'no evening is left before that.'
    for (const minutes of LONGER) {
      for (const evening of evenings.slice(0, 6).reverse()) {
        const { of, is } = await whatIf({ hours: longer(given.value.hours, evening, minutes) })
        if (!isWanted()) return ''
        const ready = readyTimes(of.problem, is).get(one.pen) ?? Infinity
        if (of.now.getTime() + ready * 1000 <= by.getTime() && is.costs.late < known.is.costs.late)
          return `${formatSpan(minutes * 60)} more on ${format(evening.from, 'EEEE')} would keep it.`
      }
    }
    return 'two hours more on one evening would not keep it. Promise another day, or choose a finish that waits less.'
  }
  watch([() => plan.value?.rests, () => late.value.map(one => one.pen).join()], ([rests]) => {
    if (rests) void look()
  }, { immediate: true })
  onScopeDispose(() => {
    turn++
  })
  return { remedies }
}

/** Hours with one evening longer by so many minutes. */
function longer(hours: readonly DayHours[], evening: Stretch, minutes: number): DayHours[] {
  const other = edgeMoved(hours, 'turner', evening, 'to', addMinutes(evening.to, minutes))
  return [...hours.filter(one => one.who !== 'turner' || one.day !== evening.day), ...(other ? [other] : [])]
}
