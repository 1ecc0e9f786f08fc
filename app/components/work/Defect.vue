<script setup lang="ts">
import { barrelNames, type BarrelId } from '#core/barrel'
import type { DefectKind } from '#core/defects'
import type { Plan } from '#core/plan'
import { parseLength, UnitError } from '#core/units'
import { defects } from '#reference'

/** Noting a defect: how it looks, where on the strip, how large. */
const props = withDefaults(defineProps<{ plan: Plan, looks?: DefectKind }>(), { looks: 'chip' })
const emit = defineEmits<{ note: [found: { kind: DefectKind, barrel: BarrelId, fromTip: number, size: number }], close: [] }>()
const { units } = storeToRefs(useWorkshop())

const kind = ref<DefectKind>(props.looks)
const barrel = ref<BarrelId>(props.plan.inputs.fitting.barrels[0]!.id)
const place = ref('')
const size = ref(units.value.length(0.5))
const errors = ref<{ place?: string, size?: string }>({})
const barrels = computed(() => props.plan.inputs.fitting.barrels)
const entry = computed(() => defects.find(row => row.kind === kind.value)!)
const heading = useTemplateRef<HTMLElement>('heading')
onMounted(() => heading.value?.focus())

const fromTip = computed(() => read(place.value))
function read(text: string): number | undefined {
  try {
    return parseLength(text, units.value.bare)
  } catch {
    return undefined
  }
}
function pick(found: { barrel: BarrelId, fromTip: number }) {
  barrel.value = found.barrel
  place.value = units.value.length(found.fromTip, 1)
  errors.value.place = undefined
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
function note() {
  errors.value = {}
  const most = barrels.value.find(one => one.id === barrel.value)!.tubeLength
  const found = { kind: kind.value, barrel: barrel.value, fromTip: length(place.value, 'place', most), size: length(size.value, 'size', most) }
  if (found.size < 0.05) errors.value.size = 'Smaller than 0.05 mm cannot be seen: enter its size.'
  if (!errors.value.place && !errors.value.size) emit('note', found)
}
</script>

<template>
  <form class="noting sheet" novalidate @submit.prevent="note" @keydown.esc="emit('close')">
    <h2 ref="heading" tabindex="-1">What is wrong, and where?</h2>
    <fieldset class="kinds">
      <legend class="sr-only">How it looks</legend>
      <label v-for="row in defects" :key="row.kind" :class="{ on: row.kind === kind }"><input v-model="kind" type="radio" name="kind" :value="row.kind"><b>{{ row.name }}</b><span>{{ row.shows }}</span></label>
    </fieldset>
    <p class="quiet">Tap the place:</p>
    <PenStrip class="pick" :fitting="plan.inputs.fitting" :colour="plan.inputs.material.colour" :resin="plan.inputs.material.classes.includes('resin')" size="head" :place="fromTip === undefined ? null : { barrel, fromTip }" label="The pen, tip at the left; tap where the defect is" @pick="pick" />
    <div class="fields">
      <UFormField v-if="barrels.length > 1" label="Barrel"><USelect v-model="barrel" size="xl" :items="barrels.map(one => ({ label: barrelNames[one.id], value: one.id }))" /></UFormField>
      <UFormField label="From its tip end" :error="errors.place ?? false"><UInput v-model="place" size="xl" :placeholder="units.bare === 'mm' ? '12 mm' : '1/2 in'" /></UFormField>
      <UFormField label="Size" :error="errors.size ?? false"><UInput v-model="size" size="xl" /></UFormField>
    </div>
    <p class="quiet"><b>To mend:</b> {{ entry.mend }}</p>
    <div class="end">
      <button type="submit" class="key next">Note it</button>
      <button type="button" class="key" @click="emit('close')">Nothing wrong</button>
    </div>
  </form>
</template>

<style scoped>
.noting { display: grid; gap: 0.8rem; padding: 1.1rem 1.25rem; }
h2 { outline: none; }
.kinds { display: grid; grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr)); gap: 0.5rem; }
.kinds label { display: grid; grid-template-columns: auto 1fr; gap: 0 0.6rem; align-items: center; align-content: center; min-height: 64px; padding: 0.4rem 0.8rem; border: 2px solid var(--line); border-radius: 8px; cursor: pointer; }
.kinds label.on { border-color: var(--ink); }
.kinds input { accent-color: var(--leaf); width: 1.2rem; height: 1.2rem; grid-row: span 2; }
.kinds span { color: var(--ink-2); font-size: 0.9rem; }
.pick { cursor: crosshair; max-width: 60rem; padding: 0.5rem 0; }
.fields > :deep(*) { min-height: 6.2rem; max-width: 20rem; }
.fields { display: flex; flex-wrap: wrap; gap: 0 1rem; }
.end { display: flex; flex-wrap: wrap; gap: 0.75rem; }
.end .key { min-height: 64px; font-size: 1.1rem; }
</style>
