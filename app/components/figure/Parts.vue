<script setup lang="ts">
import type { Figure } from '#core/figures'

/** A figure with its inputs below it, each with its source; the first two levels stand open. */
withDefaults(defineProps<{ figure: Figure, depth?: number }>(), { depth: 0 })
</script>

<template>
  <div class="part">
    <div class="row"><span>{{ figure.label }}</span><b>{{ figureText(figure) }}</b></div>
    <div class="quiet source">{{ sourceText(figure) }}</div>
    <details v-if="figure.from?.length" :open="depth < 1">
      <summary class="quiet">from {{ figure.from.length === 1 ? 'this' : `these ${figure.from.length}` }}</summary>
      <FigureParts v-for="(part, index) in figure.from" :key="index" :figure="part" :depth="depth + 1" />
    </details>
  </div>
</template>

<style scoped>
.row { display: flex; justify-content: space-between; gap: 1rem; }
.row b { white-space: nowrap; }
.source, summary { font-size: 0.85rem; }
summary { cursor: pointer; min-height: 24px; }
details > .part { margin: 0.35rem 0 0 0.2rem; padding-left: 0.75rem; border-left: 2px solid var(--line); }
</style>
