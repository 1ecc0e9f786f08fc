<script setup lang="ts">
import { decimal } from '#core/format'
import { standingNow, type BenchState } from '#core/bench'
import type { Plan, PlanTrace } from '#core/plan'

/** The wall of the barrel coat by coat: what is on, the one to come in yellow, the rest dashed. */
const props = defineProps<{ plan: Plan, state: BenchState, traced: PlanTrace }>()

const coats = computed(() =>
  standingNow(props.state.steps)
    .filter(one => one.status !== 'skipped')
    .map(one => ({
      id: one.step.id,
      on: one.status === 'done',
      coming: props.state.next?.id === one.step.id,
      name: one.step.kind === 'coat' ? one.step.product.name : '',
    })),
)
const film = computed(() => {
  const done = new Set(props.state.steps.filter(one => one.status === 'done').map(one => one.step.id))
  return props.traced.steps.findLast(one => done.has(one.step.id))?.after.film.mean ?? 0
})
const last = computed(() => props.traced.filmLeft.value)
const layer = computed(() => Math.min(18, 150 / Math.max(1, coats.value.length)))
</script>

<template>
  <figure class="stack figures" :aria-label="`${state.coats.on} of ${state.coats.planned} coats on`">
    <ol>
      <li
        v-for="coat in [...coats].reverse()" :key="coat.id" :class="{ on: coat.on, coming: coat.coming }"
        :style="{ '--layer': `${layer}px` }"
      >
        <span v-if="coat.coming">{{ coat.name }}</span>
      </li>
      <li class="wood" :style="{ background: plan.inputs.material.colour }"><span>{{ plan.inputs.material.name.toLowerCase() }}</span></li>
      <li class="brass"><span>tube</span></li>
    </ol>
    <figcaption>
      <span><b>{{ state.coats.on }}</b> on<small v-if="film >= 0.5">{{ decimal(film) }} µm</small></span>
      <span>
        <b>{{ state.coats.planned - state.coats.on }}</b> to come<small v-if="last >= 0.5">{{ decimal(last) }} µm in the end</small>
      </span>
    </figcaption>
  </figure>
</template>

<style scoped>
.stack { display: grid; gap: 0.5rem; }
ol { display: grid; gap: 2px; }
li { position: relative; width: 13rem; height: var(--layer); border-radius: 2px; border: 1.5px dashed var(--film); opacity: 0.55; }
li span { position: absolute; left: calc(100% + 0.7rem); top: 50%; transform: translateY(-50%); white-space: nowrap; color: var(--ink-2); }
li.on { background: var(--film); border-style: solid; opacity: 1; }
li.coming { background: var(--oxlip); border-color: var(--oxlip); border-style: solid; opacity: 1; width: 13.4rem; }
li.coming span { color: var(--ink); font-weight: 700; }
li.wood { height: 32px; border: 0; opacity: 1; }
li.brass { height: 12px; border: 0; background: var(--brass); opacity: 1; }
@media (max-width: 820px) { li { height: calc(var(--layer) * 0.6); } li.wood { height: 20px; } }
figcaption { display: flex; gap: 2rem; color: var(--ink-2); font-size: 1.15rem; }
figcaption b { color: var(--ink); font: 700 3.4rem/1 var(--font-head); }
figcaption small { display: block; font-size: 0.95rem; }
</style>
