<script setup lang="ts">
import { format } from 'date-fns'
import { canBeMoved, type BenchEvent } from '#core/bench'
import { stepWords } from '#core/plan'

/** Everything that was entered on a pen, and how it is put right: another time, another pen, two swapped, something forgotten. */
const store = usePen()
const bench = useBenchPens()
const right = usePutRight()
const { units } = storeToRefs(useWorkshop())
const { minute: now } = useClock()

const rows = computed(() =>
  (store.state?.log ?? []).filter(row => row.inForce && row.event.kind !== 'undo').map(({ event }) => ({
    event,
    words: wordsOf(event),
    movable: canBeMoved(event, store.events),
  })).reverse())
function wordsOf(event: BenchEvent): string {
  const { state, traced } = store
  const id = 'step' in event.payload ? event.payload.step : null
  const step = traced?.steps.find(one => one.step.id === id)
  const title = state && traced && step ? stepWords(state.plan, step, units.value, traced).title : ''
  if (event.kind === 'remark') return event.payload.text
  return title ? `${title}: ${entryWords(event).toLowerCase()}` : entryWords(event)
}

/** The entry that is being put right, and how. */
const chosen = ref<string>()
const how = ref<'time' | 'pen' | 'swap'>()
const when = ref('')
const other = ref('')
const fault = ref('')
function choose(event: BenchEvent, way: 'time' | 'pen' | 'swap') {
  chosen.value = event.id
  how.value = way
  when.value = format(new Date(event.at), 'yyyy-MM-dd\'T\'HH:mm')
  other.value = ''
  fault.value = ''
}
const close = () => {
  chosen.value = undefined
}
const others = computed(() => bench.inWork.filter(one => one.pen.id !== store.pen?.id))
/** A time as the field has it, at its minute; where that is the minute of the entry, as exact as the entry. */
function momentIn(text: string): string | undefined {
  const found = new Date(text)
  return text && !Number.isNaN(found.getTime()) ? found.toISOString() : undefined
}
function keep(event: BenchEvent) {
  if (how.value === 'time') {
    const at = momentIn(when.value)
    fault.value = at ? right.at(event, at) : 'Say the day and the time.'
  } else if (!other.value) fault.value = 'Choose the other pen.'
  else fault.value = how.value === 'pen' ? right.on(event, other.value) : right.swap(event.at, other.value)
  if (!fault.value) close()
}

/** Steps that are open: one of them may have been done, and nobody entered it. */
const open = computed(() => {
  const { state, traced } = store
  if (!state || !traced) return []
  return state.steps.flatMap((one, index) => {
    const step = traced.steps[index]
    return one.status === 'open' && step ? [{ id: one.step.id, words: stepWords(state.plan, step, units.value, traced).title }] : []
  })
})
const forgot = reactive({ step: '', when: '', fault: '' })
function putIn() {
  const at = momentIn(forgot.when)
  forgot.fault = !forgot.step ? 'Choose what was done.' : at ? right.forgotten(forgot.step, at) : 'Say the day and the time.'
  if (!forgot.fault) Object.assign(forgot, { step: '', when: '' })
}
</script>

<template>
  <section class="log" aria-labelledby="log">
    <h2 id="log">Everything entered</h2>
    <ul>
      <li v-for="{ event, words, movable } in rows" :key="event.id">
        <span class="quiet time">{{ clockTime(event.at, now) }}</span>
        <span class="words">{{ words }}</span>
        <span v-if="movable" class="ways">
          <button type="button" class="say" @click="choose(event, 'time')">Another time</button>
          <button v-if="others.length" type="button" class="say" @click="choose(event, 'pen')">Another pen</button>
          <button v-if="others.length" type="button" class="say" @click="choose(event, 'swap')">Swapped from here on</button>
        </span>
        <form v-if="chosen === event.id" novalidate @submit.prevent="keep(event)" @keydown.esc="close">
          <label v-if="how === 'time'">It was done at <input v-model="when" type="datetime-local" class="field-plain"></label>
          <label v-else>
            {{ how === 'pen' ? 'It was done on' : 'All since then was done on the other of the two:' }}
            <select v-model="other" class="field-plain">
              <option value="">choose a pen</option>
              <option v-for="one in others" :key="one.pen.id" :value="one.pen.id">{{ one.pen.mark }}, {{ one.pen.name }}</option>
            </select>
          </label>
          <button type="submit" class="key">Put it right</button>
          <button type="button" class="key" @click="close">Leave it</button>
          <span v-if="fault" class="harm" role="alert">◆ {{ fault }}</span>
        </form>
      </li>
    </ul>
    <form v-if="open.length" class="forgot" novalidate aria-label="Something was forgotten" @submit.prevent="putIn">
      <label>
        Forgotten:
        <select v-model="forgot.step" class="field-plain" aria-label="What was done">
          <option value="">what was done</option>
          <option v-for="one in open" :key="one.id" :value="one.id">{{ one.words }}</option>
        </select>
      </label>
      <label>at <input v-model="forgot.when" type="datetime-local" class="field-plain" aria-label="When it was done"></label>
      <button type="submit" class="key">Put it in</button>
      <span v-if="forgot.fault" class="harm" role="alert">◆ {{ forgot.fault }}</span>
    </form>
  </section>
</template>

<style scoped>
.log { display: grid; gap: 0.5rem; }
li { display: flex; flex-wrap: wrap; gap: 0.2rem 1rem; align-items: center; padding: 0.2rem 0; border-bottom: 1px solid var(--line); }
.time { min-width: 6.5rem; }
.words { flex: 1 1 16rem; }
.ways { display: flex; flex-wrap: wrap; gap: 0.2rem 1rem; }
.say { min-height: 32px; text-decoration: underline dotted; text-underline-offset: 3px; cursor: pointer; }
form { display: flex; flex-wrap: wrap; gap: 0.5rem 0.8rem; align-items: center; flex-basis: 100%; padding: 0.3rem 0 0.5rem; }
label { display: flex; flex-wrap: wrap; gap: 0.5rem; align-items: center; }
</style>
