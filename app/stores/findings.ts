import { defineStore } from 'pinia'
import type { FindingsPlace, LearntCourse, LearntOf, Trial } from '#contract'
import type { AsideChange, NewTrial } from '#schemas'

/** What stands out in the log, which questions it can answer, what is tried out, and what was learnt of the turner. */
export const useFindings = defineStore('findings', () => {
  const place = shallowRef<FindingsPlace>()
  const trials = shallowRef<Trial[]>()
  const learnt = shallowRef<LearntOf>()
  const course = shallowRef<LearntCourse>()
  async function load() {
    const [found, tried] = await Promise.all([api('GET /api/findings'), api('GET /api/findings/trials')])
    // Of people the log knows no more than who they are: what they are called comes from elsewhere.
    if (found.values.who?.length) await usePeople().load()
    ;[place.value, trials.value] = [found, tried]
  }
  async function loadLearnt() {
    learnt.value = await api('GET /api/findings/learnt')
  }
  async function loadCourse() {
    course.value = await api('GET /api/findings/learnt/course')
  }
  async function setAside(body: AsideChange) {
    learnt.value = await api('PUT /api/findings/learnt', { body })
  }
  /** What is here as it is by now. */
  async function refresh() {
    await Promise.all([place.value && load(), learnt.value && loadLearnt()])
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
  return { place, trials, learnt, course, load, loadLearnt, loadCourse, setAside, refresh, beginTrial, giveWay, endTrial }
})
