<script setup lang="ts">
import { isResin } from '#core/shelf'
import { must, nth } from '#core/sure'
import { barrelNames, type BarrelId, type StripPlace } from '#core/barrel'
import { foundAt, type Defect, type DefectKind } from '#core/defects'
import { stageAt, type Plan } from '#core/plan'
import { parseLength, UnitError } from '#core/units'
import { defects } from '#reference'

/** Noting a defect in three touches at most: what it looks like, where on the strip; the size has a usual value. */
const props = withDefaults(defineProps<{ plan: Plan, step: string | null, looks?: readonly DefectKind[] }>(), { looks: () => [] })
const emit = defineEmits<{ note: [found: Omit<Defect, 'id'>], close: [] }>()
const { units } = storeToRefs(useWorkshop())

/** The defects that can be found now; those that were asked for come first. */
const entries = computed(() => {
  const here = foundAt(defects, stageAt(props.plan, props.step))
  return [
    ...props.looks.flatMap(kind => here.find(entry => entry.kind === kind) ?? []),
    ...here.filter(entry => !props.looks.includes(entry.kind)),
  ]
})
const kind = ref<DefectKind | undefined>(props.looks.length === 1 ? props.looks[0] : undefined)
const entry = computed(() => defects.find(row => row.kind === kind.value))
const barrels = computed(() => props.plan.inputs.fitting.barrels)
const barrel = ref<BarrelId>(nth(barrels.value, 0).id)
const place = ref('')
const size = ref('')
const far = ref(false)
const errors = ref<{ kind?: string, place?: string, size?: string }>({})
const heading = useTemplateRef<HTMLElement>('heading')
onMounted(() => heading.value?.focus())
watch(
  entry,
  (now) => {
    if (now) size.value = units.value.length(now.usual, now.usual < 1 ? 2 : 1)
    errors.value.kind = undefined
  },
  { immediate: true },
)

const fromTip = computed(() => {
  try {
    return parseLength(place.value, units.value.bare)
  } catch {
    return undefined
  }
})
/** A tap on the strip is the last touch. */
function pick(found: StripPlace) {
  barrel.value = found.barrel
  place.value = units.value.length(found.fromTip, 1)
  errors.value.place = undefined
  if (kind.value) note(far.value ? (180 - found.around + 360) % 360 : found.around)
}
function length(text: string, field: 'place' | 'size', most: number): number {
  try {
    const mm = parseLength(text, units.value.bare)
    if (mm <= most) return mm
    errors.value[field] = `The ${barrelNames[barrel.value]} is ${units.value.length(most, 1)} long: enter up to that.`
  } catch (error) {
    if (!(error instanceof UnitError)) throw error
    errors.value[field] = text ? error.message : 'Tap the place on the strip, or type how far it is from the tip end.'
  }
  return Number.NaN
}
function note(around?: number) {
  errors.value = {}
  if (!kind.value) errors.value.kind = 'Choose what it looks like.'
  const most = must(barrels.value.find(one => one.id === barrel.value), 'the barrel is chosen among these').tubeLength
  const found = { fromTip: length(place.value, 'place', most), size: length(size.value || '1 mm', 'size', most) }
  if (found.size < 0.05) errors.value.size = 'Smaller than 0.05 mm cannot be seen: enter its size.'
  if (!kind.value || errors.value.place || errors.value.size) return
  emit('note', { kind: kind.value, barrel: barrel.value, ...found, ...(around === undefined || entry.value?.allRound ? {} : { around }) })
}
const sizes = computed(() => [0.3, 1, 3, 10].map(mm => ({ mm, says: units.value.length(mm, mm < 1 ? 2 : 1) })))
</script>

