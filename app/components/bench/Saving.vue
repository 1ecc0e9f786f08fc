<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import type { Backups } from '#contract'

/** Reminds, once in a while, that all this lies on one disk. */
const told = shallowRef<Backups>()
onMounted(async () => {
  // Nobody misses it where it cannot be asked.
  told.value = await api('GET /api/backups').catch(() => undefined)
})
const WEEK = 7 * 86_400_000
const { now } = useClock()
const later = useLocalStorage('oxlip-backup-later', 0)
const isDue = computed(() => told.value?.isDue && now.value.getTime() > later.value)
const says = computed(() => {
  const last = told.value?.last
  return last ? `What you keep here was saved last on ${pastDay(last.made)}.` : 'What you keep here was not saved elsewhere yet.'
})
</script>

<template>
  <p v-if="isDue" class="saving">
    {{ says }} <NuxtLink to="/shelf/backup">Save it</NuxtLink>
    <button type="button" @click="later = Date.now() + WEEK">Next week</button>
  </p>
</template>

<style scoped>
.saving { display: flex; flex-wrap: wrap; align-items: center; gap: 0.2rem 1rem; }
a { text-decoration: underline; text-underline-offset: 3px; }
button { min-height: 32px; text-decoration: underline; text-underline-offset: 3px; cursor: pointer; }
</style>
