<script setup lang="ts">
import type { Spread } from '#core/simulate'

/** How a result spreads, on the scale of all plans beside it: nine runs of ten lie in the bar, half of them below the dot. */
const props = defineProps<{ spread: Spread, from: number, to: number, text: string, range: string, marked: boolean }>()
const part = (value: number) => `${(100 * (value - props.from)) / Math.max(1e-9, props.to - props.from)}%`
</script>

<template>
  <div>
    <b :class="{ marked }">{{ text }}</b>
    <span class="bar" aria-hidden="true">
      <i class="range" :style="{ left: part(spread.low), right: `calc(100% - ${part(spread.high)})` }" />
      <i class="dot" :style="{ left: part(spread.middle) }" />
    </span>
    <span class="quiet">{{ range }}</span>
  </div>
</template>

<style scoped>
div { display: grid; gap: 0.1rem; }
b { font-weight: 500; }
b.marked { font-weight: 800; }
.bar { position: relative; height: 14px; border-bottom: 1px solid var(--line); }
.bar i { position: absolute; }
.range { top: 4px; height: 6px; background: var(--wait); border-radius: 2px; }
.dot { top: 1px; width: 12px; height: 12px; margin-left: -6px; background: var(--ink); border-radius: 50%; }
</style>