<template>
  <form class="noting sheet" novalidate @submit.prevent="note()" @keydown.esc="emit('close')">
    <header>
      <h2 ref="heading" tabindex="-1">{{ kind ? 'Now tap the place' : 'What does it look like?' }}</h2>
      <button type="button" class="key" @click="emit('close')">Nothing wrong</button>
    </header>
    <PenStrip
      class="pick" :class="{ ready: kind }" :fitting="plan.inputs.fitting" :colour="plan.inputs.material.colour"
      :resin="isResin(plan.inputs.material)" :shapes="plan.inputs.wishes.shapes" size="head"
      :place="fromTip === undefined ? null : { barrel, fromTip }" label="The pen, tip at the left; tap where the defect is" @pick="pick"
    />
    <div class="fields">
      <div class="sizes" role="group" aria-label="How large">
        <button v-for="one in sizes" :key="one.mm" type="button" class="key" :aria-pressed="size === one.says" @click="size = one.says">
          {{ one.says }}
        </button>
      </div>
      <UFormField label="Size" :error="errors.size ?? false"><UInput v-model="size" size="xl" class="short" /></UFormField>
      <UFormField v-if="barrels.length > 1" label="Barrel">
        <USelect v-model="barrel" size="xl" :items="barrels.map(one => ({ label: barrelNames[one.id], value: one.id }))" />
      </UFormField>
      <UFormField label="From its tip end" :error="errors.place ?? false">
        <UInput v-model="place" size="xl" class="short" :placeholder="units.bare === 'mm' ? '12 mm' : '1/2 in'" />
      </UFormField>
      <label class="far"><input v-model="far" type="checkbox"> On the far side</label>
      <button type="submit" class="key" :class="{ next: kind }">Note it</button>
    </div>
    <p v-if="errors.kind" class="harm" role="alert">◆ {{ errors.kind }}</p>
    <fieldset class="kinds">
      <legend class="sr-only">What it looks like</legend>
      <label v-for="row in entries" :key="row.kind" :class="{ on: row.kind === kind, first: looks.includes(row.kind) }">
        <input v-model="kind" type="radio" name="kind" :value="row.kind" class="sr-only">
        <DefectPicture :kind="row.kind" /><span class="says"><b>{{ row.name }}</b><span>{{ row.shows }}</span></span>
      </label>
    </fieldset>
  </form>
</template>

<style scoped>
.noting { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.7rem; padding: 0.9rem 1.25rem; position: relative; }
header { display: flex; align-items: center; justify-content: space-between; gap: 1rem; }
h2 { font-size: 1.8rem; outline: none; }
.kinds { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 14rem), 1fr)); gap: 0.5rem; }
.kinds label {
  position: relative;
  display: grid;
  grid-template-columns: 4.6rem minmax(0, 1fr);
  align-items: center;
  gap: 0.7rem;
  min-height: 64px;
  padding: 0.3rem 0.55rem;
  border: 2px solid var(--line);
  border-radius: 8px;
  cursor: pointer;
  line-height: 1.2;
}
.kinds label.first { border-color: var(--ink-2); }
.kinds label.on { border-color: var(--ink); background: color-mix(in srgb, var(--line) 45%, transparent); }
.kinds label:has(:focus-visible) { outline: 3px solid var(--leaf); outline-offset: 2px; }
.says { display: grid; }
.says b { line-height: 1.15; }
.says span { color: var(--ink-2); font-size: 0.88rem; line-height: 1.15; }
.pick { position: sticky; top: 0; z-index: 1; max-width: 62rem; padding: 0.3rem 0; background: var(--surface); }
.pick :deep(svg) { opacity: 0.75; }
.pick.ready { cursor: crosshair; }
.pick.ready :deep(svg) { opacity: 1; }
.fields { display: flex; flex-wrap: wrap; gap: 0.4rem 0.8rem; align-items: end; }
.fields > :deep(*) { min-height: 64px; }
.fields .key { min-height: 64px; }
.fields .key.next { font-size: 1.15rem; }
.sizes { display: flex; gap: 0.4rem; }
.sizes .key { padding-inline: 0.7rem; }
.sizes .key[aria-pressed=true] { border-color: var(--ink); }
.short { width: 6.5rem; }
.far { display: flex; align-items: center; gap: 0.5rem; cursor: pointer; }
.far input { width: 1.3rem; height: 1.3rem; accent-color: var(--leaf); }
@media (max-width: 640px) { .noting { padding: 0.8rem; }  h2 { font-size: 1.3rem; } }
</style>
