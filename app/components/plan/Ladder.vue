<script setup lang="ts">
import { counted, decimal, formatSpan, micrometres } from '#core/format'
import { leavesWords, type Plan, type PlanTrace, type Sizing } from '#core/plan'
import { sandingClass } from '#core/shelf'

/**
 * The bare blank's ladder as rows that can be dragged, left out, added and kept; what each is there for, what is wrong with the order,
 * and other ladders to choose from.
 */
const props = defineProps<{ plan: Plan, traced: PlanTrace, pen: string, started: boolean }>()
const sizing = defineModel<Sizing | undefined>({ required: true })
const emit = defineEmits<{ keep: [] }>()
const { units } = storeToRefs(useWorkshop())
const {
  ids, wishes, change, review, reasons, offers, nameOf, names, rows, whole, missing, move, without, refuse,
  allow, keepGrit, addable, add, typed, typedFault, typedTaken, takeTyped, take, same, jump, speed, usualLeave, usable,
  learnt,
} = useLadder(props, sizing)
const last = useLastLadder(props)

const list = useTemplateRef<HTMLElement>('list')
useSortableList(() => list.value, '.grip', move)
</script>

<template>
  <section class="ladder sheet figures" aria-labelledby="ladder-head">
    <PlanPanelHead
      id="ladder-head" title="Sanding ladder" keep="Keep this ladder" :changed="sizing !== undefined" @undo="sizing = undefined"
      @keep="emit('keep')"
    >
      <template v-if="wishes.ladder">Yours, reviewed as it stands.</template>
      <template v-else>The quickest that {{ usable }} dry abrasives give: it begins coarse enough and makes no long jump.</template>
      {{ formatSpan(review.seconds) }} in all, {{ micrometres(traced.sandingTakes.value) }} µm off.
      <template v-if="started">What is done stays done.</template>
    </PlanPanelHead>
    <div class="halves">
      <div>
        <ol ref="list" aria-label="Grits in their order">
          <li v-for="(row, index) in rows" :key="row.id" :class="{ flagged: row.findings.length }">
            <span class="grip" aria-hidden="true" title="Drag">⠿</span>
            <b>{{ row.name }}</b>
            <span class="grain">{{ micrometres(row.grain) }} µm</span>
            <span class="what">
              <FigureOpen v-if="row.figure" :figure="row.figure">{{ formatSpan(row.seen.seconds) }}</FigureOpen>
              <template v-if="row.seen.pieces > 1">, {{ row.seen.pieces }} pieces</template> · leaves
              {{ micrometres(0.001 + Math.max(row.seen.inherited, ...row.seen.after.scratches.map(one => one.depth))) }}
              µm<template v-if="row.work && row.work.heat.level !== 'cool'"> · runs {{ row.work.heat.level }}</template>
              <template v-if="row.why"> · {{ row.why }}</template>
              <template v-if="row.worn"> · {{ Math.round(row.worn * 100) }} % worn</template>
            </span>
            <span class="acts">
              <button type="button" :aria-label="`${row.name} earlier`" :disabled="index === 0" @click="move(index, index - 1)">↑</button>
              <button type="button" :aria-label="`${row.name} later`" :disabled="index === rows.length - 1" @click="move(index, index + 1)">
                ↓
              </button>
              <button v-if="!wishes.ladder" type="button" class="word" :aria-pressed="row.kept" @click="keepGrit(row.id)">
                {{ row.kept ? 'kept' : 'keep' }}
              </button>
              <button
                v-if="!wishes.ladder" type="button" class="word" :aria-label="`Refuse ${row.name}`"
                title="Work the ladder out without it" @click="refuse(row.id)"
              >
                refuse
              </button>
              <button type="button" class="word" :aria-label="`Leave ${row.name} out`" @click="without(row.id)">leave out</button>
            </span>
            <p v-for="finding in row.findings" :key="finding.says" class="harm">◆ {{ finding.says }} <span>{{ finding.remedy }}</span></p>
            <p v-if="row.work?.heat.level === 'hot'" class="harm">◆ {{ row.work.heat.advice }}</p>
          </li>
        </ol>
        <p v-if="!rows.length" class="harm">◆ No grit in it. Add one from the shelf.</p>
        <ul v-if="whole.length" class="findings" aria-label="What is wrong with the ladder">
          <li v-for="finding in whole" :key="finding.says" class="harm">◆ {{ finding.says }} <span>{{ finding.remedy }}</span></li>
        </ul>
        <p v-else-if="rows.length" class="fine">
          Leaves {{ micrometres(review.left.depth) }} µm: {{ leavesWords(plan.inputs) }}.
        </p>
        <p v-if="wishes.refuse?.length" class="quiet">
          Refused:
          <template v-for="(id, index) in wishes.refuse" :key="id">
            {{ index ? ', ' : '' }}{{ nameOf(id) }}
            <button type="button" class="allow" :aria-label="`Allow ${nameOf(id)} again`" @click="allow(id)">allow</button>
          </template>
        </p>
        <form class="typed" novalidate @submit.prevent="takeTyped">
          <UFormField label="Or type a ladder" :error="typedFault || false" :help="typedTaken || undefined">
            <UInput v-model="typed" size="lg" placeholder="150 240 400 600" autocomplete="off" />
          </UFormField>
          <button type="submit" class="key">Review it</button>
        </form>
        <div class="adding">
          <UFormField label="Add from the shelf">
            <USelect
              :key="ids.join()" :model-value="undefined" size="lg" :items="addable" placeholder="Choose a grit"
              @update:model-value="add(String($event))"
            />
          </UFormField>
          <UFormField label="School of speed">
            <USelect :model-value="speed" size="lg" :items="SPEEDS" @update:model-value="change({ sandSpeed: Number($event) })" />
          </UFormField>
          <UFormField label="Marks now, µm" hint="judged or measured">
            <UInputNumber
              :model-value="wishes.marks ?? null" size="lg" :min="1" :max="500"
              :placeholder="micrometres(traced.steps[0]!.before.wood.scratches[0]?.depth ?? 0)"
              @update:model-value="change({ marks: $event ?? undefined })"
            />
          </UFormField>
          <UFormField label="May leave, µm">
            <UInputNumber
              :model-value="wishes.leave ?? null" size="lg" :min="0.3" :max="100" :step="0.1" :step-snapping="false"
              :placeholder="usualLeave"
              @update:model-value="change({ leave: $event ?? undefined })"
            />
          </UFormField>
          <UFormField label="Jumps">
            <USelect
              :model-value="jump" size="lg" :items="JUMPS" @update:model-value="change({ jump: Number($event), ladder: undefined })"
            />
          </UFormField>
        </div>
      </div>
      <div class="side">
        <h3>Other ladders</h3>
        <ul class="offers">
          <li v-for="(offer, index) in offers" :key="index">
            <button type="button" class="key" :aria-pressed="same(offer.ids)" @click="take(offer.ids, offer.name)">
              <b>{{ offer.name.charAt(0).toUpperCase() + offer.name.slice(1) }}, {{ formatSpan(offer.seconds) }}</b>
              <span>{{ names(offer.ids) }}</span>
            </button>
          </li>
          <li v-if="last">
            <button type="button" class="key" :aria-pressed="same(last.ids)" @click="change({ ladder: last.ids })">
              <b>Like last time, {{ last.mark }}</b>
              <span>{{ names(last.ids) }}</span>
            </button>
          </li>
        </ul>
        <p v-if="reasons?.buy && reasons.buy.saves >= 5">
          Worth buying: <b>{{ nameOf(reasons.buy.id) }}</b>
          {{ reasons.buy.saves === Infinity ? 'makes a ladder possible' : `saves ${formatSpan(reasons.buy.saves)} a pen` }}.
        </p>
        <details v-if="missing.length">
          <summary>Why the others are not missed</summary>
          <ul>
            <li v-for="one in missing" :key="one.id">
              {{ nameOf(one.id) }} would take {{ one.costs < 1 ? 'as long' : `${formatSpan(one.costs)} longer` }}
            </li>
          </ul>
        </details>
        <p v-if="learnt?.observations" class="quiet">
          Your own cut rate on {{ sandingClass(plan.inputs.material) }} wood: {{ decimal(learnt.rate.likely, 2) }} times the default
          ({{ decimal(learnt.rate.low, 2) }} to {{ decimal(learnt.rate.high, 2) }}), a piece takes off
          {{ decimal(learnt.capacity.likely, 2) }}
          times as much, change of paper and look {{ Math.round(learnt.overhead.likely) }} s ({{ Math.round(learnt.overhead.low) }} to
          {{ Math.round(learnt.overhead.high) }}). Learnt from {{ counted(learnt.observations, 'grit') }}.
          The default is 1: τ 15 s at {{ units.speed(40) }}, and 25 s.
        </p>
        <p v-else class="quiet">Times are the model’s default, τ 15 s at {{ units.speed(40) }}; your own looks at the bench move it.</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.ladder { display: grid; gap: 0.9rem; padding: 1rem 1.2rem; }
