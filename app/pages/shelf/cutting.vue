<script setup lang="ts">
import { counted, share } from '#core/format'
import {
  cutSticks, drillWander, penSection, usualCut, whyNot, type Fitting, type StockProblem, type WhyNot,
} from '#core/barrel'
import { tears, thinnestSide } from '#core/shelf'
import { materialOf, materials } from '#reference'

/** Several pens out of several sticks with the least waste; boards into sticks. */
useHead({ title: 'Cutting · Oxlip' })
const stock = useStock()
const workshop = useWorkshop()
const { units } = storeToRefs(workshop)
const list = usePenList(() => ({ stage: 'planned', sort: 'marks', limit: 200 }))
const { failed, loaded, again } = useLoad(() => Promise.all([stock.load(), list.load()]))

const open = computed(() => list.pens.value ?? [])
const chosen = ref<Set<string>>()
const picked = computed(() => chosen.value ?? new Set(open.value.map(one => one.pen.id)))
function pick(id: string, on: boolean) {
  const now = new Set(picked.value)
  if (on) now.add(id)
  else now.delete(id)
  chosen.value = now
}
const matching = ref(true)
const habits = computed(() => ({ perEnd: workshop.workshop?.perEnd, kerf: workshop.workshop?.kerf }))

/** More sets of one fitting, beyond the pens that are planned. */
const extra = reactive({ fitting: '', count: 0 })
/** Sticks typed in, beside the blanks of the shelf; an empty one has no end. */
const typed = reactive({ length: null as number | null, count: 1 })
const trim = ref<number | null>(0)

const TYPED = 'typed'
const blanks = computed(() => stock.sticks.filter(one => one.length !== null && one.count > 0))

const wander = computed(() => drillWander(workshop.workshop?.wander))
function moreOf(fitting: Fitting, count: number): StockProblem['wanted'] {
  const cut = cutSticks(fitting, usualCut(false, habits.value))
  const [length, section] = [cut.total.value, penSection(fitting, {}, cut, wander.value)]
  return Array.from({ length: count }, (_, index) => ({ id: `${fitting.name} ${index + 1}`, length, section }))
}
const wanted = computed((): StockProblem['wanted'] => {
  const planned = open.value
    .filter(one => picked.value.has(one.pen.id))
    .map(({ pen, summary }) => {
      const material = materials.find(row => row.id === pen.material)
      const cut = cutSticks(summary.fitting, usualCut(material ? tears(material) : false, habits.value))
      const own = pen.blank ? [pen.blank] : [...blanks.value.filter(one => one.material === pen.material).map(one => one.id), TYPED]
      return {
        id: pen.mark,
        length: cut.total.value,
        section: penSection(summary.fitting, pen.sizing.shapes ?? {}, cut, wander.value),
        ...(matching.value ? { from: own } : {}),
      }
    })
  const fitting = stock.fitting(extra.fitting)?.fitting
  const more = fitting
    ? moreOf(fitting, Math.min(200, extra.count))
    : []
  return [...planned, ...more]
})
const sticks = computed((): StockProblem['stock'] => {
  const shelf = blanks.value.map(one => ({
    id: one.id,
    length: one.length ?? 0,
    count: one.count,
    ...(thinnestSide({ width: one.width ?? undefined, height: one.height ?? undefined }) === undefined
      ? {}
      : { section: Math.min(one.width ?? Infinity, one.height ?? Infinity) }),
  }))
  return typed.length !== null && typed.length > 0 && typed.length <= 3000
    ? [...shelf, { id: TYPED, length: typed.length, count: typed.count }]
    : shelf
})
const nameOf = (id: string) => stock.blank(id)?.name ?? 'Typed stick'
const stickFault = (mm: number | null) =>
  mm !== null && !Number.isNaN(mm) && !(mm > 0 && mm <= 3000) ? 'Should be above 0 and up to 3 m.' : undefined
