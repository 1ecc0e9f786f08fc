<script setup lang="ts">
import { materialOf, materials } from '#reference'
import { SAME, type SeveralRow } from '~/composables/useSeveral'

/** Each of several pens that are started at once: its mark, its name, and its wood where that is another. */
const rows = defineModel<SeveralRow[]>({ required: true })
defineProps<{ errors: Record<string, string> }>()
const stock = useStock()
const woods = computed(() => [
  { label: 'As above', value: SAME },
  ...stock.sticks
    .filter(one => one.count > 0)
    .map(one => ({ label: `${one.name}, ${materialOf(one).name}`, value: `blank ${one.id}` })),
  ...materials.map(one => ({ label: one.name, value: `material ${one.id}` })),
])
const faultOf = (errors: Record<string, string>, index: number) =>
  Object.entries(errors).filter(([field]) => field.startsWith(`pens[${index}].`)).map(([, says]) => says).join(' ')
</script>

<template>
  <ol class="several" aria-label="The pens">
    <li v-for="(row, index) in rows" :key="index">
      <UInput
        v-model="row.mark" class="mark" size="lg" maxlength="4" autocapitalize="characters" :aria-label="`Witness mark of pen ${index + 1}`"
        @update:model-value="row.mark = String($event).toUpperCase().trim()"
      />
      <UInput
        v-model="row.name" class="name" size="lg" maxlength="80" :aria-label="`Name of pen ${index + 1}`"
        @update:model-value="row.own = true"
      />
      <USelect v-model="row.wood" class="wood" size="lg" :items="woods" :aria-label="`Wood of pen ${index + 1}`" />
      <p v-if="faultOf(errors, index)" class="harm" role="alert">◆ {{ faultOf(errors, index) }}</p>
    </li>
  </ol>
</template>

<style scoped>
.several { display: grid; gap: 0.4rem; margin-block: 0.9rem 1rem; }
li { display: grid; grid-template-columns: 4.6rem minmax(0, 1fr) minmax(0, 1fr); gap: 0.4rem; }
li :deep(input), li :deep(button) { width: 100%; min-height: 44px; }
.harm { grid-column: 1 / -1; }
</style>