.halves { display: grid; grid-template-columns: minmax(0, 7fr) minmax(0, 4fr); gap: 2rem; align-items: start; }
ol > li {
  display: grid;
  grid-template-columns: 1.6rem minmax(4.5rem, 7rem) 4rem minmax(0, 1fr) auto;
  gap: 0.2rem 0.7rem;
  align-items: center;
  min-height: 48px;
  border-top: 1px solid var(--line);
  background: var(--surface);
}
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
@container panels (max-width: 1100px) {
  ol > li { grid-template-columns: 1.6rem minmax(4.5rem, 7rem) 4rem minmax(0, 1fr); padding-block: 0.3rem; }
  .acts { grid-column: 2 / -1; }
}
.side { display: grid; gap: 0.7rem; }
.offers { display: grid; gap: 0.5rem; }
.offers .key { display: grid; justify-items: start; justify-content: start; width: 100%; text-align: left; gap: 0; }
.offers .key[aria-pressed=true] { border-color: var(--ink); }
.offers span { color: var(--ink-2); font-weight: 400; }
summary { min-height: 32px; cursor: pointer; }
@container panels (max-width: 900px) { .halves { grid-template-columns: minmax(0, 1fr); gap: 1.2rem; } }
@container panels (max-width: 560px) {
  ol > li { grid-template-columns: 1.6rem minmax(0, 1fr) 4rem; padding-bottom: 0.5rem; }
  .what, .acts { grid-column: 2 / -1; }
  .acts { flex-wrap: wrap; }
}
</style>
