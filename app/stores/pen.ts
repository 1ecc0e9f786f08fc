import { defineStore } from 'pinia'
import { boardOf, settledSteps, type BenchEvent, type Entry } from '#core/bench'
import { judgeReading, remarks, withWishes, type Sizing } from '#core/plan'
import type { BarrelId } from '#core/barrel'
import type { PenChange } from '#schemas'

/** One pen with its plan and its log; all that its screens show is worked out from these two. */
export const usePen = defineStore('pen', () => {
  const outbox = useOutbox()
  const { units } = storeToRefs(useWorkshop())
  const bench = useBenchPens()
  const time = useRightTime()
  const current = ref<string>()
  const whole = computed(() => (current.value === undefined ? undefined : bench.kept.get(current.value)))

  /** Why it cannot be worked out, where it cannot. */
  const broken = computed(() => (current.value === undefined ? undefined : bench.brokenOf(current.value)))
  const pen = computed(() => whole.value?.pen ?? broken.value?.pen)
  /** How the pen is being sized on the screen, before it is kept. */
  const draft = ref<Sizing>()
  /** The version of the pen that the sizing began with. */
  let draftOf: number | undefined
  watch(draft, (now, before) => {
    if (now && !before) draftOf = pen.value?.version
  })
  const events = computed<BenchEvent[]>(() => (pen.value ? bench.eventsOf(pen.value.id) : []))
  /** When hands were on other pens, which is no time of this one. */
  const elsewhere = computed(() => whole.value?.elsewhere ?? [])
  /** The air it was worked in. */
  const air = computed(() => (current.value === undefined ? [] : bench.airOf(current.value)))
  /** The pen as it is kept. */
  const kept = computed(() => (current.value === undefined ? undefined : bench.boardOf(current.value)))
  /** The plan as it was planned, with what is being sized, before any mend: the same that keeping it would make. */
  const planned = computed(() => {
    const plan = whole.value?.plan
    if (!plan || !kept.value || !draft.value) return plan
    const { tool, film } = plan.inputs.wishes
    return withWishes(plan, { tool, film, ...draft.value }, settledSteps(kept.value.state))
  })
  /** What follows from the plan and the log; with what is being sized, while something is. */
  const board = computed(() => (draft.value && planned.value ? boardOf(planned.value, events.value, air.value) : kept.value))
  const state = computed(() => board.value?.state)
  /** The plan as it stands, with what is being sized and the repairs chosen at the bench. */
  const plan = computed(() => state.value?.plan)
  const traced = computed(() => board.value?.traced)
  const said = computed(() => (plan.value && traced.value ? remarks(plan.value, traced.value, units.value, new Date().toISOString()) : []))
  /** The latest diameter measured at each place, and how it will end. */
  const measured = computed(() => {
    const latest = new Map(state.value?.measured.map(one => [`${one.barrel} ${one.fromTip}`, one]))
    return [...latest.values()].flatMap((one) => {
      const verdict = traced.value && judgeReading(traced.value, one, mm => units.value.length(mm))
      return verdict ? [{ ...one, ...verdict }] : []
    })
  })

  async function load(id: string) {
    if (current.value !== id) draft.value = undefined
    current.value = id
    await bench.fetchPen(id)
  }

  /** Enters something at the bench. It is shown at once, kept in the browser, and sent when the server answers. Answers its id. */
  function enter(entry: Entry, barrels: readonly BarrelId[] = []): string | undefined {
    if (!pen.value) return undefined
    const events = asEvents([{ pen: pen.value.id, entry, barrels }], time.ahead)
    void outbox.put(...events)
    return events[0]?.id
  }

  /**
   * Changes the pen as it was at `version`: the one a form was opened with, since the pen on the screen follows other devices
   * meanwhile.
   */
  async function change(fields: Omit<PenChange, 'version'>, version = pen.value?.version) {
    if (!pen.value || version === undefined) return
    await api('PATCH /api/pens/:id', { params: { id: pen.value.id }, body: { version, ...fields } })
    await load(pen.value.id)
  }

  /** One after the other: what is changed while something is being kept is kept on the pen as it is by then. */
  const keeping = inTurn()
  /** Keeps how the pen was sized on the screen; the plan follows. What is changed meanwhile stands, and is not kept yet. */
  const keepSizing = () => keeping(async () => {
    const wanted = draft.value
    if (!wanted || !pen.value) return
    try {
      await change({ sizing: wanted }, draftOf)
      if (draft.value === wanted) draft.value = undefined
      else draftOf = pen.value?.version
    } catch (error) {
      // Kept again it goes over what is newer, once that was seen.
      draftOf = undefined
      throw error
    }
  })

  async function planAgain() {
    if (!pen.value) return
    await api('POST /api/pens/:id/plan', { params: { id: pen.value.id }, body: { version: pen.value.version } })
    await load(pen.value.id)
  }

  return {
    pen, broken, plan, planned, events, elsewhere, air, board, state, traced, said, measured, draft, load, enter, change, keepSizing,
    planAgain,
  }
})
