<script setup lang="ts">
import { list } from '#core/format'

/** “Can it be done by Saturday?”: of all pens, or of one, planned anew as if they were promised for that day. */
const store = useEveningsKept()
const { plan, given, aside } = useEvenings()
const { query } = useRoute()
const ALL = 'all'
const said = (name: string) => (typeof query[name] === 'string' ? query[name] : '')
const day = ref(said('by'))
const chosen = ref(said('pens') || ALL)
const choices = computed(() => [
  { label: 'All pens', value: ALL },
  ...store.boards.map(({ pen }) => ({ label: `${pen.mark} ${pen.name}`, value: pen.id })),
])
const ids = computed(() => {
  const wanted = chosen.value.split(',')
  return store.boards.map(one => one.pen.id).filter(id => chosen.value === ALL || wanted.includes(id))
})
const answer = ref('')
let turn = 0
async function ask() {
  const mine = ++turn
  answer.value = ''
  if (!/^\d{4}-\d\d-\d\d$/.test(day.value) || !plan.value || !ids.value.length) return
  const boards = given.value.boards.map(board =>
    (ids.value.includes(board.pen.id) ? { ...board, pen: { ...board.pen, due: day.value } } : board))
  const of = pose({ ...given.value, boards }, plan.value.of.now)
  const told = await aside(of.problem, true)
  if (mine !== turn) return
  const by = secondsTo(of.now, promisedBy(day.value))
  const ready = readyTimes(of.problem, told.plan)
  const often = new Map(told.finished)
  const marks = (is: (id: string) => boolean) => ids.value.filter(is).map(id => store.boards.find(one => one.pen.id === id)?.pen.mark ?? '')
  const never = marks(id => (ready.get(id) ?? 0) > by)
  const rather = marks(id => (ready.get(id) ?? 0) <= by && (often.get(id) ?? 0) > by)
  const sure = marks(id => (ready.get(id) ?? 0) <= by && (often.get(id) ?? 0) <= by)
  answer.value = [
    ...(sure.length ? [`Yes, nine times in ten: ${list(sure)}.`] : []),
    ...(rather.length ? [`If nothing takes longer than thought: ${list(rather)}.`] : []),
    ...(never.length ? [`No: ${list(never)}. More hours before that day, or a finish that waits less, would help.`] : []),
  ].join(' ')
}
watch([day, ids, () => plan.value?.rests], () => void ask(), { immediate: true })
</script>

<template>
  <section class="by figures" aria-labelledby="by">
    <h2 id="by">Can it be done by ...</h2>
    <label>Day <input v-model="day" type="date" class="field-plain"></label>
    <USelect v-if="!chosen.includes(',')" v-model="chosen" size="xl" :items="choices" aria-label="Which pens" />
    <p role="status">{{ answer || (day ? 'Working it out ...' : 'Choose a day.') }}</p>
  </section>
</template>

<style scoped>
.by { display: flex; flex-wrap: wrap; align-items: center; gap: 0.5rem 0.8rem; }
label { display: flex; align-items: center; gap: 0.5rem; }
p { flex: 1 1 18rem; }
</style>
