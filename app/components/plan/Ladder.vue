<script setup lang="ts">
import { AbrasiveError, abrasiveName, grainSize, typedLadder } from '#core/abrasives'
import { gritAtWork, ladderReasons, proposals, reviewOf, sandingClass, usableBare, type LadderReasons, type Plan, type PlanTrace, type Proposal, type Sizing } from '#core/plan'
import { formatSpan } from '#core/units'
import { abrasives } from '#reference'
import type { WholePen } from '~~/server/api/pens/[id]/index.get'

/** The bare blank's ladder as rows that can be dragged, left out, added and kept; what each is there for, what is wrong with the order, and other ladders to choose from. */
const props = defineProps<{ plan: Plan, traced: PlanTrace, pen: string, started: boolean }>()
const sizing = defineModel<Sizing | undefined>({ required: true })
const emit = defineEmits<{ keep: [] }>()
const workshop = useWorkshop()
const pens = usePens()
const { units } = storeToRefs(workshop)

const wishes = computed(() => props.plan.inputs.wishes)
function change(part: Sizing) {
  const { tool: _t, film: _f, ...kept } = wishes.value
  sizing.value = { ...kept, ...part }
}
const steps = computed(() => props.plan.steps.flatMap(step => step.kind === 'sand' ? [step] : []))
const ids = computed(() => steps.value.map(step => step.abrasive.id))
const review = computed(() => reviewOf(props.plan, props.traced))
/** What the search follows from; a shape or an end of one's own changes nothing in it, and the search is not made again for every pixel of a drag. */
const searched = computed(() => {
  const { shapes: _s, ends: _e, ...asked } = wishes.value
  const { shelf, material, fitting, own } = props.plan.inputs
  return JSON.stringify([asked, shelf.abrasives, material, fitting, own])
})
const reasons = shallowRef<LadderReasons>()
const offers = shallowRef<Proposal[]>([])
watch(searched, () => {
  reasons.value = wishes.value.ladder ? undefined : ladderReasons(props.plan.inputs, abrasives)
  offers.value = proposals({ ...props.plan.inputs, wishes: { ...wishes.value, ladder: undefined } })
}, { immediate: true })
const byId = computed(() => new Map(props.plan.inputs.shelf.abrasives.map(one => [one.id, one])))
const nameOf = (id: string) => abrasiveName(byId.value.get(id) ?? abrasives.find(one => one.id === id) ?? { scale: 'micron', mark: 0 })
const names = (list: readonly string[]) => list.map(nameOf).join(' · ')
const um = (value: number) => value < 10 ? value.toFixed(1) : value.toFixed(0)

const rows = computed(() => steps.value.map((step, index) => {
  const seen = review.value.steps[index]!
  const costs = reasons.value?.steps.find(one => one.id === step.abrasive.id)?.costs
  return {
    id: step.abrasive.id, name: abrasiveName(step.abrasive), grain: grainSize(step.abrasive.scale, step.abrasive.mark), seen, worn: step.abrasive.worn ?? 0,
    work: gritAtWork(props.plan, props.traced, step), findings: review.value.findings.filter(one => one.step === index),
    figure: props.traced.steps.find(one => one.step.id === step.id)?.handsOn,
    kept: wishes.value.insist?.includes(step.abrasive.id) ?? false,
    why: costs === undefined ? '' : costs === Infinity ? 'without it no ladder gets there' : costs < 1 ? 'as well without it' : `without it ${formatSpan(costs)} longer`,
  }
}))
const whole = computed(() => review.value.findings.filter(one => one.step === undefined))
const missing = computed(() => [...reasons.value?.missing ?? []].sort((a, b) => a.costs - b.costs).slice(0, 8))

