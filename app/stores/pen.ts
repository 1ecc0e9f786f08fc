import { defineStore } from 'pinia'
import { leftOut, replay, type BenchEvent, type Entry } from '#core/bench'
import { judgeReading, remarks, revisePlan, trace, type Sizing } from '#core/plan'
import type { BarrelId } from '#core/barrel'
import type { PenChange } from '#schemas'
import type { Pen } from '~~/server/db/pens'

/** One pen with its plan and its log; all that its screens show is worked out from these two. */
export const usePen = defineStore('pen', () => {
  const outbox = useOutbox()
  const { units, air } = storeToRefs(useWorkshop())
  const bench = useBenchPens()
  const time = useRightTime()
  const current = ref<string>()
  const whole = computed(() => current.value === undefined ? undefined : bench.kept.get(current.value))

  const pen = computed(() => whole.value?.pen)
  /** How the pen is being sized on the screen, before it is kept. */
  const draft = ref<Sizing>()
  /** The version of the pen that the sizing began with. */
  let draftOf: number | undefined
  watch(draft, (now, before) => {
    if (now && !before) draftOf = pen.value?.version
  })
  const doneSteps = computed(() => new Set(whole.value ? replay(whole.value.plan, events.value).steps.filter(one => one.status !== 'open').map(one => one.step.id) : []))
  /** The plan as it was planned, with what is being sized, before any mend. */
  const planned = computed(() => {
    const kept = whole.value?.plan
    if (!kept || !draft.value) return kept
    const { tool, film } = kept.inputs.wishes
    const wishes = { tool, film, ...draft.value }
    // No step follows from a shape or an end of one's own, so these keep the steps as they are, and what is drawn of them.
    return stepsFollow(wishes) === stepsFollow(kept.inputs.wishes) ? { ...kept, inputs: { ...kept.inputs, wishes } } : revisePlan(kept, { wishes }, doneSteps.value)
  })
  const events = computed<BenchEvent[]>(() => pen.value ? bench.eventsOf(pen.value.id) : [])
  /** When hands were on other pens, which is no time of this one. */
  const elsewhere = computed(() => whole.value?.elsewhere ?? [])
  const state = computed(() => planned.value && replay(planned.value, events.value, air.value))
  /** The plan as it stands, with what is being sized and the repairs chosen at the bench. */
  const plan = computed(() => state.value?.plan)
  const traced = computed(() => plan.value && state.value && trace(plan.value, leftOut(state.value.steps)))
  const said = computed(() => plan.value && traced.value ? remarks(plan.value, traced.value, units.value, new Date().toISOString()) : [])
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
    const clock = time.ahead === undefined ? {} : { ahead: time.ahead }
    const event: BenchEvent = { ...entry, id: crypto.randomUUID(), pen: pen.value.id, barrels: [...barrels], at: nextMoment(), device: deviceName(), ...clock }
    void outbox.put(event)
    return event.id
  }

  /** Changes the pen as it was at `version`: the one a form was opened with, since the pen on the screen follows other devices meanwhile. */
  async function change(fields: Omit<PenChange, 'version'>, version = pen.value?.version) {
    if (!pen.value) return
    await $fetch<Pen>(`/api/pens/${pen.value.id}`, { method: 'PATCH', body: { version, ...fields } })
    await load(pen.value.id)
  }

  /** Keeps how the pen was sized on the screen; the plan follows. */
  async function keepSizing() {
    if (!draft.value || !pen.value) return
    try {
      await change({ sizing: draft.value }, draftOf)
      draft.value = undefined
    } catch (error) {
      // Kept again it goes over what is newer, once that was seen.
      draftOf = undefined
      throw error
    }
  }

  async function planAgain() {
    if (!pen.value) return
    await $fetch<Pen>(`/api/pens/${pen.value.id}/plan`, { method: 'POST', body: { version: pen.value.version } })
    await load(pen.value.id)
  }

  return { pen, plan, planned, events, elsewhere, state, traced, said, measured, draft, load, enter, change, keepSizing, planAgain }
})

/** The wishes that steps follow from, as text to compare. */
const stepsFollow = ({ shapes: _, ends: __, ...rest }: Sizing): string => JSON.stringify(Object.entries(rest).filter(([key]) => key !== 'tool' && key !== 'film').sort())

let last = 0

/** The time on this device, never the same twice, so that entries of one device keep their order. */
function nextMoment(): string {
  last = Math.max(Date.now(), last + 1)
  return new Date(last).toISOString()
}

const DEVICE = 'oxlip-device'

function deviceName(): string {
  const known = localStorage.getItem(DEVICE)
  if (known) return known
  const name = `device ${crypto.randomUUID().slice(0, 4)}`
  localStorage.setItem(DEVICE, name)
  return name
}
