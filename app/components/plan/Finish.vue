<script setup lang="ts">
import { must, nth } from '#core/sure'
import { counted, day, decimal, formatSpan, millilitres } from '#core/format'
import { refDebounced } from '@vueuse/core'
import { hasFilm, rankedMethods, type Method } from '#core/method'
import {
  chance,
  depthOf,
  layersFor,
  levellingWays,
  methodFigures,
  riskWords,
  stepWords,
  type Plan,
  type PlanTrace,
  type Sizing,
} from '#core/plan'
import { keepsUntil } from '#core/shelf'

/**
 * The finish of a pen: how deep, which of the methods and why, what the blank adds to it, the risk at each levelling, and what it takes
 * from the bottles.
 */
const props = defineProps<{ plan: Plan, traced: PlanTrace, started: boolean }>()
const sizing = defineModel<Sizing | undefined>({ required: true })
const emit = defineEmits<{ keep: [], use: [method: Method] }>()
const methods = useMethods()
const workshop = useWorkshop()
const { units } = storeToRefs(workshop)

const inputs = computed(() => props.plan.inputs)
/** How even the turner’s own levelling is, once something was levelled. */
const even = computed(() => {
  const own = workshop.learnt?.even
  return own && own.levellings >= TOLD_FROM ? own : undefined
})
/** Of fewer levellings nothing is told: they say next to nothing yet. */
const TOLD_FROM = 8
const { change } = useWishes(() => props.plan, sizing)
const depth = computed({ get: () => depthOf(inputs.value.wishes), set: um => change({ depth: um }) })
const film = computed(() => hasFilm(inputs.value.method))
const coats = computed(() => must(props.traced.steps.at(-1), 'a plan ends with handing over').after.coats)
const proud = computed(() => nth(props.traced.ends, 0).proud)
const adjusted = computed(() => layersFor({ ...inputs.value, wishes: { ...inputs.value.wishes, asItStands: false } }).adjustments)
const levellings = computed(() =>
  props.traced.steps.flatMap(one =>
    one.risk
      ? [{ id: one.step.id, title: stepWords(props.plan, one, units.value, props.traced).title, after: one.before.coats, risk: one.risk }]
      : [],
  ),
)

/** Worked out anew a moment after the last change, so that the slider stays smooth. */
const settled = refDebounced(inputs, 250)
const ways = computed(() => levellingWays(settled.value))
const ranked = computed(() =>
  rankedMethods(methods.methods ?? [], settled.value.material).map(({ method, verdict, reasons }) => {
    const figures = methodFigures({ ...settled.value, method })
    const missing = layersFor({ ...settled.value, method }).missing.map(role => role.replace(/ca\b/, 'CA'))
    return {
      method,
      verdict,
      reasons,
      figures,
      missing,
      here: method.id === inputs.value.method.id,
      newer: method.id === inputs.value.method.id && method.version > inputs.value.method.version,
    }
  }),
)
const bottles = computed(() =>
  props.traced.needs.map(need => ({
    ...need,
    left: need.product.bottle?.left,
    until: keepsUntil(need.product),
    own: workshop.fit.products[need.product.id],
  })),
)
const ownWords = ({ build, low, high }: { build: number, low: number, high: number }) =>
  `; yours builds ${decimal(build, 1)} µm a coat (${decimal(low, 1)} to ${decimal(high, 1)})`
const total = computed(() => {
  const costs = bottles.value.flatMap(one => one.cost?.value ?? [])
  return costs.length && costs.length === bottles.value.length ? costs.reduce((sum, cost) => sum + cost, 0) : undefined
})
const SIGN = { for: '+', care: '!', against: '◆' }
</script>

