<script setup lang="ts">
import type { KeptEvening } from '#contract'

/** The last evening that is over, beside what it was to be: what was done, what took longer. */
const props = defineProps<{ past: readonly KeptEvening[] }>()
const bench = useBenchPens()
const { units } = storeToRefs(useWorkshop())
const { now } = useClock()
const last = computed(() => {
  const kept = props.past.find(({ day, first }) => first.evenings.some(one => one.from.slice(0, 10) <= day && new Date(one.to) < now.value))
  return kept && pastOf(kept, id => bench.boardOf(id), units.value)
})
</script>

<template>
  <section v-if="last" class="figures" aria-labelledby="past">
    <h2 id="past">{{ dayWords(last.day) }}, as it went</h2>
    <p>{{ last.says }}</p>
    <ul v-if="last.longer.length">
      <li v-for="one in last.longer" :key="one.mark + one.title"><b>{{ one.mark }}</b> {{ one.title }}: {{ one.says }}</li>
    </ul>
  </section>
</template>

<style scoped>
section { display: grid; gap: 0.3rem; }
</style>
