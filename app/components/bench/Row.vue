<script setup lang="ts">
import type { ListedPen } from '#contract'
import { layStrip } from '#core/barrel'

/** One pen on a list: its tag, its strip, what it is, what is next, and when. */
const props = defineProps<{ listed: ListedPen, next?: boolean, number?: number, ended?: boolean }>()
const { now } = useClock()
const summary = computed(() => props.listed.summary)
const VIEWS = { 'planned': '', 'in work': 'work', 'finished': 'record', 'set aside': '', 'given up': 'record' }
const to = computed(() => `/pens/${props.listed.pen.id}/${summary.value.broken ? '' : VIEWS[summary.value.stage]}`)
const when = computed(() => {
  const { stage, wait, lastEntryAt, broken } = summary.value
  if (broken) return ''
  if (stage === 'finished') return `${lastEntryAt ? `since ${clockTime(lastEntryAt, now.value)}` : ''}`
  if (stage === 'planned') return 'not begun'
  if (stage === 'set aside' || stage === 'given up') return stage
  return wait && new Date(wait.until) > now.value ? clockTime(wait.until, now.value) : 'free now'
})
const detail = computed(() => {
  const { stage, next, coats } = summary.value
  if (stage === 'finished') return `Finished, ${coats.on} coats`
  return next?.says ?? ''
})
</script>

<template>
  <li>
    <NuxtLink :to="to" class="pen-row figures" :class="{ next, ended }">
      <span class="tag"><PenTag :mark="listed.pen.mark" /><kbd v-if="number && number < 10">{{ number }}</kbd></span>
      <span class="scale" :style="{ '--mm': layStrip(summary.fitting).width }">
        <PenStrip
          :fitting="summary.fitting" :shapes="summary.shapes" :colour="summary.material.colour" :resin="summary.material.resin"
          :label="`${summary.fitting.name} in ${summary.material.name}, to scale`"
        />
      </span>
      <span class="what">
        <b>{{ listed.pen.name }}</b>
        <span v-if="summary.broken" class="detail harm">◆ {{ summary.broken }}</span>
        <span v-else class="detail">{{ detail }}<span v-if="summary.openDefects" class="harm">
          · ◆ {{ summary.openDefects === 1 ? 'a defect' : `${summary.openDefects} defects` }} open</span>
        </span>
      </span>
      <span class="when">{{ when }}</span>
    </NuxtLink>
  </li>
</template>

<style scoped>
li + li { border-top: 1px solid var(--line); }
.pen-row {
  display: grid;
  grid-template-columns: 84px minmax(0, 24rem) minmax(0, 1fr) auto;
  gap: 1.25rem;
  align-items: center;
  min-height: 74px;
  padding: 0.6rem 1rem;
  color: var(--ink);
}
.pen-row:hover { background: color-mix(in srgb, var(--line) 35%, transparent); }
.pen-row.next { background: var(--oxlip); color: var(--on-oxlip); }
.pen-row.next .detail { color: var(--on-oxlip-2); }
.pen-row.next .harm { color: #8a2b1d; }
.tag { display: flex; align-items: center; gap: 0.5rem; }
kbd { font: 400 0.95rem var(--font-sans); color: var(--ink-2); }
.pen-row.next kbd { color: var(--on-oxlip-2); }
.pen-row.ended { animation: ends 0.6s steps(2, jump-none) 4; }
@keyframes ends { to { box-shadow: inset 0 0 0 5px var(--wait); } }
.scale { width: calc(100% * var(--mm) / 143); }
.what { display: grid; min-width: 0; }
.what b { font-size: 1.1rem; font-weight: 700; }
.detail { color: var(--ink-2); }
.when { font-size: 1.1rem; white-space: nowrap; text-align: right; }
@media (max-width: 900px) {
  .pen-row { grid-template-columns: 84px minmax(0, 1fr) auto; gap: 0.4rem 1rem; }
  .scale { grid-column: 1 / -1; grid-row: 2; width: calc(min(100%, 25rem) * var(--mm) / 143); }
}
/* On a phone the name has the whole line, and when it is free stands beside the strip. */
@media (max-width: 640px) {
  .pen-row { grid-template-columns: minmax(76px, auto) minmax(0, 1fr) auto; }
  .what { grid-column: 2 / -1; }
  .scale { grid-column: 1 / 3; }
  .when { grid-row: 2; }
}
</style>