const list = useTemplateRef<HTMLElement>('list')
function move(from: number, to: number) {
  if (to < 0 || to >= ids.value.length) return
  const order = [...ids.value]
  order.splice(to, 0, ...order.splice(from, 1))
  change({ ladder: order })
}
useSortableList(() => list.value, '.grip', move)
const without = (id: string) => change({ ladder: ids.value.filter(one => one !== id), insist: (wishes.value.insist ?? []).filter(one => one !== id) })
/** A grit that is refused is left out of every ladder that is worked out for this pen, until it is allowed again. */
const refuse = (id: string) => change({ refuse: [...wishes.value.refuse ?? [], id], insist: (wishes.value.insist ?? []).filter(one => one !== id) })
const allow = (id: string) => change({ refuse: (wishes.value.refuse ?? []).filter(one => one !== id) })
function keepGrit(id: string) {
  const now = wishes.value.insist ?? []
  change({ insist: now.includes(id) ? now.filter(one => one !== id) : [...now, id] })
}
const addable = computed(() => props.plan.inputs.shelf.abrasives.filter(one => !ids.value.includes(one.id)).map(one => ({ label: `${abrasiveName(one)}, ${um(grainSize(one.scale, one.mark))} µm${one.dry ? '' : ', wet only'}`, value: one.id })))
/** A grit that is added stands where its grain belongs. */
function add(id: string) {
  const grain = (one: string) => grainSize(byId.value.get(one)!.scale, byId.value.get(one)!.mark)
  const at = ids.value.findIndex(one => grain(one) < grain(id))
  change({ ladder: at < 0 ? [...ids.value, id] : [...ids.value.slice(0, at), id, ...ids.value.slice(at)] })
}
/** A ladder typed as it is said, taken as it stands. */
const typed = ref('')
const typedFault = ref('')
function takeTyped() {
  try {
    const ladder = typedLadder(typed.value, props.plan.inputs.shelf.abrasives).map(one => one.id)
    typedFault.value = ladder.length ? '' : 'Type the grits in their order, like 150 240 400 600.'
    if (ladder.length) change({ ladder: [...new Set(ladder)] })
  } catch (error) {
    if (!(error instanceof AbrasiveError)) throw error
    typedFault.value = error.message
  }
}
const take = (ladder: readonly string[], name: string) => name === 'best for my shelf' ? change({ ladder: undefined }) : change({ ladder })
const same = (ladder: readonly string[]) => ladder.join() === ids.value.join()

const JUMPS = [{ label: 'at most 1.5 : 1', value: '1.5' }, { label: 'at most 2 : 1', value: '2' }, { label: 'at most 3 : 1', value: '3' }, { label: 'as large as it pays', value: '0' }]
const jump = computed(() => String(wishes.value.jump ?? props.plan.inputs.method.greatestJump))

const SPEEDS = [{ label: 'slow, 1000 rev/min', value: '1000' }, { label: 'fast, 2500 rev/min', value: '2500' }]
const speed = computed(() => (wishes.value.sandSpeed ?? props.plan.inputs.method.speeds.sand) >= 1750 ? '2500' : '1000')

/** What was sanded last on the same wood, as far as the shelf still has it. */
const last = ref<{ mark: string, ids: string[] }>()
onMounted(async () => {
  try {
    if (!pens.pens) await pens.load()
    const found = [...pens.pens ?? []].filter(one => one.pen.id !== props.pen && one.summary.material.name === props.plan.inputs.material.name && one.summary.stage !== 'planned')
      .sort((a, b) => (b.summary.lastEntryAt ?? '').localeCompare(a.summary.lastEntryAt ?? ''))[0]
    if (!found) return
    const { plan } = await $fetch<WholePen>(`/api/pens/${found.pen.id}`)
    const used = plan.steps.flatMap(step => step.kind === 'sand' && byId.value.has(step.abrasive.id) ? [step.abrasive.id] : [])
    if (used.length) last.value = { mark: found.pen.mark, ids: used }
  } catch {
    // Without the other pens there is nothing to be like: the rest of the panel works as it is.
  }
})
const usable = computed(() => usableBare(props.plan.inputs).length)
const learnt = computed(() => workshop.learntOf(props.plan.inputs.material))
</script>

