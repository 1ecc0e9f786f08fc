<script setup lang="ts">
import type { Refused } from '~/utils/refusal'

/** What a page shows when it cannot be loaded, with what to do next. */
defineProps<{ refused: Refused }>()
defineEmits<{ again: [] }>()
</script>

<template>
  <section class="trouble sheet" role="alert">
    <h1>{{ refused.status === 404 ? 'Not here' : 'This could not be fetched' }}</h1>
    <p>{{ refused.message }}</p>
    <p v-if="refused.status === 0 || refused.status >= 500" class="quiet">It is asked again by itself.</p>
    <p class="ways">
      <button v-if="refused.status !== 404" type="button" class="key next" @click="$emit('again')">Try again</button>
      <NuxtLink v-else class="key next" to="/pens">All pens</NuxtLink>
    </p>
  </section>
</template>

<style scoped>
.trouble { max-width: 40rem; margin: 2rem 0; padding: 1.5rem; display: grid; gap: 0.75rem; }
.ways { margin-top: 0.5rem; }
</style>
