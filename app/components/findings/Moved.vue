<script setup lang="ts">
import type { Moved } from '~/utils/learnt-rows'

/** How a figure moved: a small line, and in words what it was. */
const props = defineProps<{ moved: Moved }>()
const [WIDTH, HEIGHT, EDGE] = [64, 18, 3]
const points = computed(() => {
  const [low, high] = [Math.min(...props.moved.figures), Math.max(...props.moved.figures)]
  const across = (index: number) => EDGE + (index * (WIDTH - 2 * EDGE)) / Math.max(1, props.moved.figures.length - 1)
  const up = (figure: number) => (high > low ? HEIGHT - EDGE - ((figure - low) * (HEIGHT - 2 * EDGE)) / (high - low) : HEIGHT / 2)
  return props.moved.figures.map((figure, index) => ({ x: across(index), y: up(figure) }))
})
const last = computed(() => points.value.at(-1))
</script>

<template>
  <span class="moved">
    <svg v-if="points.length > 1" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" :width="WIDTH" :height="HEIGHT" aria-hidden="true">
      <polyline :points="points.map(one => `${one.x},${one.y}`).join(' ')" />
      <circle v-if="last" :cx="last.x" :cy="last.y" r="2.5" />
    </svg>
    <span class="quiet">{{ moved.says }}</span>
  </span>
</template>

<style scoped>
.moved { display: inline-flex; flex-wrap: wrap; align-items: center; gap: 0.1rem 0.5rem; }
polyline { fill: none; stroke: var(--wait); stroke-width: 1.5; }
circle { fill: var(--ink); }
</style>
