<script setup lang="ts">
import { abrasiveName } from '#core/abrasives'
import { leftOut, settledSteps, type BenchState } from '#core/bench'
import { counted, micrometres } from '#core/format'
import type { Product, ShelfAbrasive } from '#core/shelf'
import {
  extraOffers, isExtraDone, leastFilm, trace, withExtra, type ExtraOffer, type ExtraWork, type Plan, type PlanTrace,
} from '#core/plan'

/** What was done and no plan asked for: each is one tap, told with what it leaves. */
const props = defineProps<{ plan: Plan, traced: PlanTrace, state: BenchState }>()
const emit = defineEmits<{
  beside: [work: ExtraWork, what: string | null, item?: ShelfAbrasive | Product]
  wait: [seconds: number]
  remark: [text: string]
  picture: [file: File, text: string]
  close: []
}>()
const workshop = useWorkshop()
const heading = useTemplateRef<HTMLElement>('heading')
onMounted(() => heading.value?.focus())

const SAYS: Record<ExtraWork, string> = {
  'coat': 'Another coat of',
  'take off': 'The last coat is wiped off',
  'level': 'Levelled again with',
  'smooth': 'Sanded the film again with',
  'pads': 'Ran the pads again',
  'polish': 'Polished again with',
  'sand': 'Sanded again with',
  'burnish': 'Burnished with its shavings',
  'harden': 'Hardened with thin CA',
}
const underWay = computed(() => props.state.next?.id ?? null)
const out = computed(() => leftOut(props.state.steps))
const least = computed(() => leastFilm(props.plan.inputs).value)

interface Choice { id: string | null, item?: ShelfAbrasive | Product, name: string, leaves: string, thin: boolean }
/** What came onto the shelf since it was planned goes with the entry itself. */
const isPlanned = (id: string | null) => {
  const { abrasives, products } = props.plan.inputs.shelf
  return [...abrasives, ...products].some(one => one.id === id)
}
/** What it leaves, worked out as if it had been entered: which grits have to follow, and the film where it is thinnest. */
function choiceOf(work: ExtraWork, item: ShelfAbrasive | Product | undefined, name: string): Choice {
  const id = item?.id ?? null
  const beside = { settled: settledSteps(props.state), leftOut: out.value }
  const now = withExtra(props.plan, { key: 'seen', work, with: id, step: underWay.value, ...(item ? { item } : {}) }, beside)
  const again = now.steps.filter(step => step.mend === 'seen' && !isExtraDone(step, 'seen')).length
  const before = props.traced.filmThinnest.value
  const film = work === 'coat' || work === 'sand' ? before : trace(now, out.value).filmThinnest.value
  const changes = Math.abs(film - before) >= 0.5
  const leaves = [
    ...(changes ? [`${micrometres(film)} µm left in the end`] : []),
    ...(again ? [work === 'take off' ? 'it goes on again' : `${counted(again, 'step')} to follow`] : []),
  ]
  const thin = changes && (film < least.value / 2 || (film < least.value && before >= least.value))
  return { id, name, leaves: leaves.join(', '), thin, ...(item && !isPlanned(id) ? { item } : {}) }
}
const offers = computed(() =>
  extraOffers(props.plan, underWay.value, out.value, workshop.shelf).map(({ work, abrasives, products, usual }: ExtraOffer) => ({
    work,
    usual,
    choices: [
      ...abrasives.map(one => choiceOf(work, one, abrasiveName(one))),
      ...products.map(one => choiceOf(work, one, one.name)),
      ...(abrasives.length || products.length ? [] : [choiceOf(work, undefined, '')]),
    ],
  })),
)
const single = computed(() => offers.value.filter(one => one.choices[0]?.id === null))
const many = computed(() => offers.value.filter(one => one.choices[0]?.id !== null))

const waits = computed(() => props.state.waits.some(one => one.before === underWay.value))
const LONGER = [['5 minutes', 300], ['half an hour', 1800], ['3 hours', 10_800], ['12 hours', 43_200]] as const
const text = ref('')
function keep() {
  if (text.value.trim()) emit('remark', text.value.trim())
}
</script>

<template>
  <section class="sheet figures beside" aria-labelledby="beside" @keydown.esc="emit('close')">
    <header>
      <h2 id="beside" ref="heading" tabindex="-1">What else was done?</h2>
      <button type="button" class="key" @click="emit('close')">Close</button>
    </header>
    <p v-if="single.length" class="keys">
      <button v-for="offer in single" :key="offer.work" type="button" class="key" @click="emit('beside', offer.work, null)">
        <b>{{ SAYS[offer.work] }}</b>
        <span v-if="offer.choices[0]?.leaves" :class="offer.choices[0].thin ? 'harm' : 'quiet'">
          <template v-if="offer.choices[0].thin">◆ </template>{{ offer.choices[0].leaves }}
        </span>
      </button>
    </p>
    <div v-for="offer in many" :key="offer.work" role="group" :aria-label="SAYS[offer.work]" class="with">
      <h3>{{ SAYS[offer.work] }}</h3>
      <p class="keys">
        <button
          v-for="one in offer.choices" :key="one.id ?? ''" type="button" class="key" :class="{ usual: one.id === offer.usual }"
          @click="emit('beside', offer.work, one.id, one.item)"
        >
          <b>{{ one.name }}</b>
          <span v-if="one.leaves" :class="one.thin ? 'harm' : 'quiet'"><template v-if="one.thin">◆ </template>{{ one.leaves }}</span>
        </button>
      </p>
    </div>
    <p v-if="!offers.length" class="quiet">Nothing has been turned yet: what is done beside the plan begins at the lathe.</p>
    <div v-if="waits" role="group" aria-label="Let it wait longer" class="with">
      <h3>Let it wait longer, from now</h3>
      <p class="keys">
        <button v-for="[name, seconds] in LONGER" :key="name" type="button" class="key" @click="emit('wait', seconds)">
          <b>{{ name }}</b>
        </button>
      </p>
    </div>
    <form class="with" @submit.prevent="keep">
      <h3><label for="remark">A remark, for the record</label></h3>
      <p class="keys">
        <input id="remark" v-model="text" class="field-plain text" maxlength="500" autocomplete="off">
        <button type="submit" class="key" :disabled="!text.trim()"><b>Keep</b></button>
        <FieldCamera label="With a picture" @taken="emit('picture', $event, text)" />
      </p>
    </form>
  </section>
</template>

<style scoped>
.beside { display: grid; gap: 0.9rem; padding: 1rem 1.25rem; }
header { display: flex; gap: 1rem; align-items: center; justify-content: space-between; }
h2 { font-size: 1.7rem; outline: none; }
h3 { font: 700 1.1rem/1.25 var(--font-sans); }
.with { display: grid; grid-template-columns: 11rem minmax(0, 1fr); gap: 0.4rem 1rem; align-items: baseline; }
.keys { display: flex; flex-wrap: wrap; gap: 0.5rem; }
.key { min-height: 64px; display: grid; gap: 0.1rem; align-content: center; justify-items: start; text-align: left; }
.key b { font-size: 1.15rem; }
.key span { font-size: 0.95rem; }
.key.usual { border-color: var(--ink-2); }
.text { flex: 1 1 14rem; min-height: 64px; font-size: 1.15rem; }
@media (max-width: 820px) { .with { grid-template-columns: minmax(0, 1fr); } }
@media (max-width: 640px) {
  .keys { display: grid; grid-template-columns: repeat(auto-fill, minmax(8.4rem, 1fr)); }
  .text { grid-column: 1 / -1; }
}
</style>
