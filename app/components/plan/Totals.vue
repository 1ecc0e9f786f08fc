<script setup lang="ts">
import { addSeconds } from 'date-fns'
import { mayGo, type Board } from '#core/bench'
import type { PlanTrace } from '#core/plan'

/** The sums of a plan: hands-on time, film, and when it could leave the shop if it were begun now. */
const props = defineProps<{ traced: PlanTrace, begun?: boolean, board?: Board }>()
const { minute: now } = useClock()
/** When a pen that is begun may go: what is done, what waits and what is left, all counted. */
const goes = computed(() => (props.begun && props.board ? mayGo(props.board, now.value.toISOString())?.at : undefined))
const lastCoat = computed(() => props.traced.steps.findLast(one => one.step.kind === 'coat'))
</script>

<template>
  <dl class="totals figures">
    <div><dd><FigureOpen :figure="traced.handsOn" /></dd><dt>hands on</dt></div>
    <div v-if="traced.filmLeft.value >= 1"><dd><FigureOpen :figure="traced.filmThinnest" /></dd><dt>least film, 95 % sure</dt></div>
    <div v-if="!begun && lastCoat"><dd>{{ clockTime(addSeconds(now, lastCoat.ends), now) }}</dd><dt>last coat, if begun now</dt></div>
    <div v-if="goes"><dd>{{ clockTime(goes, now) }}</dd><dt>may be handed over from then</dt></div>
    <div v-else-if="!begun"><dd><FigureOpen :figure="traced.untilHandOver" /></dd><dt>to hand over</dt></div>
  </dl>
</template>

<style scoped>
.totals { display: flex; flex-wrap: wrap; gap: 0.4rem 1.6rem; }
.totals div { display: flex; align-items: baseline; gap: 0.5rem; }
dd { font: 700 1.4rem var(--font-head); }
dt { order: 2; color: var(--ink-2); }
</style>
