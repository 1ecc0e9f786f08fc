<script setup lang="ts">
import { leftOut, type BenchState } from '#core/bench'
import { leastFilm, traceOnce, type Plan, type PlanTrace } from '#core/plan'

/** The surface as it really went, and beside it as it was planned where that is another. */
const props = defineProps<{ planned: Plan, state: BenchState, traced: PlanTrace }>()
const chosen = ref<string | null>(null)
const asPlanned = computed(() => traceOnce(props.planned))
/** Only what was done: what is open may still come otherwise. */
const asItWent = computed(() => {
  const done = new Set(props.state.steps.flatMap(one => (one.status === 'done' ? [one.step.id] : [])))
  return { ...props.traced, steps: props.traced.steps.filter(one => done.has(one.step.id)) }
})
const isOther = computed(() => {
  const [was, went] = [surfaceColumns(asPlanned.value), surfaceColumns(asItWent.value)]
  return leftOut(props.state.steps).size > 0 || went.some((column, index) => column.step !== was[index]?.step)
})
const least = computed(() => leastFilm(props.planned.inputs).value)
</script>

<template>
  <section v-if="surfaceColumns(asItWent).length" class="surfaces" :class="{ two: isOther }" aria-label="The surface">
    <div>
      <h2>The surface as it went</h2>
      <PlanSurface :traced="asItWent" :least="least" :chosen="chosen" :next="null" @choose="chosen = $event" />
    </div>
    <div v-if="isOther">
      <h2>As it was planned</h2>
      <PlanSurface :traced="asPlanned" :least="least" :chosen="chosen" :next="null" @choose="chosen = $event" />
    </div>
  </section>
</template>

<style scoped>
.surfaces { display: grid; gap: 1rem 2rem; }
.surfaces.two { grid-template-columns: repeat(2, minmax(0, 1fr)); }
.surfaces > div { min-width: 0; }
@media (max-width: 900px) { .surfaces.two { grid-template-columns: minmax(0, 1fr); } }
</style>
