<script setup lang="ts">
import { barrelNames, shapeNames, type Shape, type ShapeKind } from '#core/barrel'
import { capital } from '#core/format'
import type { SizedBarrel } from '#core/plan'
import { asKind, pointsOf, withNewPoint, withPoint } from '~/utils/shape-edits'

/** The outline of one barrel: its kind, how full it is, and the points of a free one. */
const props = defineProps<{ of: SizedBarrel }>()
const emit = defineEmits<{ shape: [shape: Shape] }>()
const { units } = storeToRefs(useWorkshop())

const kinds = (Object.entries(shapeNames) as [ShapeKind, string][]).map(([value, label]) => ({ value, label: capital(label) }))
const MOST_BULGE = 8
const MOST_POINTS = 12
const points = computed(() => pointsOf(props.of.shape))
function setKind(kind: ShapeKind) {
  if (kind !== props.of.shape.kind) emit('shape', asKind(props.of, kind))
}
function setBulge(bulge: number | null) {
  const { shape } = props.of
  if (bulge !== null && bulge <= MOST_BULGE && 'bulge' in shape) emit('shape', { ...shape, bulge })
}
function setAt(index: number, mm: number | null) {
  const length = props.of.barrel.tubeLength
  if (mm !== null && mm > 0 && mm < length) emit('shape', withPoint(props.of.shape, index, { part: mm / length }))
}
function setDiameter(index: number, diameter: number | null) {
  if (diameter !== null && diameter > 0 && diameter <= 40) emit('shape', withPoint(props.of.shape, index, { diameter }))
}
</script>

<template>
  <div class="shape">
    <UFormField label="Shape">
      <USelect :model-value="of.shape.kind" size="lg" :items="kinds" @update:model-value="setKind($event as ShapeKind)" />
    </UFormField>
    <FieldMeasure
      v-if="'bulge' in of.shape && of.shape.bulge >= 0" :model-value="of.shape.bulge" label="Fuller than straight by" size="lg"
      :error="of.shape.bulge > MOST_BULGE ? 'More than 8 mm: no hand holds that.' : undefined" @update:model-value="setBulge($event)"
    />
    <input
      v-if="'bulge' in of.shape" type="range" min="-1" max="4" step="0.05" :value="of.shape.bulge"
      :aria-label="`How full the ${barrelNames[of.barrel.id]} is`" :aria-valuetext="units.length(of.shape.bulge)"
      @input="setBulge(Number(($event.target as HTMLInputElement).value))"
    >
    <ul v-if="of.shape.kind === 'free'" class="points">
      <li v-for="(point, index) in points" :key="index">
        <FieldMeasure
          :model-value="point.part * of.barrel.tubeLength" label="From the tip" size="lg" :error="undefined"
          @update:model-value="setAt(index, $event)"
        />
        <FieldMeasure :model-value="point.diameter" label="Diameter" size="lg" @update:model-value="setDiameter(index, $event)" />
        <button type="button" class="link" @click="emit('shape', withPoint(of.shape, index, null))">leave out</button>
      </li>
      <li>
        <button type="button" class="link" :disabled="points.length >= MOST_POINTS" @click="emit('shape', withNewPoint(of))">
          one point more
        </button>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.link { min-height: 28px; padding: 0 0.2rem; text-decoration: underline; color: var(--leaf); cursor: pointer; }
.shape { display: grid; grid-template-columns: repeat(2, minmax(0, 1fr)); gap: 0.4rem 0.9rem; align-items: start; }
.shape :deep(button[role=combobox]) { width: 100%; }
.shape input[type=range] { grid-column: 1 / -1; width: 100%; min-height: 28px; accent-color: var(--leaf); }
.points { grid-column: 1 / -1; display: grid; gap: 0.4rem; }
.points li { display: grid; grid-template-columns: 1fr 1fr auto; gap: 0.6rem; align-items: end; }
</style>
