<script setup lang="ts">
import { nth } from '#core/sure'
import { capital, decimal, formatSpan } from '#core/format'
import type { BenchState } from '#core/bench'
import { barrelNames } from '#core/barrel'
import { riskWords, stepSpeed, stepWords, type Plan, type PlanTrace, type Step } from '#core/plan'
import { cautionsFor } from '#reference'

/** The steps of a plan as rows; the next one is yellow, the chosen one stands open, a run of done ones is folded. */
const props = defineProps<{ plan: Plan, traced: PlanTrace, state: BenchState, chosen: string | null }>()
const emit = defineEmits<{ choose: [step: string | null] }>()
const { units } = storeToRefs(useWorkshop())

const rows = computed(() =>
  props.traced.steps.map((one, index) => ({
    one,
    index,
    words: stepWords(props.plan, one, units.value, props.traced),
    status: nth(props.state.steps, index).status,
    next: props.state.next?.id === one.step.id,
    caution: cautionsFor(one.step)[0],
    speed: one.step.id === props.chosen ? stepSpeed(props.plan, one.step, props.traced) : undefined,
  })),
)
/** The run of settled steps at the start, folded away so that the next one is in sight. */
const settled = computed(() => {
  const first = rows.value.findIndex(row => row.status === 'open')
  return first < 0 ? 0 : first
})
const unfolded = ref(false)
const shown = computed(() =>
  unfolded.value || settled.value < 3
    ? rows.value
    : rows.value.filter(row => row.index >= settled.value || row.one.step.id === props.chosen),
)
/** Cutting and turning are about their figures: these stand in the row, the reason below. */
const figuresFirst = (step: Step) => step.kind === 'cut' || step.kind === 'turn'
const toggle = (id: string) => emit('choose', id === props.chosen ? null : id)
</script>

<template>
  <ol class="sheet figures">
    <li v-if="settled >= 3" class="done">
      <button type="button" class="head fold" :aria-expanded="unfolded" @click="unfolded = !unfolded">
        <span class="number" aria-hidden="true">✓</span>
        <b>{{ settled }} steps done</b>
        <span class="why">{{ rows[0]!.words.title }} to {{ rows[settled - 1]!.words.title }}</span>
        <span class="time">{{ unfolded ? 'fold' : 'show' }}</span>
      </button>
    </li>
    <li
      v-for="{ one, index, words, status, next, caution, speed } in shown" :key="one.step.id"
      :class="[status, { next, chosen: one.step.id === chosen }]"
    >
      <button type="button" class="head" :aria-expanded="one.step.id === chosen" @click="toggle(one.step.id)">
        <span class="number" aria-hidden="true">{{ status === 'done' ? '✓' : status === 'skipped' ? '–' : next ? '▸' : index + 1 }}</span>
        <span class="sr-only">{{ { done: 'Done:', skipped: 'Left out:', open: next ? 'Next:' : '' }[status] }}</span>
        <b>{{ words.title }}</b>
        <span class="why">{{ figuresFirst(one.step) ? words.how : words.why }}</span>
        <span class="time">{{ status === 'skipped' ? '' : formatSpan(one.handsOn.value) }}<small v-if="one.wait">after
          {{ formatSpan(one.wait.length.value) }}</small>
        </span>
      </button>
      <div v-if="one.step.id === chosen" class="more">
        <p>{{ figuresFirst(one.step) ? words.why : words.how }}</p>
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
        <details v-if="caution" class="caution">
          <summary class="harm">◆ {{ caution.short }}</summary>
          <p class="quiet">{{ caution.more }}</p>
        </details>
      </div>
    </li>
  </ol>
</template>

<style scoped>
ol { overflow: hidden; }
li + li { border-top: 1px solid var(--line); }
.head {
  display: grid;
  grid-template-columns: 1.4rem minmax(6.5rem, 9.4rem) minmax(0, 1fr) auto;
  gap: 0.7rem;
  align-items: baseline;
  width: 100%;
  min-height: 40px;
  padding: 0.5rem 0.8rem;
  text-align: left;
  cursor: pointer;
  color: var(--ink);
}
.head:hover { background: color-mix(in srgb, var(--line) 35%, transparent); }
.number { text-align: right; color: var(--ink-2); }
.why { color: var(--ink-2); font-size: 0.95rem; line-height: 1.35; }
.done:not(.chosen) .why { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
.time { text-align: right; white-space: nowrap; display: grid; }
.time small { color: var(--ink-2); font-size: 0.82rem; }
.done .head, .skipped .head { color: var(--ink-2); }
.skipped b { text-decoration: line-through; }
.next .head { background: var(--oxlip); color: var(--on-oxlip); }
.next .why, .next .number, .next small { color: var(--on-oxlip-2); }
.chosen .head { box-shadow: inset 3px 0 var(--ink); }
.caution summary { min-height: 24px; cursor: help; list-style: none; }
.more { display: grid; gap: 0.6rem; padding: 0.4rem 0.9rem 0.9rem 3.3rem; }
dl { display: flex; flex-wrap: wrap; gap: 0.4rem 1.5rem; }
dl div { display: flex; gap: 0.5rem; }
dt { color: var(--ink-2); }
@media (max-width: 640px) {
  .head { grid-template-columns: 1.4rem minmax(0, 1fr) auto; }
  .why { grid-column: 2 / -1; grid-row: 2; }
  .more { padding-left: 1rem; }
}
</style>
