<script setup lang="ts">
import type { Trait } from '#core/findings'
import type { FindingQuery } from '#schemas'

/** A question put together from its parts. */
const props = defineProps<{ asked: FindingQuery, values: Partial<Record<Trait, string[]>> }>()
const emit = defineEmits<{ ask: [change: Partial<Record<'of' | 'by' | 'among' | 'value', string | undefined>>] }>()
const ALL = 'all pens'
const amongChoices = computed(() => [
  { label: 'all pens', value: ALL },
  ...byChoices.filter(one => props.values[one.value]?.length).map(({ label, value }) => ({ label: `by ${label}`, value })),
])
const valuesOf = (trait: Trait) => props.values[trait] ?? []
const values = computed(() => {
  const { among } = props.asked
  return among ? valuesOf(among).map(value => ({ label: valueLabel(among, value), value })) : []
})
function among(trait: string) {
  if (trait === ALL) return emit('ask', { among: undefined, value: undefined })
  emit('ask', { among: trait, value: valuesOf(trait as Trait)[0] })
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
        :model-value="asked.by" :items="byChoices" size="xl" aria-label="By what" @update:model-value="emit('ask', { by: $event })"
      />
    </UFormField>
    <UFormField label="Among">
      <USelect
        :model-value="asked.among ?? ALL" :items="amongChoices" size="xl" aria-label="Among which"
        @update:model-value="among($event)"
      />
    </UFormField>
    <UFormField v-if="asked.among && asked.value" :label="byLabel(asked.among)">
      <USelect
        :model-value="asked.value" :items="values" size="xl" aria-label="Of which value"
        @update:model-value="emit('ask', { value: $event })"
      />
    </UFormField>
  </form>
</template>

<style scoped>
form { display: grid; grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr)); gap: 0.8rem 1rem; padding: 1rem 1.1rem; }
</style>
