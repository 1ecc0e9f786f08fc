<script setup lang="ts">
import { capital } from '#core/format'
import type { FieldErrors } from '#schemas'
import type { After, Layer } from '#core/method'
import { coatRoles, isCa, type CoatRole } from '#core/shelf'
import type { Applicator } from '#core/film'

/** The products of a method in the order they go on: how many coats, how each is put on, and what is done to it once dry. */
const layers = defineModel<readonly Layer[]>({ required: true })
defineProps<{ errors: FieldErrors }>()

const roles = coatRoles.map(role => ({ label: capital(role), value: role }))
const applicators: { label: string, value: Applicator }[] = [
  { label: 'Closed-cell foam', value: 'foam' },
  { label: 'Paper towel', value: 'towel' },
  { label: 'Spray', value: 'spray' },
  { label: 'Stick', value: 'stick' },
]
const AFTERS: { label: string, value: string }[] = [
  { label: 'Nothing', value: 'none' },
  { label: 'Buff each', value: 'buff each' },
  { label: 'Buff the last', value: 'buff last' },
  { label: 'Cut each back', value: 'cut back each' },
  { label: 'Cut back between', value: 'cut back between' },
  { label: 'Wipe each off', value: 'wipe off each' },
]
const afterKey = (after: After | null) => (after ? `${after.do} ${after.when}` : 'none')
function afterOf(key: string): After | null {
  if (key === 'none') return null
  const at = key.lastIndexOf(' ')
  return { do: key.slice(0, at), when: key.slice(at + 1) } as After
}
function change(index: number, part: Partial<Layer>) {
  layers.value = layers.value.map((layer, at) => (at === index ? { ...layer, ...part } : layer))
}
function move(from: number, to: number) {
  const order = [...layers.value]
  order.splice(to, 0, ...order.splice(from, 1))
  layers.value = order
}
/** A product brings what goes with it: foam and accelerator for CA, towel for the rest. */
function setRole(index: number, role: CoatRole) {
  const now = layers.value[index]
  if (!now) return
  change(index, {
    role,
    ...(isCa(role) === isCa(now.role) ? {} : { applicator: isCa(role) ? 'foam' : 'towel', accelerate: isCa(role), after: null }),
    ...(role === 'spray lacquer' ? { applicator: 'spray', speed: 0 } : role === 'hard wax' ? { applicator: 'stick' } : {}),
  })
}
const add = () => {
  layers.value = [
    ...layers.value,
    { role: 'thin CA', count: 1, soak: false, accelerate: true, applicator: 'foam', speed: 500, after: null },
  ]
}
const ranged = (count: Layer['count']) => typeof count !== 'number'
/** A fixed count becomes a range up to what is usual at most, a range its least. */
const otherCount = (count: Layer['count']): Layer['count'] =>
  typeof count === 'number' ? { least: count, most: Math.max(count, 12) } : count.least
const fault = (errors: FieldErrors, index: number, field: string) => errors[`layers[${index}].${field}`] ?? false
</script>

