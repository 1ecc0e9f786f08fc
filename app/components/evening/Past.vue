<script setup lang="ts">
import type { KeptEvening } from '#contract'

/** The last evening that is over, beside what it was to be: what was done, what took longer. */
const props = defineProps<{ past: readonly KeptEvening[] }>()
const bench = useBenchPens()
const { units } = storeToRefs(useWorkshop())
const { minute: now } = useClock()
const kept = computed(() =>
  props.past.find(({ day, first }) => first.evenings.some(one => one.from.slice(0, 10) <= day && new Date(one.to) < now.value)))
/** Pens that were finished since are not on the bench any more: they are fetched, a few at a time. */
const AT_ONCE = 4
const isKnown = ref(false)
watch(() => kept.value?.day, async () => {
  isKnown.value = false
  const missing = [...new Set(kept.value?.first.blocks.map(one => one.pen))].filter(id => !bench.boardOf(id))
  while (missing.length) await Promise.allSettled(missing.splice(0, AT_ONCE).map(bench.fetchPen))
  isKnown.value = true
}, { immediate: true })
const last = computed(() => (isKnown.value && kept.value ? pastOf(kept.value, id => bench.boardOf(id), units.value) : undefined))
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
