<script setup lang="ts">
import type { Figure } from '#core/figures'

/** A number that can be opened: what went into it, and where each part comes from. What opens it is fetched when somebody does. */
defineProps<{ figure: Figure }>()
const popped = shallowRef<Component>()
async function open() {
  popped.value = (await import('./Popped.vue')).default
}
</script>

<template>
  <component :is="popped" v-if="popped" :figure="figure"><slot>{{ figureText(figure) }}</slot></component>
  <button v-else type="button" class="figure-open" :aria-label="`${figureText(figure)}: what went into it`" @click="open">
    <slot>{{ figureText(figure) }}</slot>
  </button>
</template>

<style>
.figure-open {
  color: inherit;
  font: inherit;
  cursor: help;
  text-decoration: underline dotted var(--ink-2);
  text-underline-offset: 4px;
  text-decoration-thickness: 1px;
  text-align: inherit;
}
.figure-open:hover { text-decoration-style: solid; }
</style>
