import { defineStore } from 'pinia'
import type { FindingsPlace, Trial } from '#contract'
import type { NewTrial } from '#schemas'

/** What stands out in the log, which questions it can answer, and what is tried out. */
export const useFindings = defineStore('findings', () => {
  const place = shallowRef<FindingsPlace>()
  const trials = shallowRef<Trial[]>()
  async function load() {
    ;[place.value, trials.value] = await Promise.all([api('GET /api/findings'), api('GET /api/findings/trials')])
  }
  async function beginTrial(trial: NewTrial) {
    trials.value = await api('POST /api/findings/trials', { body: trial })
  }
  async function giveWay(id: string, pen: string) {
    trials.value = await api('PUT /api/findings/trials/:id/pens', { params: { id }, body: { pen } })
  }
  async function endTrial(id: string) {
    trials.value = await api('PATCH /api/findings/trials/:id', { params: { id }, body: { ended: true } })
  }
  return { place, trials, load, beginTrial, giveWay, endTrial }
})
