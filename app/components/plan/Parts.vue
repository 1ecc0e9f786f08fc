<script setup lang="ts">
import type { Fitting } from '#core/barrel'

/** Set, bits and bushings for so many pens: there, missing, or not known, and what would do instead. */
const props = withDefaults(defineProps<{ fitting: Fitting, pens?: number }>(), { pens: 1 })
const lines = useParts(() => props.fitting, () => props.pens)
const SIGN = { 'there': '✓', 'missing': '◆', 'not known': '?' }
</script>

<template>
  <ul class="parts figures" aria-label="Parts">
    <li v-for="line in lines" :key="line.says" :class="line.state === 'missing' ? 'missing' : line.state === 'there' ? 'there' : 'unknown'">
      <span aria-hidden="true">{{ SIGN[line.state] }}</span>
      <span><b>{{ line.says }}</b><template v-if="line.remedy">. {{ line.remedy }}</template></span>
    </li>
  </ul>
</template>

<style scoped>
.parts { display: grid; gap: 0.15rem; }
li { display: grid; grid-template-columns: 1.3rem 1fr; color: var(--ink-2); }
b { font-weight: 500; color: var(--ink); }
.missing b, .missing > :first-child { color: var(--brick); }
.there > :first-child { color: var(--leaf); }
</style>
