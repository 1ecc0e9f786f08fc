<script setup lang="ts">
import type { PersonBrief } from '#contract'

/** The mark that stands for somebody, in their colour. */
defineProps<{ person: PersonBrief }>()
</script>

<template>
  <span class="mark" :style="{ background: person.colour, color: isLight(person.colour) ? '#1c2b24' : '#ffffff' }" :title="person.name">
    {{ person.mark }}
  </span>
</template>

<style scoped>
.mark {
  display: inline-grid;
  place-items: center;
  min-width: 2.1em;
  height: 2.1em;
  padding: 0 0.35em;
  border-radius: 1.05em;
  font-weight: 700;
  font-size: 0.9em;
}
</style>