<template>
  <section class="ladder sheet figures" aria-labelledby="ladder-head">
    <header>
      <h2 id="ladder-head">Sanding ladder</h2>
      <p class="quiet">{{ wishes.ladder ? 'Yours, reviewed as it stands.' : `The quickest that ${usable} dry abrasives of the shelf give.` }} {{ formatSpan(review.seconds) }} in all, {{ um(traced.sandingTakes.value) }} µm off. <template v-if="started">What is done stays done.</template></p>
      <span class="end">
        <button v-if="sizing" type="button" class="key" @click="sizing = undefined">As it was</button>
        <button type="button" class="key" :disabled="!sizing" @click="emit('keep')">Keep this ladder</button>
      </span>
    </header>
    <div class="halves">
      <div>
        <ol ref="list" aria-label="Grits in their order">
          <li v-for="(row, index) in rows" :key="row.id" :class="{ flagged: row.findings.length }">
            <span class="grip" aria-hidden="true" title="Drag">⠿</span>
            <b>{{ row.name }}</b>
            <span class="grain">{{ um(row.grain) }} µm</span>
            <span class="what"><FigureOpen v-if="row.figure" :figure="row.figure">{{ formatSpan(row.seen.seconds) }}</FigureOpen><template v-if="row.seen.pieces > 1">, {{ row.seen.pieces }} pieces</template> · leaves {{ um(0.001 + Math.max(row.seen.inherited, ...row.seen.after.scratches.map(one => one.depth))) }} µm<template v-if="row.work && row.work.heat.level !== 'cool'"> · runs {{ row.work.heat.level }}</template><template v-if="row.why"> · {{ row.why }}</template><template v-if="row.worn"> · {{ Math.round(row.worn * 100) }} % worn</template></span>
            <span class="acts">
              <button type="button" :aria-label="`${row.name} earlier`" :disabled="index === 0" @click="move(index, index - 1)">↑</button>
              <button type="button" :aria-label="`${row.name} later`" :disabled="index === rows.length - 1" @click="move(index, index + 1)">↓</button>
              <button v-if="!wishes.ladder" type="button" class="word" :aria-pressed="row.kept" @click="keepGrit(row.id)">{{ row.kept ? 'kept' : 'keep' }}</button>
              <button v-if="!wishes.ladder" type="button" class="word" :aria-label="`Refuse ${row.name}`" title="Work the ladder out without it" @click="refuse(row.id)">refuse</button>
              <button type="button" class="word" :aria-label="`Leave ${row.name} out`" @click="without(row.id)">leave out</button>
            </span>
            <p v-for="finding in row.findings" :key="finding.says" class="harm">◆ {{ finding.says }} <span>{{ finding.remedy }}</span></p>
            <p v-if="row.work?.heat.level === 'hot'" class="harm">◆ {{ row.work.heat.advice }}</p>
          </li>
        </ol>
        <p v-if="!rows.length" class="harm">◆ No grit in it. Add one from the shelf.</p>
        <ul v-if="whole.length" class="findings" aria-label="What is wrong with the ladder"><li v-for="finding in whole" :key="finding.says" class="harm">◆ {{ finding.says }} <span>{{ finding.remedy }}</span></li></ul>
        <p v-else-if="rows.length" class="fine">Leaves {{ um(review.left.depth) }} µm: {{ wishes.leave === undefined ? 'the film hides it' : 'no deeper than you wanted' }}.</p>
        <p v-if="wishes.refuse?.length" class="quiet">Refused: <template v-for="(id, index) in wishes.refuse" :key="id">{{ index ? ', ' : '' }}{{ nameOf(id) }} <button type="button" class="allow" :aria-label="`Allow ${nameOf(id)} again`" @click="allow(id)">allow</button></template></p>
        <form class="typed" novalidate @submit.prevent="takeTyped">
          <UFormField label="Or type a ladder" :error="typedFault || false"><UInput v-model="typed" size="lg" placeholder="150 240 400 600" autocomplete="off" /></UFormField>
          <button type="submit" class="key">Review it</button>
        </form>
        <div class="adding">
          <UFormField label="Add from the shelf"><USelect :key="ids.join()" :model-value="undefined" size="lg" :items="addable" placeholder="Choose a grit" @update:model-value="add(String($event))" /></UFormField>
          <UFormField label="School of speed"><USelect :model-value="speed" size="lg" :items="SPEEDS" @update:model-value="change({ sandSpeed: Number($event) })" /></UFormField>
          <UFormField label="Marks now, µm" hint="judged or measured"><UInputNumber :model-value="wishes.marks ?? null" size="lg" :min="1" :max="500" :placeholder="um(traced.steps[0]!.before.wood.scratches[0]?.depth ?? 0)" @update:model-value="change({ marks: $event ?? undefined })" /></UFormField>
          <UFormField label="May leave, µm"><UInputNumber :model-value="wishes.leave ?? null" size="lg" :min="0.3" :max="100" :step="0.1" :step-snapping="false" placeholder="8" @update:model-value="change({ leave: $event ?? undefined })" /></UFormField>
          <UFormField label="Jumps"><USelect :model-value="jump" size="lg" :items="JUMPS" @update:model-value="change({ jump: Number($event), ladder: undefined })" /></UFormField>
        </div>
      </div>
      <div class="side">
        <h3>Other ladders</h3>
        <ul class="offers">
          <li v-for="(offer, index) in offers" :key="index"><button type="button" class="key" :aria-pressed="same(offer.ids)" @click="take(offer.ids, offer.name)"><b>{{ offer.name.charAt(0).toUpperCase() + offer.name.slice(1) }}, {{ formatSpan(offer.seconds) }}</b><span>{{ names(offer.ids) }}</span></button></li>
          <li v-if="last"><button type="button" class="key" :aria-pressed="same(last.ids)" @click="change({ ladder: last.ids })"><b>Like last time, {{ last.mark }}</b><span>{{ names(last.ids) }}</span></button></li>
        </ul>
        <p v-if="reasons?.buy && reasons.buy.saves >= 5">Worth buying: <b>{{ nameOf(reasons.buy.id) }}</b> {{ reasons.buy.saves === Infinity ? 'makes a ladder possible' : `saves ${formatSpan(reasons.buy.saves)} a pen` }}.</p>
        <details v-if="missing.length"><summary>Why the others are not missed</summary><ul><li v-for="one in missing" :key="one.id">{{ nameOf(one.id) }} would take {{ one.costs < 1 ? 'as long' : `${formatSpan(one.costs)} longer` }}</li></ul></details>
        <p v-if="learnt?.observations" class="quiet">Your own cut rate on {{ sandingClass(plan.inputs.material) }} wood: {{ learnt.rate.likely.toFixed(2) }} times the default ({{ learnt.rate.low.toFixed(2) }} to {{ learnt.rate.high.toFixed(2) }}), a piece takes off {{ learnt.capacity.likely.toFixed(2) }} times as much, from {{ learnt.observations }} looks, {{ Math.round(learnt.sureness * 100) }} % surer than none. The default is 1: τ 15 s at {{ units.speed(40) }}.</p>
        <p v-else class="quiet">Times are the model’s default, τ 15 s at {{ units.speed(40) }}; your own looks at the bench move it.</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.ladder { display: grid; gap: 0.9rem; padding: 1rem 1.2rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.3rem 1.2rem; }
