<script setup lang="ts">
import type { Figure } from '#core/figures'

/** A number that was opened: what went into it, and where each part comes from. */
defineProps<{ figure: Figure }>()
</script>

<template>
  <UPopover default-open :content="{ collisionPadding: 12 }">
    <button type="button" class="figure-open" :aria-label="`${figureText(figure)}: what went into it`">
      <slot>{{ figureText(figure) }}</slot>
    </button>
    <template #content>
      <div class="inside figures"><FigureParts :figure="figure" /></div>
    </template>
  </UPopover>
</template>

<style scoped>
.inside { max-width: min(26rem, 90vw); max-height: 22rem; overflow-y: auto; padding: 0.9rem 1rem; font-size: 0.95rem; line-height: 1.4; }
</style>