const trimMm = computed(() => trim.value ?? 0)
const trimFault = computed(() => (Number.isNaN(trimMm.value) || trimMm.value <= 100 ? '' : 'More than 100 mm off each end is no trim.'))
const problem = computed((): StockProblem | undefined =>
  wanted.value.length && sticks.value.length && trimMm.value >= 0 && trimMm.value <= 100
    ? { wanted: wanted.value, stock: sticks.value, kerf: usualCut(false, habits.value).kerf.value, trim: trimMm.value }
    : undefined,
)
const { layout, fault, busy } = useCutting(() => problem.value)
const NO_STICK: Record<WhyNot, string> = {
  'no such wood': 'No stick of that wood is on the shelf',
  'too thin': 'The sticks of that wood are too thin',
  'too short': 'The sticks of that wood are too short',
  'used up': 'The sticks of that wood are used up',
}
/** Pens that no stick is left for, by the reason. */
const withoutStick = computed(() => {
  const asked = problem.value
  const found = new Map<WhyNot, string[]>()
  for (const id of layout.value?.unplaced ?? []) {
    const piece = asked?.wanted.find(one => one.id === id)
    if (!asked || !piece) continue
    const reason = whyNot(asked, piece)
    found.set(reason, [...(found.get(reason) ?? []), id])
  }
  return [...found]
})
const longest = computed(() => Math.max(1, ...(layout.value?.layouts ?? []).map(one => one.length)))
const colourOf = (id: string) => {
  const blank = stock.blank(id)
  return blank ? materialOf(blank).colour : '#b8a98c'
}

const fittingItems = computed(() => (stock.fittings ?? []).map(one => ({ label: one.fitting.name, value: one.fitting.id })))
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <div v-else-if="loaded" class="cutting figures">
    <header>
      <h1>Cutting</h1>
      <p class="quiet">Both barrels of a pen stay one stick, so that the grain runs on. Kerf and spare ends are those of the workshop.</p>
    </header>
    <div class="halves">
      <section class="sheet" aria-labelledby="what">
        <h2 id="what">Pens to cut</h2>
        <p v-if="!open.length" class="quiet">Every pen that is planned has been cut. Start another, or ask for sets of a fitting below.</p>
        <ul class="pens">
          <li v-for="{ pen, summary } in open" :key="pen.id">
            <label>
              <input type="checkbox" :checked="picked.has(pen.id)" @change="pick(pen.id, ($event.target as HTMLInputElement).checked)">
              <b>{{ pen.mark }}</b>
              <span>{{ pen.name }}</span>
              <span class="quiet">{{ summary.material.name }}</span>
            </label>
          </li>
        </ul>
        <div class="fields filled">
          <UFormField label="Add pens of">
            <USelect v-model="extra.fitting" size="xl" :items="fittingItems" placeholder="none" />
          </UFormField>
          <UFormField label="How many pens"><UInputNumber v-model="extra.count" size="xl" :min="0" :max="200" /></UFormField>
        </div>
      </section>
      <section class="sheet" aria-labelledby="from">
        <h2 id="from">Sticks</h2>
        <p class="quiet">
          {{ blanks.length }} kinds of blank on the shelf have a length.
          <NuxtLink class="way" to="/shelf/blanks">Look at the blanks</NuxtLink>
        </p>
        <label class="same"><input v-model="matching" type="checkbox"> Each pen only from its own wood</label>
        <div class="fields three filled">
          <FieldMeasure
            v-model="typed.length" label="Add sticks of" placeholder="300 mm"
            :error="stickFault(typed.length)"
          />
          <UFormField label="How many sticks"><UInputNumber v-model="typed.count" size="xl" :min="1" :max="500" /></UFormField>
          <FieldMeasure v-model="trim" label="Off each rough end" :error="trimFault || undefined" />
        </div>
      </section>
    </div>
    <section class="sheet" aria-labelledby="layout" :aria-busy="busy">
      <h2 id="layout">Layout</h2>
      <p v-if="fault" class="harm" role="alert">◆ {{ fault }}</p>
      <p v-else-if="!wanted.length" class="quiet">Choose the pens to cut.</p>
      <p v-else-if="!sticks.length" class="quiet">No stick to cut them from: type a length, or give a blank on the shelf its length.</p>
      <template v-else-if="layout">
        <p role="status">
          <b>{{ counted(layout.layouts.length, 'stick') }}, {{ units.length(layout.used, 0) }} in all</b>,
          of which {{ units.length(layout.waste, 0) }} ({{ layout.used ? share(layout.waste / layout.used) : share(0) }}) end in no
          pen.
          <span class="quiet">
            {{ layout.proven ? 'No other layout takes less wood.' : `At best it could be ${units.length(layout.bound, 0)}.` }}
          </span>
        </p>
        <p v-for="[reason, ids] in withoutStick" :key="reason" class="harm">
          ◆ {{ NO_STICK[reason] }}: {{ ids.slice(0, 12).join(', ') }}{{ ids.length > 12 ? ` and ${ids.length - 12} more` : '' }}
        </p>
        <ol class="laid">
          <li v-for="(one, index) in layout.layouts" :key="index">
            <span class="name">{{ nameOf(one.stock) }}, {{ units.length(one.length, 0) }}</span>
            <div
              class="bar" role="img" :style="{ width: `${100 * one.length / longest}%` }"
              :aria-label="`${one.pieces.map(piece => piece.id).join(', ')}; ${units.length(one.over, 0)} over`"
            >
              <i
                v-for="piece in one.pieces" :key="piece.id"
                :style="{
                  left: `${100 * piece.from / one.length}%`,
                  width: `${100 * piece.length / one.length}%`,
                  background: colourOf(one.stock),
                }"
              >
                <b>{{ piece.id }}</b>
              </i>
            </div>
            <span class="quiet over">{{ units.length(one.over, 0) }} over</span>
          </li>
        </ol>
      </template>
      <p v-else class="quiet" role="status">Laying out ...</p>
    </section>
    <ShelfBoard />
  </div>
  <p v-else class="quiet" role="status">Looking at the shelf ...</p>
