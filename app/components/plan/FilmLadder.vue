<script setup lang="ts">
import { abrasiveName } from '#core/abrasives'
import { decimal, micrometres } from '#core/format'
import { forgives, leastFilm, type Plan, type PlanTrace, type Sizing } from '#core/plan'
import { grainOf, levels } from '#core/shelf'

/** The ladder on the film, edited like the bare one: what it is levelled with, what follows, how many polishes; and what becomes of it. */
const props = defineProps<{ plan: Plan, traced: PlanTrace }>()
const sizing = defineModel<Sizing | undefined>({ required: true })
const emit = defineEmits<{ keep: [] }>()
const { wishes, change } = useWishes(() => props.plan, sizing)

const wet = computed(() => props.plan.inputs.shelf.abrasives.filter(one => one.wet).sort((a, b) => grainOf(b) - grainOf(a)))
const level = computed(() => props.plan.steps.findLast(step => step.kind === 'level'))
const own = computed(() => props.plan.steps.flatMap(step => (step.kind === 'smooth' && !step.mend ? [step.abrasive.id] : [])))
const rungs = computed(() =>
  props.traced.steps.flatMap(one =>
    one.step.kind === 'smooth' && !one.step.mend && one.grit
      ? [{ id: one.step.id, name: abrasiveName(one.step.abrasive), jump: one.grit.jump, leaves: one.grit.leaves.value }]
      : [],
  ),
)
const greatest = computed(() => props.plan.inputs.method.greatestJump)
const levelled = computed(() => props.traced.steps.findLast(one => one.step.kind === 'level')?.after.filmScratch ?? 0)
const left = computed(() => rungs.value.at(-1)?.leaves ?? levelled.value)
const hides = computed(() => forgives(props.plan.inputs.method.sheen).value)
const thin = computed(() => props.traced.filmThinnest.value < leastFilm(props.plan.inputs).value - 0.5)
const polishes = computed(() => props.plan.steps.filter(step => step.kind === 'polish' && !step.mend).length)
const isOwn = computed(() => ['filmLadder', 'levelWith', 'polishes'].some(key => key in wishes.value))

function toggle(id: string) {
  const now = own.value.includes(id) ? own.value.filter(one => one !== id) : [...own.value, id]
  const order = wet.value.map(one => one.id)
  change({ filmLadder: [...now].sort((a, b) => order.indexOf(a) - order.indexOf(b)) })
}
const levelItems = computed(() => wet.value.filter(levels).map(one => ({ label: abrasiveName(one), value: one.id })))
const POLISHES = [{ label: 'none', value: '0' }, { label: 'one', value: '1' }, { label: 'two', value: '2' }]
function asWorkedOut() {
  const { filmLadder: _f, levelWith: _l, polishes: _p, tool: _t, film: _i, ...rest } = wishes.value
  sizing.value = rest
}
</script>

<template>
  <section v-if="level" class="sheet film figures" aria-labelledby="film-ladder">
    <PlanPanelHead
      id="film-ladder" title="Ladder on the film" keep="Keep this ladder" :changed="sizing !== undefined" @undo="sizing = undefined"
      @keep="emit('keep')"
    >
      {{ isOwn ? 'Your own.' : 'Worked out.' }}
    </PlanPanelHead>
    <div class="both">
      <UFormField label="Levelled with">
        <USelect
          :model-value="level.kind === 'level' ? level.abrasive.id : ''" size="xl" :items="levelItems"
          @update:model-value="change({ levelWith: String($event) })"
        />
      </UFormField>
      <UFormField label="Polishes">
        <USelect
          :model-value="String(polishes)" size="xl" :items="POLISHES" @update:model-value="change({ polishes: Number($event) })"
        />
      </UFormField>
    </div>
    <div role="group" aria-label="Grits on the film" class="chips">
      <button
        v-for="one in wet" :key="one.id" type="button" class="key" :aria-pressed="own.includes(one.id)" @click="toggle(one.id)"
      >
        {{ abrasiveName(one) }}
      </button>
    </div>
    <ol v-if="rungs.length" aria-label="Grits on the film in their order">
      <li v-for="one in rungs" :key="one.id">
        <b>{{ one.name }}</b>
        <span v-if="one.jump !== undefined" :class="greatest && one.jump > greatest + 0.05 ? 'harm' : 'quiet'">
          {{ greatest && one.jump > greatest + 0.05 ? '◆ ' : '' }}jump {{ decimal(one.jump, 1) }}
        </span>
        <span class="quiet">leaves {{ micrometres(one.leaves) }} µm</span>
      </li>
    </ol>
    <p :class="left > hides ? 'harm' : 'quiet'">
      {{ left > hides ? '◆ ' : '' }}Scratches of {{ micrometres(left) }} µm are left before the polish;
      {{ left > hides ? `they show: this sheen hides ${micrometres(hides)} µm.` : 'this sheen hides them.' }}
    </p>
    <p v-if="thin" class="harm">◆ {{ micrometres(traced.filmThinnest.value) }} µm of film are sure in the end: less than is wanted.</p>
    <p v-if="isOwn"><button type="button" class="key" @click="asWorkedOut">As worked out</button></p>
  </section>
</template>

<style scoped>
.film { display: grid; gap: 0.7rem; padding: 0.9rem 1.1rem; }
.both { display: grid; grid-template-columns: repeat(2, minmax(0, 14rem)); gap: 0 1rem; }
.both :deep(button) { width: 100%; }
.chips { display: flex; flex-wrap: wrap; gap: 0.5rem; }
.chips .key { min-height: 48px; }
.chips .key[aria-pressed=true] { background: var(--leaf); border-color: var(--leaf); color: var(--surface); }
ol { display: flex; flex-wrap: wrap; gap: 0.3rem 1.6rem; }
li { display: flex; gap: 0.6rem; }
@container panels (max-width: 480px) { .both { grid-template-columns: minmax(0, 1fr); } }
</style>
