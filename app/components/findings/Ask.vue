<script setup lang="ts">
import { conditionOf, conditionText, MOST_CONDITIONS, type Condition, type Trait } from '#core/findings'
import type { FindingQuery } from '#schemas'

/** A question put together from its parts. */
const props = defineProps<{ asked: FindingQuery, values: Partial<Record<Trait, string[]>> }>()
const emit = defineEmits<{ ask: [change: Partial<Pick<FindingQuery, 'of' | 'by' | 'among'>>] }>()
const NONE = 'none'
const conditions = computed(() => (props.asked.among ?? []).flatMap(text => conditionOf(text) ?? []))
/** Those that are put, and room for one more. */
const rows = computed((): (Condition | undefined)[] =>
  (conditions.value.length < MOST_CONDITIONS ? [...conditions.value, undefined] : conditions.value))
const valuesOf = (trait: Trait) => props.values[trait] ?? []
/** What can be chosen in a row: traits that no other row has. */
function traitsFor(row: Condition | undefined) {
  const taken = conditions.value.filter(one => one !== row).map(one => one.trait)
  const all = { label: conditions.value.length && !row ? 'all of these' : 'all pens', value: NONE }
  const others = byChoices.filter(one => !taken.includes(one.value) && props.asked.by !== one.value && props.values[one.value]?.length)
  return [row ? { label: 'take this away', value: NONE } : all, ...others.map(({ label, value }) => ({ label: `by ${label}`, value }))]
}
const numbered = (label: string, index: number) => (index ? `${label}, ${index + 1}` : label)
/** Who made them is asked where pens of more than nobody are there. */
const asksBy = computed(() => byChoices.filter(({ value }) => value !== 'who' || props.asked.by === 'who' || valuesOf('who').length > 0))
const choicesOf = (trait: Trait) => valuesOf(trait).map(value => ({ label: valueLabel(trait, value), value }))
function put(index: number, trait: string, value: string | undefined = valuesOf(trait as Trait)[0]) {
  const next = [...conditions.value]
  if (trait === NONE) next.splice(index, 1)
  else if (value !== undefined) next.splice(index, 1, { trait: trait as Trait, value })
  emit('ask', { among: next.map(conditionText) })
}
</script>

<template>
  <form class="sheet filled" aria-label="Question" @submit.prevent>
    <UFormField :label="asksHowMuch(asked.of) ? 'How much' : 'How often'">
      <USelect
        :model-value="asked.of" :items="ofChoices" size="xl" aria-label="Of what" @update:model-value="emit('ask', { of: $event })"
      />
    </UFormField>
    <UFormField label="By">
      <USelect
        :model-value="asked.by" :items="asksBy" size="xl" aria-label="By what" @update:model-value="emit('ask', { by: $event })"
      />
    </UFormField>
    <template v-for="(row, index) in rows" :key="index">
      <UFormField :label="index ? 'And among' : 'Among'">
        <USelect
          :model-value="row?.trait ?? NONE" :items="traitsFor(row)" size="xl" :aria-label="numbered('Among which', index)"
          @update:model-value="put(index, $event)"
        />
      </UFormField>
      <UFormField v-if="row" :label="byLabel(row.trait)">
        <USelect
          :model-value="row.value" :items="choicesOf(row.trait)" size="xl" :aria-label="numbered('Of which value', index)"
          @update:model-value="put(index, row.trait, $event)"
        />
      </UFormField>
    </template>
  </form>
</template>

<style scoped>
form { display: grid; grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr)); gap: 0.8rem 1rem; padding: 1rem 1.1rem; }
</style>
