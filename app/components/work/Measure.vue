<script setup lang="ts">
import { must } from '#core/sure'
import { barrelNames, diameterAt, type BarrelId } from '#core/barrel'
import type { BenchState } from '#core/bench'
import { judgeReading, stations, type PlanTrace } from '#core/plan'

/** Diameters by station: where, what it should be, what the calliper says, and what that means. One tap, one number. */
const props = defineProps<{ traced: PlanTrace, state: BenchState, step: string }>()
const emit = defineEmits<{ measure: [reading: { barrel: BarrelId, fromTip: number, diameter: number, step: string }] }>()
const { units } = storeToRefs(useWorkshop())

const mm = (value: number) => units.value.length(value)
/** What sanding has taken off a turned diameter so far and film has put on, mm. */
const grown = computed(() => {
  const before = props.traced.steps.find(one => one.step.id === props.step)?.before
  return before ? (2 * (before.film.mean - before.wood.removed)) / 1000 : 0
})
const rows = computed(() =>
  props.traced.size.barrels.flatMap(one =>
    stations(one).map((station) => {
      const latest = props.state.measured.findLast(each => each.barrel === one.barrel.id && Math.abs(each.fromTip - station.fromTip) < 0.3)
      return {
        key: `${one.barrel.id} ${station.name}`,
        barrel: one.barrel.id,
        ...station,
        where: `${props.traced.size.barrels.length > 1 ? `${barrelNames[one.barrel.id]}, ` : ''}${station.name}`,
        wanted: (one.ends.find(end => station.name === `${end.end} end`)?.own ?? diameterAt(one.turned, station.fromTip)) + grown.value,
        latest,
        verdict: latest && judgeReading(props.traced, latest, mm),
      }
    }),
  ),
)
const open = ref<string>()
const diameter = ref<number | null>(null)
const fault = ref('')
const field = useTemplateRef<HTMLElement[]>('field')
/** What a length is typed into; fetched when the first place is opened. */
const typed = shallowRef<Component>()
async function fetchField() {
  typed.value ??= (await import('~/components/field/Measure.vue')).default
}

async function choose(key: string) {
  open.value = open.value === key ? undefined : key
  diameter.value = null
  fault.value = ''
  await fetchField()
  await nextTick()
  field.value?.[0]?.querySelector('input')?.focus()
}
function keep(row: (typeof rows.value)[number]) {
  const one = must(props.traced.size.barrels.find(each => each.barrel.id === row.barrel), 'every barrel of the plan is sized')
  if (diameter.value === null || Number.isNaN(diameter.value)) {
    fault.value = 'Type what the calliper says, like 8.42 mm or 0.331".'
    return
  }
  if (!(diameter.value > 0 && diameter.value <= 60)) {
    fault.value = 'Should be above 0 and up to 60 mm.'
    return
  }
  if (diameter.value < one.barrel.tubeOuter) {
    fault.value = `The tube alone is ${mm(one.barrel.tubeOuter)}: measure again.`
    return
  }
  emit('measure', { barrel: row.barrel, fromTip: row.fromTip, diameter: Math.round(diameter.value * 1000) / 1000, step: props.step })
  open.value = undefined
}
/** What a calliper sends lands at the place that waits for it: the opened one, else the first that was not measured in this step. */
function take(mm: number) {
  const row = rows.value.find(one => one.key === open.value) ?? rows.value.find(one => one.latest?.step !== props.step) ?? rows.value[0]
  if (!row) return
  open.value = row.key
  diameter.value = mm
  fault.value = ''
  void fetchField()
  keep(row)
}
defineExpose({ take })
</script>

<template>
  <section class="stations figures" aria-label="Diameters">
    <div v-for="row in rows" :key="row.key" class="station">
      <button type="button" class="key" :aria-expanded="open === row.key" @click="choose(row.key)">
        <span>{{ row.where }}</span><b>{{ mm(row.wanted) }}</b>
      </button>
      <form v-if="open === row.key" ref="field" novalidate @submit.prevent="keep(row)">
        <component :is="typed" v-if="typed" v-model="diameter" label="The calliper says" :error="fault" />
        <button type="submit" class="key">Keep</button>
      </form>
      <p v-else-if="row.latest && row.verdict" role="status" :class="['says', row.verdict.meets]">
        <b>{{ mm(row.latest.diameter) }}</b> {{ row.verdict.says }}
      </p>
    </div>
  </section>
</template>

<style scoped>
.stations {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 15.5rem), 1fr));
  gap: 0.5rem 0.8rem;
  align-items: start;
}
.station { display: grid; gap: 0.3rem; }
.station > .key { justify-content: space-between; min-height: 64px; font-size: 1.1rem; text-align: left; }
.station > .key b { font: 700 1.35rem var(--font-head); }
form { display: flex; gap: 0.5rem; align-items: flex-start; min-height: 6.1rem; }
form .key { min-height: 64px; margin-top: 1.2rem; }
form > :first-child { flex: 1; }
.says { font-size: 1.1rem; padding-left: 0.2rem; }
.says.flush { color: var(--leaf); }
.says.shy { color: var(--brick); }
</style>