<template>
  <section class="finish sheet figures" aria-labelledby="finish-head">
    <PlanPanelHead
      id="finish-head" title="Finish" keep="Keep this finish" :changed="sizing !== undefined" @undo="sizing = undefined"
      @keep="emit('keep')"
    >
      {{ plan.inputs.method.name }}:
      {{ coats ? counted(coats, 'coat') : 'no coats' }};
      <template v-if="film"><FigureOpen :figure="traced.filmThinnest" /> sure at the thinnest;</template>
      ends turned
      {{ Math.abs(proud) < 0.005 ? 'flush' : `${units.length(Math.abs(proud))} ${proud < 0 ? 'under' : 'proud'}` }}.
      <template v-if="started">What is done stays done.</template>
    </PlanPanelHead>
    <div class="halves">
      <div class="side">
        <PlanDepth v-model="depth" />
        <div v-if="adjusted.length" class="added">
          <p v-for="one in adjusted" :key="one.says"><b>{{ one.says }}.</b> <span class="quiet">{{ one.why }}.</span></p>
          <label>
            <input
              type="checkbox" :checked="plan.inputs.wishes.asItStands ?? false"
              @change="change({ asItStands: ($event.target as HTMLInputElement).checked || undefined })"
            > As the method stands, without what the blank asks for
          </label>
        </div>
        <div v-if="levellings.length">
          <h3>At each levelling</h3>
          <p class="quiet">Hardly: under 1 in 1000. Small: under 1 in 50. A risk: under 1 in 10. High: from there on.</p>
          <p v-if="even" class="quiet">
            Your own levellings: {{ even.through }} of {{ even.levellings }} went through. You take
            {{ decimal(even.over.likely, 2) }} times what the model reckons ({{ decimal(even.over.low, 2) }} to
            {{ decimal(even.over.high, 2) }}), and your barrels are {{ decimal(even.wood.likely, 2) }} times as uneven
            ({{ decimal(even.wood.low, 2) }} to {{ decimal(even.wood.high, 2) }}). New plans reckon with that.
          </p>
          <ul class="risks">
            <li v-for="one in levellings" :key="one.id" :class="{ harm: one.risk.edges >= 0.1 }">
              <b>{{ one.title }}</b>
              <span>after {{ one.after }} {{ one.after === 1 ? 'coat' : 'coats' }}</span>
              <span>{{ one.risk.edges >= 0.1 ? '◆ ' : '' }}{{ riskWords(one.risk) }} at the edges; on the open barrel
                {{ chance(one.risk.open) }}</span>
            </li>
          </ul>
        </div>
        <table v-if="ways" class="ways">
          <caption>Levelled two ways</caption>
          <thead>
            <tr>
              <th scope="col">levelled</th>
              <th scope="col">coats</th>
              <th scope="col">sure, µm</th>
              <th scope="col">finish, hands on</th>
              <th scope="col">worst risk</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="[name, way] in [['in stages of three', ways.staged], ['all at the end', ways.atTheEnd]] as const" :key="name">
              <th scope="row">{{ name }}</th>
              <td>{{ way.coats }}</td>
              <td>{{ decimal(way.traced.filmThinnest.value) }}</td>
              <td>{{ formatSpan(way.finishing.value) }}</td>
              <td>{{ way.risk ? chance(way.risk.edges) : 'none' }}</td>
            </tr>
          </tbody>
        </table>
        <div v-if="bottles.length">
          <h3>From the bottles</h3>
          <ul class="bottles">
            <li v-for="one in bottles" :key="one.product.id">
              <b>{{ one.product.name }}</b> <FigureOpen :figure="one.volume">
                {{ millilitres(one.volume.value) }}, {{ one.drops }}
                {{ one.drops === 1 ? 'drop' : 'drops' }}
              </FigureOpen>
              <span class="quiet">
                <template v-if="one.left !== undefined">, {{ millilitres(one.left) }} left</template>
                <template v-if="one.until">, keeps until {{ day(one.until) }}</template>
                <template v-if="one.cost">, costs <FigureOpen :figure="one.cost" /></template>
                {{ one.own?.measurements ? ownWords(one.own) : '' }}
              </span>
            </li>
          </ul>
          <p class="quiet">
            <template v-if="total !== undefined">{{ workshop.inMoney(total) }} for the finish. </template>
            <NuxtLink class="way" to="/shelf/finishes">Bottles and labels on the shelf</NuxtLink>
          </p>
        </div>
      </div>
      <div class="choices">
        <h3>On {{ plan.inputs.material.name.toLowerCase() }}, what suits first</h3>
        <ul>
          <li v-for="one in ranked" :key="one.method.id" :class="{ here: one.here, poor: one.verdict === 'does not suit' }">
            <button type="button" :aria-pressed="one.here && !one.newer" @click="(!one.here || one.newer) && emit('use', one.method)">
              <span class="name">
                <b>{{ one.method.name }}</b>
                <span class="verdict">{{ one.verdict === 'does not suit' ? '◆ does not suit' : one.verdict }}</span>
              </span>
              <span v-if="one.missing.length" class="reason against">◆ Not on the shelf: {{ one.missing.join(', ') }}</span>
              <span v-else class="quiet">{{ filmWords(one.method, one.figures) }} ·
                {{ formatSpan(one.figures.finishing.value) }} hands on · ready after
                {{ formatSpan(one.figures.ready.value) }}<template v-if="one.newer">
                  · <b>changed since: take version {{ one.method.version }}</b>
                </template>
              </span>
              <span v-for="reason in one.reasons" :key="reason.says" :class="['reason', reason.weight]">
                {{ SIGN[reason.weight] }} {{ reason.says }}
              </span>
            </button>
          </li>
        </ul>
      </div>
    </div>
  </section>