</template>

<style scoped>
.cutting { display: grid; gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: baseline; gap: 0.4rem 1.2rem; }
.halves { display: grid; grid-template-columns: repeat(2, minmax(0, 1fr)); gap: 1rem; }
section { display: grid; gap: 0.6rem; align-content: start; padding: 0.9rem 1.1rem 1rem; min-width: 0; }
.pens label { display: flex; gap: 0.7rem; align-items: center; min-height: 40px; cursor: pointer; }
.pens b { min-width: 2.2rem; font-family: var(--font-head); }
.pens .quiet { margin-left: auto; }
input[type=checkbox] { width: 1.2rem; height: 1.2rem; accent-color: var(--leaf); flex: none; }
.same { display: flex; gap: 0.6rem; align-items: center; min-height: 44px; }
.way { display: inline-grid; align-items: center; min-height: 32px; color: var(--leaf); text-decoration: underline; }
.fields { display: grid; grid-template-columns: 2fr 1fr; gap: 0 1rem; }
.fields.three { grid-template-columns: repeat(3, minmax(0, 1fr)); }
.fields > :deep(*) { min-height: 6.1rem; }
.laid { display: grid; gap: 0.35rem; }
.laid li { display: grid; grid-template-columns: minmax(0, 14rem) minmax(0, 1fr) 6.5rem; gap: 1rem; align-items: center; }
.bar { position: relative; height: 28px; border: 1.5px dashed var(--ink-2); border-radius: 3px; }
.bar i {
  position: absolute;
  inset: -1px auto -1px;
  display: grid;
  place-items: center;
  overflow: hidden;
  border-radius: 2px;
  font-style: normal;
}
.bar b {
  font: 600 0.85rem var(--font-head);
  color: #fffdf4;
  background: #241a10c0;
  padding: 0 0.35rem;
  border-radius: 3px;
  white-space: nowrap;
}
.laid .over { text-align: right; }
@media (max-width: 900px) {
  .halves { grid-template-columns: minmax(0, 1fr); }
  .fields.three { grid-template-columns: repeat(2, minmax(0, 1fr)); }
  .laid li { grid-template-columns: 1fr auto; }
  .bar { grid-column: 1 / -1; grid-row: 2; }
}
</style>