<template>
  <ol class="layers">
    <li v-for="(layer, index) in layers" :key="index" class="sheet">
      <div class="row">
        <span class="place">{{ index + 1 }}</span>
        <UFormField label="Product" :error="fault(errors, index, 'role')">
          <USelect :model-value="layer.role" size="lg" :items="roles" @update:model-value="setRole(index, $event)" />
        </UFormField>
        <UFormField
          label="Coats"
          :error="fault(errors, index, 'count') || fault(errors, index, 'count.most') || fault(errors, index, 'count.least')"
        >
          <div v-if="typeof layer.count !== 'number'" class="range">
            <UInputNumber
              :model-value="layer.count.least" size="lg" :min="1" :max="30" aria-label="At least"
              @update:model-value="change(index, { count: { least: $event ?? 1, most: (layer.count as { most: number }).most } })"
            />
            <span>to</span>
            <UInputNumber
              :model-value="layer.count.most" size="lg" :min="1" :max="30" aria-label="At most"
              @update:model-value="change(index, { count: { least: (layer.count as { least: number }).least, most: $event ?? 1 } })"
            />
          </div>
          <UInputNumber
            v-else :model-value="layer.count" size="lg" :min="1" :max="30" @update:model-value="change(index, { count: $event ?? 1 })"
          />
        </UFormField>
        <UFormField label="Put on with" :error="fault(errors, index, 'applicator')">
          <USelect
            :model-value="layer.applicator" size="lg" :items="applicators" @update:model-value="change(index, { applicator: $event })"
          />
        </UFormField>
        <UFormField label="rev/min, 0 off" :error="fault(errors, index, 'speed')">
          <UInputNumber
            :model-value="layer.speed" size="lg" :min="0" :max="5000" :step="100" :step-snapping="false"
            @update:model-value="change(index, { speed: $event ?? 0 })"
          />
        </UFormField>
        <UFormField label="Once dry" :error="fault(errors, index, 'after')">
          <USelect
            :model-value="afterKey(layer.after)" size="lg" :items="AFTERS"
            @update:model-value="change(index, { after: afterOf($event) })"
          />
        </UFormField>
      </div>
      <div class="row ticks">
        <label>

          <input
            type="checkbox" :checked="ranged(layer.count)"
            @change="change(index, { count: otherCount(layer.count) })"
          > as many as the depth asks
        </label>
        <label><input type="checkbox" :checked="layer.soak" @change="change(index, { soak: !layer.soak })"> soaks in</label>
        <label>
          <input type="checkbox" :checked="layer.accelerate" @change="change(index, { accelerate: !layer.accelerate })"> accelerator
        </label>
        <span class="acts">
          <button
            type="button" class="key" :disabled="index === 0" :aria-label="`${capital(layer.role)} earlier`"
            @click="move(index, index - 1)"
          >
            ↑
          </button>
          <button
            type="button" class="key" :disabled="index === layers.length - 1" :aria-label="`${capital(layer.role)} later`"
            @click="move(index, index + 1)"
          >
            ↓
          </button>
          <button
            type="button" class="key" :aria-label="`Leave ${layer.role} out`" @click="layers = layers.filter((_, at) => at !== index)"
          >
            Leave out
          </button>
        </span>
        <p v-if="fault(errors, index, 'accelerate')" class="harm">◆ {{ fault(errors, index, 'accelerate') }}</p>
      </div>
    </li>
  </ol>
  <p v-if="errors.layers" class="harm" role="alert">◆ {{ errors.layers }}</p>
  <button v-if="layers.length < 6" type="button" class="key add" @click="add">Add a product</button>
</template>

<style scoped>
.layers { display: grid; gap: 0.6rem; }
.layers li { display: grid; gap: 0.2rem; padding: 0.7rem 0.9rem; }
.row {
  display: grid;
  grid-template-columns: 1.5rem minmax(9rem, 3fr) minmax(7rem, 3fr) minmax(8rem, 3fr) minmax(6.5rem, 2fr) minmax(8rem, 3fr);
  gap: 0.4rem 0.8rem;
  align-items: end;
}
.row :deep(button[role=combobox]), .row :deep(input:not([type=checkbox])) { width: 100%; }
.place { align-self: center; font: 700 1.2rem var(--font-head); color: var(--ink-2); }
.range { display: grid; grid-template-columns: 1fr auto 1fr; gap: 0.3rem; align-items: center; }
.ticks { display: flex; flex-wrap: wrap; align-items: center; padding-left: 2.3rem; gap: 0 1.2rem; }
label { display: flex; align-items: center; gap: 0.45rem; min-height: 44px; cursor: pointer; }
.ticks input { width: 1.2rem; height: 1.2rem; accent-color: var(--leaf); }
.acts { display: flex; gap: 0.4rem; margin-left: auto; }
.acts .key { min-height: 40px; padding: 0.2rem 0.7rem; border-width: 1px; }
.add { justify-self: start; }
@media (max-width: 1000px) {
  .row { grid-template-columns: 1.5rem minmax(0, 1fr) minmax(0, 1fr); }
  .row > :nth-child(n+4) { grid-column: span 1; }
  .ticks { padding-left: 0; }
}
@media (max-width: 560px) { .row:not(.ticks) { grid-template-columns: minmax(0, 1fr); } }
</style>
