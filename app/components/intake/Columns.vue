<script setup lang="ts">
import { intakeKind } from '#schemas/intake'
import type { Field, IntakeKnown, Mapping } from '#schemas/intake'
import type { IntakeView } from '~/utils/intake-talk'

/** Which column of a sheet says what, and what is said for all rows where no column does. */
const props = defineProps<{ view: IntakeView, known: IntakeKnown }>()
const emit = defineEmits<{ read: [change: Partial<Mapping>] }>()

const OUT = '-'
const kind = computed(() => intakeKind(props.view.name))
const items = computed(() => [
  { label: 'left out', value: OUT },
  ...kind.value.fields.map(({ field, says, needed }) => ({ label: needed ? `${says} *` : says, value: field })),
])
const fieldOf = (column: number) => Object.entries(props.view.mapping.columns).find(([, at]) => at === column)?.[0] ?? OUT
function map(column: number, field: string) {
  const others = Object.entries(props.view.mapping.columns).filter(([name, at]) => name !== field && at !== column)
  emit('read', { columns: Object.fromEntries(field === OUT ? others : [...others, [field, column]]) })
}
/** What has no column: what is needed first of all, and what can be chosen. */
const unsaid = computed(() => kind.value.fields.filter(({ field, needed }) => needed && props.view.mapping.columns[field] === undefined))
const options = (field: Field) => field.among?.(props.known).map(({ id, name }) => ({ label: name, value: id })) ?? []
const sayAll = (field: string, text: string) => emit('read', { all: { ...props.view.mapping.all, [field]: text } })
const HINTS: Record<string, string> = { day: 'like 2026-12-24', length: 'like 7 mm', money: 'like 2.40' }
</script>

<template>
  <section class="sheet" aria-labelledby="columns">
    <h2 id="columns">Columns</h2>
    <p class="quiet">What each column says. Those marked * are needed.</p>
    <ul class="columns">
      <li v-for="(head, column) in view.heads" :key="column">
        <span class="head"><b>{{ head || `Column ${column + 1}` }}</b>
          <span class="quiet">{{ view.samples[column]?.join(' · ') || 'empty' }}</span></span>
        <USelect
          :model-value="fieldOf(column)" :items="items" size="lg" :aria-label="`What “${head || `column ${column + 1}`}” says`"
          @update:model-value="map(column, String($event))"
        />
      </li>
    </ul>
    <template v-if="unsaid.length">
      <h3>No column says this: say it for all rows</h3>
      <div class="all filled">
        <UFormField v-for="field in unsaid" :key="field.field" :label="field.says">
          <USelectMenu
            v-if="field.among" :model-value="view.mapping.all[field.field]" :items="options(field)" value-key="value" size="lg"
            placeholder="choose" :aria-label="field.says" @update:model-value="sayAll(field.field, String($event))"
          />
          <FieldCell
            v-else :value="view.mapping.all[field.field] ?? ''" :placeholder="HINTS[field.kind] ?? ''"
            @said="sayAll(field.field, $event)"
          />
        </UFormField>
      </div>
    </template>
  </section>
</template>

<style scoped>
section { display: grid; gap: 0.6rem; padding: 1rem 1.25rem; min-width: 0; }
.columns { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 17rem), 1fr)); gap: 0.7rem 1.2rem; }
.columns li { display: grid; gap: 0.25rem; min-width: 0; align-content: end; }
.head { display: grid; min-width: 0; }
.head > * { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
.all { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 14rem), 1fr)); gap: 0.6rem 1.2rem; }
h3 { margin-top: 0.4rem; }
</style>
