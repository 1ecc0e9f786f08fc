import { defineStore } from 'pinia'
import type { Person } from '#contract'

/** The people of this workshop, as far as they were asked for: whose a pen is, and who entered what. */
export const usePeople = defineStore('people', () => {
  const people = shallowRef<readonly Person[]>()
  async function load() {
    people.value = await api('GET /api/people')
  }
  const one = (id: string | null | undefined) => people.value?.find(person => person.id === id)
  /** Their name; what stands there of somebody who is not known. */
  const nameOf = (id: string | null | undefined): string => one(id)?.name ?? 'somebody'
  return { people, load, one, nameOf }
})
