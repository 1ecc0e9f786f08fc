import { defineStore } from 'pinia'
import type { WorkshopEntry } from '#contract'

/** The workshops of this installation, and the one this page is in. */
export const useWorkshops = defineStore('workshops', () => {
  const all = ref<WorkshopEntry[]>([])
  const entered = computed(() => all.value.find(one => one.id === hereNow()))
  const demo = computed(() => all.value.find(one => one.kind === 'demo'))
  /** The turner’s own; where there are several, the first. */
  const own = computed(() => all.value.find(one => one.kind === 'own'))

  /** Whether that was asked for, and was answered or refused. */
  const known = ref(false)
  async function load() {
    try {
      all.value = (await api('GET /api/workshops')).workshops
    } finally {
      known.value = true
    }
  }
  /** Gives one another name. */
  async function rename(id: string, name: string) {
    const renamed = await api('PATCH /api/workshops/:id', { params: { id }, body: { name } })
    all.value = all.value.map(one => (one.id === id ? renamed : one))
  }
  /** Sets up the demo and goes there. */
  const setUpDemo = async () => enterWorkshop((await api('POST /api/workshops/demo')).id)
  /** Begins the demo anew and goes there. */
  const resetDemo = async () => enterWorkshop((await api('PUT /api/workshops/demo')).id)
  /** Deletes the demo; whoever is in it goes to the turner’s own workshop. */
  async function deleteDemo() {
    const wasIn = entered.value?.kind === 'demo'
    await api('DELETE /api/workshops/demo')
    if (wasIn && own.value) enterWorkshop(own.value.id)
    else await load()
  }
  return { all, known, entered, demo, own, load, rename, setUpDemo, resetDemo, deleteDemo }
})
