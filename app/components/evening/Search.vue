<script setup lang="ts">
/** How far the search for a better order has come; it can be ended, and asked to go on. */
defineProps<{
  /** The part of its time that is gone, 0 to 1. */
  gone: number
  /** Whether it has stopped looking. */
  rests: boolean
  /** Whether no order is better, so that there is nothing to look for. */
  best: boolean
}>()
const emit = defineEmits<{ stop: [], longer: [] }>()
</script>

<template>
  <div class="search" :class="{ done: rests && best }">
    <button v-if="rests" type="button" class="key" @click="emit('longer')">Look longer</button>
    <button v-else type="button" class="key" @click="emit('stop')">That will do</button>
    <progress v-if="!rests" :value="gone" max="1" aria-label="Looking for a better order" />
  </div>
</template>

<style scoped>
.search { position: relative; min-width: 8rem; }
.search.done { visibility: hidden; }
.search .key { width: 100%; }
progress {
  position: absolute; inset: auto 0.6rem 0.3rem; width: calc(100% - 1.2rem); height: 3px; border: 0; border-radius: 2px;
  background: var(--line); appearance: none;
}
progress::-webkit-progress-bar { background: transparent; }
progress::-webkit-progress-value { border-radius: 2px; background: currentcolor; }
progress::-moz-progress-bar { border-radius: 2px; background: currentcolor; }
</style>
