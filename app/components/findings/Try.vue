<script setup lang="ts">
import { pensForTrial, type RateAnswer } from '#core/findings'
import type { FindingQuery } from '#schemas'

/** Two ways to be tried out against one another: which, and over how many pens. */
const props = defineProps<{ asked: FindingQuery, answer: RateAnswer }>()
const store = useFindings()
const open = ref(false)
const values = computed(() => props.answer.groups.map(one => one.value))
const ways = ref<[string, string]>(['', ''])
const rate = (way: string) => props.answer.groups.find(one => one.value === way)?.pulled ?? 0
/** As many as it takes, as far as rates are what they are. */
const needed = computed(() => pensForTrial(rate(ways.value[0]), rate(ways.value[1])))
const pens = ref<number>()
watch(() => props.asked, () => {
  open.value = false
})
function begin() {
  ways.value = [values.value[0] ?? '', values.value[1] ?? '']
  pens.value = undefined
  open.value = true
}
const choices = computed(() => values.value.map(value => ({ label: valueLabel(props.asked.by, value), value })))
const trouble = ref('')
async function start() {
  trouble.value = ''
  const { of, by } = props.asked
  try {
    await store.beginTrial({ id: newId(), of: of as never, by, ways: ways.value, pens: pens.value ?? needed.value })
    open.value = false
  } catch (error) {
    const answer = refused(error)
    trouble.value = Object.values(answer.fields)[0] ?? answer.message
  }
}
</script>

<template>
  <button v-if="!open" type="button" class="key" @click="begin">Try two ways out</button>
  <form v-else class="try filled" aria-label="Try two ways out" @submit.prevent="start">
    <UFormField label="One way"><USelect v-model="ways[0]" :items="choices" size="lg" aria-label="One way" /></UFormField>
    <UFormField label="The other"><USelect v-model="ways[1]" :items="choices" size="lg" aria-label="The other way" /></UFormField>
    <UFormField label="Pens of each" :help="`${needed} would find what is there four times in five.`">
      <UInput v-model.number="pens" type="number" inputmode="numeric" min="2" max="200" size="lg" :placeholder="String(needed)" />
    </UFormField>
    <p class="quiet">The lot decides which way each pen is made, and nobody looks before all are over: so that it is fair.</p>
    <p v-if="trouble" class="harm" role="alert">{{ trouble }}</p>
    <div class="acts">
      <button type="submit" class="key next">Begin</button>
      <button type="button" class="key" @click="open = false">Not now</button>
    </div>
  </form>
</template>

<style scoped>
.key { justify-self: start; }
.try { display: grid; grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr)); gap: 0.7rem 1rem; align-items: start; }
.try > p, .acts { grid-column: 1 / -1; display: flex; gap: 0.6rem; }
</style>
