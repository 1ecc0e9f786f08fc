<script setup lang="ts">
import type { PenRecord } from '#core/bench'
import { formatSpan } from '#core/format'
import { isExtraDone, waitWords } from '#core/plan'
import { parseSpan, UnitError } from '#core/units'

/** The steps of a record with their times, which are put right here. */
defineProps<{ rows: readonly { row: PenRecord['rows'][number], words: { title: string } }[] }>()
const store = usePen()
const { minute: now } = useClock()

/** A time that was measured wrong is put right here; what was measured stays in the log. */
const editing = ref<string>()
const typed = ref('')
const fault = ref('')
function edit(step: string, seconds: number) {
  editing.value = step
  typed.value = formatSpan(seconds)
  fault.value = ''
}
function putRight(step: string) {
  try {
    const seconds = parseSpan(typed.value)
    if (seconds > 86_400) throw new UnitError('Should be a day or less.')
    store.enter({ kind: 'time', payload: { step, seconds } })
    editing.value = undefined
  } catch (error) {
    if (!(error instanceof UnitError)) throw error
    fault.value = error.message
  }
}
function asMeasured(step: string) {
  store.enter({ kind: 'time', payload: { step, seconds: null } })
  editing.value = undefined
}
const UNTIMED = 'No time was measured: there was a pause, or nothing to measure from. The planned time is counted. Press to put it right.'
</script>

<template>
  <div class="scrolls sheet">
    <table>
      <thead>
        <tr>
          <th scope="col">Step</th>
          <th scope="col">When</th>
          <th scope="col" class="right">Hands on</th>
          <th scope="col" class="right">Planned</th>
          <th scope="col">Wait before it</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ row, words } in rows" :key="row.step.id" :class="row.status">
          <th scope="row">
            {{ words.title }} <span v-if="isExtraDone(row.step, row.step.mend ?? '')" class="quiet">beside the plan</span>
          </th>
          <td>{{ row.at ? clockTime(row.at, now) : '' }}</td>
          <td class="right time">
            <template v-if="row.status === 'skipped'">left out</template>
            <form v-else-if="editing === row.step.id" novalidate @submit.prevent="putRight(row.step.id)">
              <UInput v-model="typed" size="md" :aria-label="`Hands on, ${words.title}`" autofocus @keydown.esc="editing = undefined" />
              <button type="submit" class="say">Keep</button>
              <button v-if="row.timing === 'yours'" type="button" class="say" @click="asMeasured(row.step.id)">As measured</button>
              <span v-if="fault" class="harm" role="alert">{{ fault }}</span>
            </form>
            <template v-else>
              <button
                type="button" class="say"
                :title="row.timing === 'planned' ? UNTIMED : 'Press to put it right'"
                @click="edit(row.step.id, row.handsOn!)"
              >
                {{ formatSpan(row.handsOn!) }}
              </button>
              <span v-if="row.pause" class="quiet"> planned, paused {{ formatSpan(row.pause) }}</span>
              <span v-else-if="row.timing === 'planned'" class="quiet"> planned</span>
              <span v-else-if="row.timing === 'yours'" class="quiet"> yours</span>
            </template>
          </td>
          <td class="right quiet">{{ formatSpan(row.planned) }}</td>
          <td>
            <template v-if="row.wait">
              {{ formatSpan(row.wait.seconds) }}, {{ waitWords[row.wait.purpose] }}:
              <span v-if="row.wait.shortBy" class="harm">◆ cut short by {{ formatSpan(row.wait.shortBy) }}</span>
              <span v-else class="kept">kept</span>
            </template>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scrolls { overflow-x: auto; }
table { width: 100%; border-collapse: collapse; }
th, td { padding: 0.5rem 0.9rem; text-align: left; vertical-align: baseline; }
thead th { color: var(--ink-2); font-weight: 500; border-bottom: 1px solid var(--line); }
tbody tr + tr { border-top: 1px solid var(--line); }
.right { text-align: right; }
.kept { color: var(--leaf); }
.time form { display: flex; flex-wrap: wrap; gap: 0.4rem; justify-content: flex-end; max-width: 18rem; margin-left: auto; }
.time form > :first-child { width: 7rem; }
.say { min-height: 24px; text-decoration: underline dotted; text-underline-offset: 3px; cursor: pointer; }
.skipped th { text-decoration: line-through; color: var(--ink-2); }
@media (max-width: 640px) {
  thead { display: none; }
  tr { display: grid; grid-template-columns: 1fr auto; padding: 0.4rem 0; }
  th, td { padding: 0.1rem 0.9rem; }
  td:nth-child(4) { display: none; }
  td:nth-child(3) { text-align: left; }
  td:nth-child(5) { grid-column: 1 / -1; }
}
</style>
