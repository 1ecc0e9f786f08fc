<script setup lang="ts">
import type { SeamBand } from '#core/barrel'

/** The end of a hybrid blank, to scale: bore, finished barrel, and the band in which the seam must run. */
const props = defineProps<{ width: number, height: number, bore: number, finished: number, off: number, band: SeamBand, colour: string }>()
const id = useId()
const middle = computed(() => [props.width / 2 + props.off, props.height / 2] as const)
</script>

<template>
  <svg :viewBox="`-1 -1 ${width + 2} ${height + 2}`" role="img" aria-label="The blank’s end with the band for its seam">
    <rect x="0" y="0" :width="width" :height="height" class="blank" />
    <rect v-if="band.shows" :x="band.shows.from" y="0" :width="band.shows.to - band.shows.from" :height="height" class="shows" />
    <rect v-if="band.held" :x="band.held.from" y="0" :width="band.held.to - band.held.from" :height="height" class="held" />
    <clipPath :id="id"><circle :cx="middle[0]" :cy="middle[1]" :r="finished / 2" /></clipPath>
    <circle :cx="middle[0]" :cy="middle[1]" :r="finished / 2" :fill="colour" opacity="0.45" />
    <circle :cx="middle[0]" :cy="middle[1]" :r="finished / 2" class="line" />
    <circle :cx="middle[0]" :cy="middle[1]" :r="bore / 2" class="bore" />
  </svg>
</template>

<style scoped>
svg { display: block; width: 7.5rem; height: 7.5rem; flex: none; }
.blank { fill: var(--wood-ground); stroke: var(--ink-2); stroke-width: 0.2; }
.shows { fill: var(--film-pale); opacity: 0.55; }
.held { fill: var(--film); opacity: 0.55; }
.line { fill: none; stroke: var(--ink); stroke-width: 0.3; }
.bore { fill: var(--ground); stroke: var(--brass); stroke-width: 0.5; }
</style>