</template>

<style scoped>
.finish { display: grid; gap: 0.9rem; padding: 1rem 1.2rem; }
.halves { display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); gap: 2.2rem; align-items: start; }
.side, .added { display: grid; gap: 0.9rem; min-width: 0; }
.added { gap: 0.3rem; }
h3 { font-size: 1.05rem; margin-bottom: 0.3rem; }
label { display: flex; gap: 0.5rem; align-items: center; min-height: 44px; }
label input { width: 1.2rem; height: 1.2rem; accent-color: var(--leaf); flex: none; }
.risks li {
  display: grid;
  grid-template-columns: minmax(7rem, 9rem) 7.5rem minmax(0, 1fr);
  gap: 0 0.8rem;
  padding: 0.25rem 0;
  border-top: 1px solid var(--line);
}
.risks span { color: var(--ink-2); }
.risks .harm span { color: inherit; }
.ways { width: 100%; border-collapse: collapse; }
.ways caption { text-align: left; font: 700 1.05rem var(--font-head); padding-bottom: 0.3rem; }
.ways th, .ways td { text-align: right; padding: 0.25rem 0.4rem; border-top: 1px solid var(--line); font-weight: 400; }
.ways thead th { color: var(--ink-2); font-size: 0.92rem; border: 0; }
.ways th:first-child { text-align: left; padding-left: 0; }
.bottles li { padding: 0.25rem 0; border-top: 1px solid var(--line); }
.way { display: inline-grid; align-items: center; min-height: 32px; color: var(--leaf); text-decoration: underline; }
.choices ul { display: grid; gap: 0.4rem; max-height: 34rem; overflow-y: auto; padding: 3px; }
.choices button {
  display: grid;
  gap: 0.15rem;
  width: 100%;
  padding: 0.5rem 0.8rem;
  border: 2px solid var(--line);
  border-radius: 8px;
  text-align: left;
  cursor: pointer;
  line-height: 1.35;
}
.choices button:hover { border-color: var(--ink-2); }
.here button { border-color: var(--ink); }
.name { display: flex; justify-content: space-between; gap: 1rem; }
.verdict { color: var(--leaf); white-space: nowrap; }
.poor .verdict { color: var(--brick); }
.reason { font-size: 0.95rem; color: var(--ink-2); }
.reason.for { color: var(--leaf); }
.reason.against { color: var(--brick); }
@container panels (max-width: 1000px) { .halves { grid-template-columns: minmax(0, 1fr); } }
@container panels (max-width: 560px) { .risks li { grid-template-columns: minmax(0, 1fr); } .ways { font-size: 0.88rem; } }
</style>
