<script setup lang="ts">
import { barrelNames } from '#core/barrel'
import type { BenchState } from '#core/bench'
import { capital, decimal } from '#core/format'
import { riskWords, stepSpeed, type Plan, type PlanTrace, type StepTrace } from '#core/plan'
import { cautionsFor } from '#reference'

/** What one step of a plan opens to: how, its figures, what may be put before it, and where it can hurt. */
const props = defineProps<{
  plan: Plan
  traced: PlanTrace
  state: BenchState
  one: StepTrace
  status: BenchState['steps'][number]['status']
  /** How it is done, or why, whichever does not stand in its row. */
  says: string
}>()
const { units, workshop } = storeToRefs(useWorkshop())
const caution = computed(() => cautionsFor(props.one.step, props.plan.inputs.material, workshop.value?.cautions)[0])
const speed = computed(() => stepSpeed(props.plan, props.one.step, props.traced))
</script>

<template>
  <div class="more">
    <p>{{ says }}</p>
    <dl>
      <div><dt>Hands on</dt><dd><FigureOpen :figure="one.handsOn" /></dd></div>
      <div v-if="one.wait">
        <dt>Wait before it</dt>
        <dd>
          <FigureOpen :figure="one.wait.length" />
          <template v-if="one.wait.latest">, at the latest after <FigureOpen :figure="one.wait.latest" /></template>
        </dd>
      </div>
      <div v-if="one.risk"><dt>Going through</dt><dd>{{ riskWords(one.risk) }} at the edges</dd></div>
      <template v-if="one.grit">
        <div><dt>Grain</dt><dd><FigureOpen :figure="one.grit.grain" /></dd></div>
        <div><dt>Takes off</dt><dd><FigureOpen :figure="one.grit.removes" /></dd></div>
        <div><dt>Leaves scratches of</dt><dd><FigureOpen :figure="one.grit.leaves" /></dd></div>
      </template>
      <div v-if="speed">
        <dt>Speed</dt>
        <dd>
          <FigureOpen :figure="speed.surface">{{ speed.spindle.value }} rev/min, {{ units.speed(speed.surface.value) }}</FigureOpen>;
          usual {{ speed.usual }}
        </dd>
      </div>
      <template v-if="one.step.kind === 'cut'">
        <div v-for="piece in traced.stick.pieces" :key="piece.barrel">
          <dt>{{ capital(barrelNames[piece.barrel]) }}</dt>
          <dd><FigureOpen :figure="piece.length" /></dd>
        </div>
        <div><dt>From a stick of</dt><dd><FigureOpen :figure="traced.stick.total" /></dd></div>
      </template>
      <template v-if="one.step.kind === 'drill'">
        <div v-for="barrel in traced.size.barrels" :key="barrel.barrel.id">
          <dt>{{ capital(barrelNames[barrel.barrel.id]) }}</dt>
          <dd><FigureOpen :figure="barrel.drilling.depth" /> deep, wander <FigureOpen :figure="barrel.section.wander" /></dd>
        </div>
      </template>
      <template v-if="one.step.kind === 'tube'">
        <div v-for="barrel in traced.size.barrels" :key="barrel.barrel.id">
          <dt>{{ capital(barrelNames[barrel.barrel.id]) }}</dt>
          <dd><FigureOpen :figure="barrel.glue.volume" /> of glue over <FigureOpen :figure="barrel.glue.area" /> of brass</dd>
        </div>
      </template>
      <PlanParts v-if="one.step.kind === 'parts'" :fitting="plan.inputs.fitting" />
      <template v-if="one.step.kind === 'turn'">
        <div v-for="end in traced.ends" :key="end.barrel + end.end">
          <dt>{{ capital(barrelNames[end.barrel]) }}, {{ end.end }} end</dt>
          <dd><FigureOpen :figure="end.diameter" />, wall <FigureOpen :figure="end.wall" /></dd>
        </div>
      </template>
      <div v-if="one.step.kind === 'coat' && one.after.film.mean > 0">
        <dt>Film after it</dt>
        <dd>{{ decimal(one.after.film.mean) }} µm</dd>
      </div>
    </dl>
    <PlanBefore v-if="status === 'open'" :plan="plan" :state="state" :step="one.step" />
    <details v-if="caution" class="caution">
      <summary class="harm">◆ {{ caution.short }}</summary>
      <p class="quiet">{{ caution.more }}</p>
    </details>
    <PlanOwnCaution :kind="one.step.kind" />
  </div>
</template>

<style scoped>
.caution summary { min-height: 24px; cursor: help; list-style: none; }
.more { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.6rem; padding: 0.4rem 0.9rem 0.9rem 3.3rem; }
dl { display: flex; flex-wrap: wrap; gap: 0.4rem 1.5rem; }
dl div { display: flex; gap: 0.5rem; }
dt { color: var(--ink-2); }
@media (max-width: 640px) { .more { padding-left: 1rem; } }
</style>
