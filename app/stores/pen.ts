import { defineStore } from 'pinia'
import { leftOut, replay, type BenchEvent, type Entry } from '#core/bench'
import { remarks, trace } from '#core/plan'
import type { BarrelId } from '#core/barrel'
import type { PenChange } from '#schemas'
import type { WholePen } from '~~/server/api/pens/[id]/index.get'
import type { Pen } from '~~/server/db/pens'

/** One pen with its plan and its log; all that its screens show is worked out from these two. */
export const usePen = defineStore('pen', () => {
  const outbox = useOutbox()
  const whole = ref<WholePen>()
  const entered = ref<BenchEvent[]>([])

  const pen = computed(() => whole.value?.pen)
  const plan = computed(() => whole.value?.plan)
  const events = computed<BenchEvent[]>(() => {
    const id = pen.value?.id
    return [...whole.value?.events ?? [], ...entered.value, ...outbox.pending].filter(event => event.pen === id)
  })
  const state = computed(() => plan.value && replay(plan.value, events.value))
  const traced = computed(() => plan.value && state.value && trace(plan.value, leftOut(state.value.steps)))
  const said = computed(() => plan.value && traced.value ? remarks(plan.value, traced.value) : [])

  async function load(id: string) {
    if (pen.value?.id !== id) {
      whole.value = undefined
      entered.value = []
    }
    whole.value = await $fetch<WholePen>(`/api/pens/${id}`)
  }

  /** Enters something at the bench. It is shown at once, kept in the browser, and sent when the server answers. */
  function enter(entry: Entry, barrels: readonly BarrelId[] = []) {
    if (!pen.value) return
    const event: BenchEvent = { ...entry, id: crypto.randomUUID(), pen: pen.value.id, barrels: [...barrels], at: nextMoment(), device: deviceName() }
    entered.value = [...entered.value, event]
    return outbox.put(event)
  }

  async function change(fields: Omit<PenChange, 'version'>) {
    if (!pen.value) return
    await $fetch<Pen>(`/api/pens/${pen.value.id}`, { method: 'PATCH', body: { version: pen.value.version, ...fields } })
    await load(pen.value.id)
  }

  async function planAgain() {
    if (!pen.value) return
    await $fetch<Pen>(`/api/pens/${pen.value.id}/plan`, { method: 'POST', body: { version: pen.value.version } })
    await load(pen.value.id)
  }

  return { pen, plan, events, state, traced, said, load, enter, change, planAgain }
})

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
