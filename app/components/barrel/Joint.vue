<script setup lang="ts">
import { meeting, type End } from '#core/barrel'

/**
 * One joint under a lens: metal beside the finished barrel, its step drawn twenty times as large as it is. The metal stands at the side
 * where the pen has it.
 */
const props = defineProps<{ over: number, end: End, colour: string, label: string }>()

/** Pixels for a mm of step on one side; steps past what the picture shows are cut off and marked. */
const SCALE = 150
const step = computed(() => Math.max(-15, Math.min(15, (props.over / 2) * SCALE)))
const cut = computed(() => Math.abs((props.over / 2) * SCALE) > 15)
const way = computed(() => meeting(props.over))
</script>

<template>
  <svg viewBox="0 0 92 44" role="img" :aria-label="label" :class="way">
    <g :transform="end === 'clip' ? 'translate(92 0) scale(-1 1)' : undefined">
      <rect x="0" y="18" width="38" height="26" class="metal" />
      <rect x="40" :y="18 - step" width="52" :height="26 + step" :fill="colour" />
      <path :d="`M40 ${19.5 - step}h52`" class="film" />
      <path v-if="way !== 'flush'" :d="`M39 18V${18 - step}`" class="step" />
      <path v-if="cut" :d="`M60 ${18 - step + (over > 0 ? 4 : -4)}l4 ${over > 0 ? -6 : 6} 4 ${over > 0 ? 6 : -6}`" class="more" />
    </g>
  </svg>
</template>

<style scoped>
svg { display: block; width: 92px; height: 44px; }
.metal { fill: var(--steel-light); }
.film { stroke: var(--film); stroke-width: 3; }
.step { stroke: var(--brick); stroke-width: 3; }
.more { fill: none; stroke: var(--brick); stroke-width: 2; }
</style>
