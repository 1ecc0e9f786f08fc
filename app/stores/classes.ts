import { defineStore } from 'pinia'
import type { ClassEntry } from '#contract'

/** The classes of this workshop, as far as they were asked for. */
export const useClasses = defineStore('classes', () => {
  const classes = shallowRef<readonly ClassEntry[]>()
  async function load() {
    classes.value = await api('GET /api/classes')
  }
  /** Counts up each time when something of a class was changed, on whichever device. */
  const told = ref(0)
  /** What stands here, as it is by now. */
  const refresh = async () => {
    told.value += 1
    if (classes.value) await load()
  }
  const one = (id: string | null | undefined) => classes.value?.find(each => each.id === id)
  return { classes, told, load, refresh, one }
})