header p { flex: 1 1 16rem; }
.end { display: flex; gap: 0.6rem; }
.halves { display: grid; grid-template-columns: minmax(0, 7fr) minmax(0, 4fr); gap: 2rem; align-items: start; }
ol > li { display: grid; grid-template-columns: 1.6rem minmax(4.5rem, 7rem) 4rem minmax(0, 1fr) auto; gap: 0.2rem 0.7rem; align-items: center; min-height: 48px; border-top: 1px solid var(--line); background: var(--surface); }
.grip { cursor: grab; color: var(--ink-2); text-align: center; line-height: 44px; touch-action: none; }
.grain { text-align: right; color: var(--ink-2); }
.what { color: var(--ink-2); font-size: 0.95rem; }
.acts { display: flex; gap: 0.2rem; }
.acts button { min-width: 34px; min-height: 36px; padding: 0 0.4rem; border: 1px solid var(--line); border-radius: 6px; cursor: pointer; }
.acts button:hover:not(:disabled) { border-color: var(--ink-2); }
.acts button:disabled { opacity: 0.4; }
.acts [aria-pressed=true] { background: var(--leaf); color: var(--surface); border-color: var(--leaf); }
li > .harm, .findings .harm { grid-column: 1 / -1; padding: 0 0 0.4rem 1.6rem; }
.harm span { color: var(--ink-2); }
.findings { margin-top: 0.5rem; }
.fine { color: var(--leaf); padding-top: 0.5rem; }
.typed { display: flex; gap: 0.7rem; align-items: flex-start; margin-top: 0.7rem; min-height: 5.4rem; }
.typed > :first-child { flex: 1; }
.typed :deep([data-slot=root]) { width: 100%; }
.typed .key { margin-top: 1.5rem; }
.allow { min-height: 28px; color: var(--leaf); text-decoration: underline; cursor: pointer; }
.adding { display: flex; flex-wrap: wrap; gap: 1rem; margin-top: 0.8rem; }
.adding :deep(button[role=combobox]) { width: 14rem; }
.side { display: grid; gap: 0.7rem; }
.offers { display: grid; gap: 0.5rem; }
.offers .key { display: grid; justify-items: start; justify-content: start; width: 100%; text-align: left; gap: 0; }
.offers .key[aria-pressed=true] { border-color: var(--ink); }
.offers span { color: var(--ink-2); font-weight: 400; }
summary { min-height: 32px; cursor: pointer; }
@media (max-width: 900px) { .halves { grid-template-columns: minmax(0, 1fr); gap: 1.2rem; } }
@media (max-width: 560px) { ol > li { grid-template-columns: 1.6rem minmax(0, 1fr) 4rem; padding-bottom: 0.5rem; } .what, .acts { grid-column: 2 / -1; } .acts { flex-wrap: wrap; } }
</style>
