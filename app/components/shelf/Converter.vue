<script setup lang="ts">
import { nth } from '#core/sure'
import { decimal } from '#core/format'
import { abrasiveName, inEveryScale, scaleTables, type AbrasiveScale } from '#core/abrasives'

/** “What is this pad in paper?”: one mark, and the nearest in every other scale, by grain. */
const scale = ref<AbrasiveScale>('pad')
const mark = ref('1500')
const SCALES = [
  { label: 'Paper, P', value: 'P' },
  { label: 'Paper, CAMI', value: 'CAMI' },
  { label: 'Cushioned pad', value: 'pad' },
  { label: 'Film, µm', value: 'micron' },
] satisfies { label: string, value: AbrasiveScale }[]
const marks = computed(() => (scale.value === 'micron' ? [] : Object.keys(scaleTables[scale.value].grains)))
watch(scale, (now) => {
  mark.value = now === 'micron' ? '9' : nth(marks.value, 0)
})
const asked = computed(() => ({ scale: scale.value, mark: Number(mark.value.replace(',', '.')) }))
const found = computed(() =>
  (Number.isFinite(asked.value.mark) && asked.value.mark > 0 && asked.value.mark < 1000) || scale.value !== 'micron'
    ? inEveryScale(asked.value)
    : undefined,
)
const others = computed(() => {
  const all = found.value
  return all
    ? SCALES.filter(one => one.value !== scale.value && one.value !== 'micron').map(one => ({
        name: one.label,
        ...all[one.value],
      }))
    : []
})
const apart = (ratio: number) =>
  Math.abs(ratio - 1) < 0.02
    ? 'the same'
    : ratio > 1
      ? `this one is ${decimal(ratio, 2)} times as coarse`
      : `this one is ${decimal(1 / ratio, 2)} times as fine`
</script>

<template>
  <div class="converter figures">
    <div class="ask filled">
      <UFormField label="What is"><USelect v-model="scale" size="xl" :items="SCALES" /></UFormField>
      <UFormField v-if="scale !== 'micron'" label="Number">
        <USelect v-model="mark" size="xl" :items="marks.map(one => ({ label: one, value: one }))" />
      </UFormField>
      <UFormField v-else label="Grain, µm" :error="found ? false : 'Type a grain between 0 and 1000 µm.'">
        <UInput v-model="mark" size="xl" inputmode="decimal" />
      </UFormField>
    </div>
    <p v-if="found" role="status" class="answer">
      <b>{{ found.micron.grain }} µm:</b>
      <template v-for="(one, index) in others" :key="one.name">
        {{ index ? '; ' : ' ' }}<template v-if="one.outside">
          nothing in {{ one.name.toLowerCase().replace('cami', 'CAMI').replace(/, p$/, ', P') }} comes near
        </template>
        <template v-else>nearest {{ abrasiveName(one.mark) }} with {{ one.grain }} µm, {{ apart(one.ratio) }}</template>
      </template>.
    </p>
  </div>
</template>

<style scoped>
.converter { display: grid; gap: 0.4rem; }
.ask { display: grid; grid-template-columns: 14rem 10rem; gap: 0 1rem; }
.ask > :deep(*) { min-height: 5.4rem; }
.answer { font-size: 1.1rem; }
@media (max-width: 480px) { .ask { grid-template-columns: 1fr 1fr; } }
</style>
