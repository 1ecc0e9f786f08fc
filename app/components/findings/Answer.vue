<script setup lang="ts">
import { capital } from '#core/format'
import type { FindingAnswer } from '#contract'
import type { FindingQuery } from '#schemas'

/** An answer: what it says, and each group on one scale with its interval; every number opens to its pens. */
const props = defineProps<{ asked: FindingQuery, answer: FindingAnswer }>()
const rows = computed(() => answerRows(props.asked.of, props.asked.by, props.answer))
const scale = computed(() => answerScale(props.answer))
const opened = ref<{ is: string, so: 'yes' | undefined }>()
watch(() => props.asked, () => {
  opened.value = undefined
})
const isOpen = (is: string) => opened.value?.is === is
function open(is: string, so: 'yes' | undefined) {
  opened.value = isOpen(is) && opened.value?.so === so ? undefined : { is, so }
}
const at = (value: number) => `${(100 * (value - scale.value.from)) / (scale.value.to - scale.value.from)}%`
const width = (low: number, high: number) => `${(100 * (high - low)) / (scale.value.to - scale.value.from)}%`
const address = computed(() => {
  const { of, by, among = [], zone } = props.asked
  const query = new URLSearchParams([['of', of], ['by', by], ['zone', zone ?? 'UTC'], ...among.map(one => ['among', one])])
  return addressHere(`/api/findings/answer.csv?${query}`)
})
const isRate = computed(() => props.answer.kind === 'rate')
</script>

<template>
  <section class="sheet" aria-labelledby="answer">
    <h2 id="answer"><span role="status">{{ capital(answerSays(asked.of, asked.by, answer)) }}</span></h2>
    <table v-if="rows.length">
      <thead>
        <tr>
          <th scope="col">{{ capital(byLabel(asked.by)) }}</th>
          <th scope="col" class="number">{{ isRate ? 'Pens' : 'Pens that tell' }}</th>
          <th scope="col" class="scale">
            <span class="sr-only">Drawn, with the range in which it lies 95 times in 100</span>
            <span aria-hidden="true" class="ends"><i>{{ scale.words(scale.from) }}</i><i>{{ scale.words(scale.to) }}</i></span>
          </th>
          <th scope="col" class="number">{{ isRate ? 'Of these' : 'In the middle' }}</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="row in rows" :key="row.value">
          <tr :class="{ open: isOpen(row.value) }">
            <th scope="row">{{ row.label }}</th>
            <td class="number">
              <button
                type="button" :aria-expanded="isOpen(row.value) && !opened?.so" :aria-label="`${row.of} pens, ${row.label}`"
                @click="open(row.value, undefined)"
              >
                {{ row.of }}
              </button>
            </td>
            <td class="scale">
              <span class="bar" aria-hidden="true">
                <i v-if="scale.all !== undefined" class="all" :style="{ left: at(scale.all) }" />
                <i v-if="row.range" class="range" :style="{ left: at(row.range.low), width: width(row.range.low, row.range.high) }" />
                <i class="dot" :style="{ left: at(row.at) }" />
                <i v-if="row.pulled !== undefined" class="pulled" :style="{ left: at(row.pulled) }" />
              </span>
            </td>
            <td class="number">
              <button
                v-if="row.hits !== undefined" type="button" :aria-expanded="isOpen(row.value) && opened?.so === 'yes'"
                :aria-label="`${row.hits} of ${row.of} pens, ${row.label}`" @click="open(row.value, 'yes')"
              >
                {{ row.hits }} · {{ row.says }}
              </button>
              <span v-else>{{ row.says }}</span>
            </td>
          </tr>
          <tr v-if="row.more" class="words"><td colspan="4" class="quiet">{{ row.more }}</td></tr>
          <tr v-if="isOpen(row.value)"><td colspan="4"><FindingsPens :is="row.value" :asked="asked" :so="opened?.so" /></td></tr>
        </template>
      </tbody>
    </table>
    <p v-if="rows.length" class="quiet">{{ answerNotes(answer) }} <a :href="address" download>The same as CSV</a></p>
    <FindingsTry v-if="answer.kind === 'rate' && answer.groups.length > 1 && canBeChosen(asked.by)" :asked="asked" :answer="answer" />
  </section>
</template>

<style scoped>
section { display: grid; gap: 0.8rem; padding: 1.1rem; }
h2 { font-size: 1.15rem; line-height: 1.35; }
p a { text-decoration: underline; text-underline-offset: 3px; }
table { width: 100%; border-collapse: collapse; }
th, td { padding: 0.15rem 0.6rem 0.15rem 0; text-align: left; vertical-align: middle; }
tbody th { font-weight: 500; }
thead th { font-weight: 400; color: var(--ink-2); }
tbody tr:not(.words):not(:first-child) > :is(th, td) { border-top: 1px solid var(--line); }
.words td { padding-bottom: 0.5rem; }
.number { text-align: right; }
td.number { white-space: nowrap; }
.scale { width: 44%; }
.ends { display: flex; justify-content: space-between; }
.ends i { font-style: normal; }
td button { min-width: 40px; min-height: 40px; padding: 0 0.35rem; cursor: pointer; }
td button { text-decoration: underline; text-underline-offset: 3px; }
.bar { position: relative; display: block; height: 22px; border-bottom: 1px solid var(--line); }
.bar i { position: absolute; }
.all { inset-block: -12px; border-left: 1px dashed var(--ink-2); }
.range { top: 9px; height: 5px; background: var(--wait); border-radius: 2px; }
.dot { top: 5px; width: 13px; height: 13px; margin-left: -6.5px; background: var(--ink); border-radius: 50%; }
.pulled { top: 0; width: 8px; height: 8px; margin-left: -4px; transform: rotate(45deg); }
.pulled { border: 1.5px solid var(--brass); background: var(--surface); }
@media (max-width: 640px) {
  .scale { width: auto; min-width: 5rem; }
  td button { padding: 0; }
}
</style>
