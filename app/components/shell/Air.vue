<script setup lang="ts">
import { decimal } from '#core/format'
import { format } from 'date-fns'

/** The air of the workshop and the time; a touch opens what the turner can set. */
const store = useWorkshop()
const workshops = useWorkshops()
const { minute: now } = useClock()
const open = ref(false)
/** Fetched when it is opened first. */
const wanted = ref(false)
watch(open, () => {
  wanted.value = true
}, { once: true })
const unsent = useUnsent()
const away = useAway()
const me = useMe()
</script>

<template>
  <button type="button" class="air figures" title="Air, units, theme and workshops" @click="open = true">
    <span v-if="store.workshop">
      <span class="wide"><span class="name">{{ workshops.entered?.name ?? 'Workshop' }}</span> · </span>
      {{ store.units.temperature(store.workshop.celsius) }}
      · {{ decimal(store.workshop.humidity) }} %</span>
    <span class="sr-only">, set air, units and theme, change workshop</span>
    <span><template v-if="store.workshop"> · </template>{{ format(now, 'HH:mm') }}</span>
    <span v-if="me.person"> · {{ me.person.mark }}</span>
    <span v-if="away || unsent" class="trouble">
      <span v-if="away" role="status">{{ away }}</span>
      <span v-if="away && unsent"> · </span>
      <span v-if="unsent" role="status">{{ unsent }} not sent yet</span>
    </span>
  </button>
  <LazyShellSettings v-if="wanted" v-model:open="open" />
</template>

<style scoped>
.air {
  position: relative;
  margin-left: auto;
  min-height: 44px;
  padding: 0 0.75rem;
  background: var(--surface);
  color: var(--ink-2);
  font-size: 1rem;
  line-height: 1.25;
  cursor: pointer;
  white-space: nowrap;
}
/* A line of its own, so that nothing is cut off. */
.trouble { display: block; color: var(--ink); }
/* Wide enough for what comes into it, so that nothing moves when it does. */
@media (min-width: 821px) { .air { min-width: 19rem; text-align: right; } }
.air:hover { color: var(--ink); }
.name { display: inline-block; max-width: 14rem; overflow: hidden; text-overflow: ellipsis; vertical-align: bottom; }
@media (max-width: 640px) { .wide { display: none; } }
</style>
