<script setup lang="ts">
import { counted } from '#core/format'
import { intakeKind } from '#schemas/intake'
import type { Field, IntakeKnown, Mapping, Value } from '#schemas/intake'
import type { IntakeView } from '~/utils/intake-talk'
import { valueWords } from '~/utils/intake-words'

/** The first rows of a sheet as they would come in, and what is wrong with others, each fault at its cell. */
const props = defineProps<{ view: IntakeView, known: IntakeKnown }>()
const emit = defineEmits<{ read: [change: Partial<Mapping>] }>()
const workshop = useWorkshop()
const { units } = storeToRefs(workshop)

const says = (field: Field, value: Value | undefined) => valueWords(field, value, props.known, units.value, workshop.inMoney)
const kind = computed(() => intakeKind(props.view.name))
/** What any of the rows that are shown says. */
const said = computed(() => kind.value.fields.filter(({ field }) => props.view.first.some(row => row.values[field] !== undefined)))
const faulty = computed(() => props.view.faulty.map(({ row, cells }) => ({
  number: row.number,
  name: String(row.values.name ?? row.values.item ?? ''),
  faults: row.faults.map(({ field, column, says }) => ({
    says, column, name: kind.value.fields.find(one => one.field === field)?.says ?? field,
    text: column === null ? '' : props.view.mapping.cells[`${row.number}:${column}`] ?? cells[column] ?? '',
  })),
})))
const more = computed(() => props.view.wrong.length - props.view.worded - props.view.faulty.length)
const right = (row: number, column: number, text: string) =>
  emit('read', { cells: { ...props.view.mapping.cells, [`${row}:${column}`]: text } })
</script>

<template>
  <section class="sheet" aria-labelledby="first">
    <h2 id="first">As they would come in</h2>
    <p v-if="!view.first.length" class="quiet">No row can come in yet.</p>
    <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -->
    <div v-else class="wide" role="region" aria-label="The first rows as they would come in" tabindex="0">
      <table>
        <thead>
          <tr><th scope="col">Row</th><th v-for="field in said" :key="field.field" scope="col">{{ field.says }}</th></tr>
        </thead>
        <tbody>
          <tr v-for="row in view.first" :key="row.number">
            <th scope="row">{{ row.number }}</th>
            <td v-for="field in said" :key="field.field">{{ says(field, row.values[field.field]) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <template v-if="view.wrong.length">
      <h3 class="harm">◆ {{ counted(view.wrong.length, 'row') }} with something wrong</h3>
      <ul class="wrong">
        <li v-for="row in faulty" :key="row.number">
          <p><b>Row {{ row.number }}</b> {{ row.name }}</p>
          <div v-for="fault in row.faults" :key="fault.name" class="fault">
            <UFormField :label="fault.name" :error="fault.says">
              <FieldCell
                v-if="fault.column !== null" :value="fault.text" :label="`${fault.name} in row ${row.number}`"
                @said="right(row.number, fault.column, $event)"
              />
            </UFormField>
          </div>
        </li>
      </ul>
      <p v-if="more" class="quiet">And {{ counted(more, 'more row') }}: put a column right, and many go at once.</p>
      <p v-if="view.worded" class="quiet">
        {{ counted(view.worded, 'row') }} {{ faulty.length ? 'more' : '' }} with words that are not known here: say above what they mean.
      </p>
    </template>
  </section>
</template>

<style scoped>
section { display: grid; gap: 0.6rem; padding: 1rem 1.25rem; min-width: 0; }
.wide { overflow-x: auto; }
table { border-collapse: collapse; min-width: 100%; }
th, td { text-align: left; padding: 0.35rem 1rem 0.35rem 0; border-bottom: 1px solid var(--line); white-space: nowrap; font-weight: 400; }
thead th { color: var(--ink-2); font-size: 0.95rem; }
.wrong { display: grid; gap: 0.7rem; }
.wrong li { display: flex; flex-wrap: wrap; align-items: start; gap: 0.4rem 1.2rem; }
.wrong li { padding-top: 0.6rem; border-top: 1px solid var(--line); }
.wrong p { min-width: 9rem; }
</style>
