<script setup lang="ts">
import { format } from 'date-fns'

/** The air of the workshop and the time; a touch opens what the turner can set. */
const store = useWorkshop()
const { now } = useClock()
const open = ref(false)
const unsent = useUnsent()
</script>

<template>
  <button type="button" class="air figures" title="Air, units and theme" @click="open = true">
    <span v-if="store.workshop"><span class="wide">Workshop </span>{{ store.units.temperature(store.workshop.celsius) }} · {{ store.workshop.humidity.toFixed(0) }} %</span>
    <span class="sr-only">, set air, units and theme</span><span><template v-if="store.workshop"> · </template>{{ format(now, 'HH:mm') }}</span><span v-if="unsent" role="status"> · {{ unsent }} not sent yet</span>
  </button>
  <ShellSettings v-model:open="open" />
</template>

<style scoped>
.air { position: relative; margin-left: auto; min-height: 44px; padding: 0 0.75rem; background: var(--surface); color: var(--ink-2); font-size: 1rem; cursor: pointer; white-space: nowrap; }
.air:hover { color: var(--ink); }
@media (max-width: 640px) { .wide { display: none; } }
</style>
