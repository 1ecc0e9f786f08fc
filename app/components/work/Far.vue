<script setup lang="ts">
import type { NextWait } from '~/composables/useWork'

/**
 * What is read from two metres, through a dusty shield: what, which of how many, until when, and how; nothing else. Sizes are those of a
 * 10 inch tablet, 1280 px over 217 mm: capitals of 12 mm and more for the first three, of 7 mm and more for how.
 */
defineProps<{ words: { title: string, how: string }, place: string, wait: NextWait | undefined }>()
</script>

<template>
  <section class="far figures" aria-live="polite">
    <p class="title">{{ words.title }}</p>
    <p v-if="place || (wait && !wait.over)" class="counts">
      <span v-if="place">{{ place.replace('coat ', '') }}</span>
      <span v-if="wait && !wait.over" class="count" role="timer">{{ wait.countdown }}</span>
    </p>
    <p class="how">{{ words.how }}</p>
  </section>
</template>

<style scoped>
.far { display: grid; gap: 1.2rem; align-content: start; min-height: 60vh; }
.title, .counts { font: 700 clamp(2.6rem, 8.8vw, 7rem)/1.02 var(--font-head); letter-spacing: -0.02em; overflow-wrap: anywhere; }
.counts { display: flex; flex-wrap: wrap; gap: 0 5rem; color: var(--ink-2); font-variant-numeric: tabular-nums; }
.count { color: var(--wait); }
.how { font-size: clamp(1.6rem, 5.1vw, 4.1rem); line-height: 1.2; }
</style>
