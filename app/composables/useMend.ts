import { boardOf, findingsOf, leftOut, mayGo, record, whyDefect, type DefectState } from '#core/bench'
import { chanceRange, type RepairWay } from '#core/defects'
import { decimal, formatSpan } from '#core/format'
import { mendId, mendOptions, stepWords, type MendOption } from '#core/plan'
import { causes, cautionsFor, evidence, repairRows } from '#reference'

/** The name that a mend has while somebody only looks at it. */
const LOOK = mendId.first('look')
const isScrap = ({ way }: MendOption) => way === 'new blank' || way === 'new pair'

/** Why a defect of the pen at the bench came about, as far as the log and the answers tell. */
export function useCauses(defect: () => DefectState) {
  const { board, elsewhere, air } = storeToRefs(usePen())
  const known = useDefects()
  const why = computed(() => {
    if (!board.value) return undefined
    const { state, traced } = board.value
    const told = record(state, traced, air.value, elsewhere.value)
    return whyDefect(defect(), findingsOf(defect(), board.value, told, air.value), causes, evidence, known.shopOf(defect().kind))
  })
  const all = ref(false)
  const ranked = computed(() => (why.value?.causes ?? []).filter((one, index) => all.value || index < 3 || one.id === defect().judged))
  const likely = computed(() => why.value?.causes[0])
  /** Whether the turner’s own judgements weigh in it. */
  const own = computed(() => Object.keys(known.shopOf(defect().kind).causes).length > 0)
  return { why, all, ranked, likely, own }
}

/** The ways to mend a defect of the pen at the bench, with the key of each. */
export function useWays(defect: () => DefectState) {
  const { board } = storeToRefs(usePen())
  const known = useDefects()
  const tried = computed(() => defect().mends.filter(mend => mend.failed).map(mend => mend.way))
  const ways = computed((): MendOption[] => {
    if (!board.value) return []
    const { plan, next, steps } = board.value.state
    const { id, kind, barrel, fromTip, size } = defect()
    const situation = {
      defect: { id, kind, barrel, fromTip, size },
      key: LOOK,
      underWay: next?.id ?? null,
      tried: tried.value,
      leftOut: leftOut(steps),
      turned: steps.some(one => one.step.kind === 'turn' && !one.step.again && one.status === 'done'),
    }
    return mendOptions(plan, repairRows, situation, known.recordOf)
  })
  const main = computed(() => ways.value.filter(one => !isScrap(one) || one.recommended))
  const scrap = computed(() => ways.value.filter(one => isScrap(one) && !one.recommended))
  /** The choices in the order of their keys. */
  const choices = computed(() => [...main.value, ...scrap.value])
  const keyOf = (one: MendOption): string => {
    const at = choices.value.indexOf(one)
    return at >= 0 && at < 9 ? String(at + 1) : ''
  }
  return { tried, ways, main, scrap, choices, keyOf, isScrap }
}

/** What a way to mend costs and means for the pen at the bench, in words. */
export function useWayWords() {
  const { board, pen, events, air } = storeToRefs(usePen())
  const { units, workshop } = storeToRefs(useWorkshop())
  const { minute } = useClock()
  /** When the pen may go, mended so. */
  const goes = ({ mended }: MendOption) => {
    const moment = minute.value.toISOString()
    return new Date(mayGo(boardOf(mended, events.value, air.value), moment, air.value)?.at ?? moment)
  }

  function odds(one: MendOption): string {
    const { chance, own } = one
    const range = chanceRange(one)
    const inTen = (part: number) => Math.round(part * 10)
    const often = chance >= 0.9 ? 'nearly always works' : `works ${inTen(chance)} times in 10`
    const ranged = `${often}, ${inTen(range.low)} to ${inTen(range.high)} by what is known`
    return own ? `${ranged}, ${own} of yours counted` : ranged
  }
  function cost(one: MendOption): string {
    const film = Math.abs(one.film) >= 1 ? `film ${one.film > 0 ? '−' : '+'}${decimal(Math.abs(one.film))} µm` : ''
    const wood = one.wood >= 1 ? `wood −${decimal(one.wood)} µm` : ''
    return [`${formatSpan(Math.max(0, one.handsOn))} more work`, odds(one), wood, film].filter(Boolean).join(' · ')
  }
  /** What a mend does to the day the pen is due. */
  function due(one: MendOption): string {
    const ready = goes(one)
    const said = `may be handed over from ${clockTime(ready, minute.value)}`
    const day = pen.value?.due
    if (!day) return one.span >= 60 ? `${said}, ${formatSpan(one.span)} later` : said
    return `${said}: ${ready <= new Date(`${day}T23:59:59`) ? 'in time' : 'too late'} for ${dayWords(day)}`
  }
  /** What becomes of the other barrel where one is made anew. */
  function pairWords(way: RepairWay): string {
    if ((board.value?.state.plan.inputs.fitting.barrels.length ?? 1) < 2) return ''
    if (way === 'new blank') return 'Its pair stays as it is: from another piece the grain will not run on.'
    return way === 'new pair' ? 'Both halves from one stick: the grain runs on.' : ''
  }
  /** The steps it puts in by their names, those alike in a row counted; and the cautions they carry. */
  function stepsOf({ mended, after }: MendOption) {
    const own = after.steps.filter(one => one.step.mend === LOOK)
    const names = own.reduce<{ name: string, times: number }[]>((runs, one) => {
      const name = stepWords(mended, one, units.value, after).work
      const last = runs.at(-1)
      return last?.name === name ? [...runs.slice(0, -1), { name, times: last.times + 1 }] : [...runs, { name, times: 1 }]
    }, [])
    const first = own.flatMap(one => cautionsFor(one.step, undefined, workshop.value?.cautions).slice(0, 1))
    const cautions = new Set(first.map(caution => caution.short))
    return { names, cautions: [...cautions] }
  }
  return { cost, due, pairWords, stepsOf }
}
