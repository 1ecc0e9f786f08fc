<script setup lang="ts">
import { depthPart, depthRange } from '#core/plan'

/** How deep the finish is wanted, from close to the wood to a deep gloss: a slider by ratio, as the eye takes it. In µm of a CA film. */
const depth = defineModel<number>({ required: true })
const marks = [
  { um: 10, says: 'barely there' },
  { um: 20, says: 'close to the wood' },
  { um: 40, says: 'gloss' },
  { um: 80, says: 'deep gloss' },
]
const id = useId()

/** Whole steps of the slider; 30 lie between barely there and close to the wood, and so on. */
const STEPS = 90
const position = computed({
  get: () => Math.round(depthPart(depth.value) * STEPS),
  set: (at: number) => {
    depth.value = Math.round(depthRange.least * (depthRange.most / depthRange.least) ** (at / STEPS) * 2) / 2
  },
})
const nearest = computed(
  () =>
    marks.reduce((best, mark) => (Math.abs(Math.log(mark.um / depth.value)) < Math.abs(Math.log(best.um / depth.value)) ? mark : best))
      .says,
)
</script>

<template>
  <div class="depth">
    <label :for="id"><b>How deep</b> <span class="quiet">{{ nearest }}, {{ depth }} µm at the least</span></label>
    <input :id="id" v-model.number="position" type="range" min="0" :max="STEPS" :aria-valuetext="`${nearest}, ${depth} µm`">
    <ol aria-label="Usual depths">
      <li v-for="mark in marks" :key="mark.um"><button type="button" @click="depth = mark.um">{{ mark.says }}</button></li>
    </ol>
  </div>
</template>

<style scoped>
.depth { display: grid; }
input { width: 100%; height: 36px; accent-color: var(--leaf); cursor: pointer; }
ol { display: flex; justify-content: space-between; }
button { min-height: 32px; color: var(--ink-2); font-size: 0.92rem; cursor: pointer; }
button:hover { color: var(--ink); text-decoration: underline; }
</style>
