<script setup lang="ts">
import { capital } from '#core/format'
import type { Question, StandsOut } from '#core/findings'

/** What stands out in the log; that nothing does is an answer too. */
defineProps<{ noticed: readonly StandsOut[], counting: boolean }>()
const emit = defineEmits<{ ask: [question: Question] }>()
</script>

<template>
  <section class="sheet" aria-labelledby="noticed">
    <h2 id="noticed">What stands out</h2>
    <p v-if="counting" class="quiet" role="status">The pens are being counted. Questions can be asked meanwhile.</p>
    <p v-else-if="!noticed.length" class="quiet">
      Nothing does. Every kind of defect was looked at by every way of working, and none differs by more than chance would have it among so
      many looks.
    </p>
    <ul v-else>
      <li v-for="one in noticed" :key="one.of + one.trait + one.value">
        <button type="button" @click="emit('ask', { of: one.of, by: one.trait })">
          <b>{{ ofLabel(one.of) }}</b>, {{ byLabel(one.trait) }}: <b>{{ valueLabel(one.trait, one.value) }}</b>
        </button>
        <p>{{ capital(differenceWords(one)) }}. <span class="quiet">Since {{ pastDay(one.since) }}.</span></p>
        <p v-if="tryWords(one.trait, one.by.value > 0)" class="quiet">{{ tryWords(one.trait, one.by.value > 0) }}</p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section { display: grid; gap: 0.6rem; padding: 1rem 1.1rem; }
ul { display: grid; gap: 0.9rem; }
button { min-height: 32px; text-align: left; cursor: pointer; }
button { text-decoration: underline; text-decoration-color: var(--line); text-underline-offset: 4px; }
button:hover { text-decoration-color: var(--ink); }
</style>
