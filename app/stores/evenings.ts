import { defineStore } from 'pinia'
import type { EveningsKept } from '#contract'
import type { HoursChange, KeptPlan, Pin } from '#schemas'

/** When hands are there, what the turner wants of the order, and the pens that are planned beside those in work. */
export const useEveningsKept = defineStore('evenings', () => {
  const bench = useBenchPens()
  const kept = ref<EveningsKept>()
  /** The pens that are planned for evenings: those in work and those that are not begun, by their marks. */
  const boards = computed(() =>
    [...bench.kept.keys()]
      .flatMap(id => bench.boardOf(id) ?? [])
      .filter(({ summary }) => summary.stage === 'in work' || summary.stage === 'planned')
      .sort((a, b) => a.pen.mark.localeCompare(b.pen.mark, 'en', { numeric: true })))

  async function load() {
    const told = await api('GET /api/evenings')
    for (const one of told.planned) bench.put(one)
    kept.value = told
  }
  /** Loads what there is where hours were said, since others have no use for it; nothing where that was done. */
  async function meet() {
    if (kept.value) return
    const hours = await api('GET /api/evenings/hours')
    if (hours.length && !kept.value) await load()
  }
  /** Answers come one after the other, so that none puts back what a later one has told. */
  const inOrder = inTurn()
  const change = (part: Partial<EveningsKept>) => {
    if (kept.value) kept.value = { ...kept.value, ...part }
  }
  /** What could not be kept, in plain words; empty where all was. */
  const trouble = ref('')
  /** Keeps something that no form asks for: where that fails it is told, and nothing was changed. */
  async function attempt(work: () => Promise<unknown>) {
    trouble.value = ''
    try {
      await work()
    } catch (error) {
      trouble.value = refused(error).message
    }
  }
  const sayHours = (hours: HoursChange) =>
    inOrder(async () => change({ hours: await api('PUT /api/evenings/hours', { body: hours }) }))
  const putPin = (pin: Pin) => inOrder(async () => change({ pins: await api('PUT /api/evenings/pins', { body: pin }) }))
  const dropPin = (id: string) => inOrder(async () => change({ pins: await api('DELETE /api/evenings/pins/:id', { params: { id } }) }))
  const keepPlan = (plan: KeptPlan) => api('PUT /api/evenings/plan', { body: plan })
  const newAddress = () => inOrder(async () => change(await api('POST /api/evenings/calendar')))
  const dropAddress = () => inOrder(async () => {
    await api('DELETE /api/evenings/calendar')
    change({ calendar: null })
  })
  return { kept, boards, trouble, load, meet, attempt, sayHours, putPin, dropPin, keepPlan, newAddress, dropAddress }
})
