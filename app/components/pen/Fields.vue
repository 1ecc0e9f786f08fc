<script setup lang="ts">
import type { NewPen } from '#schemas'
import { rankedMethods } from '#core/method'
import { materialOf, materials } from '#reference'

/** The fields of a pen, for starting one and for changing one. Errors keep their room, so that nothing jumps. */
const form = defineModel<NewPen>({ required: true })
defineProps<{ errors: Record<string, string> }>()
const stock = useStock()
const methods = useMethods()
const { units } = storeToRefs(useWorkshop())

const NONE = 'none'
const fittings = computed(() =>
  (stock.fittings ?? []).map(({ fitting, sets }) => ({ label: `${fitting.name}${sets ? `, ${sets} there` : ''}`, value: fitting.id })),
)
const blanks = computed(() => [
  { label: 'Not from the shelf', value: NONE },
  ...stock.sticks
    .filter(one => one.count > 0 || one.id === form.value.blank)
    .map(one => ({
      label: [
        one.name,
        one.width && one.length ? `${units.value.length(one.width, 0)} × ${units.value.length(one.length, 0)}` : '',
        `${one.count} there`,
      ]
        .filter(Boolean)
        .join(', '),
      value: one.id,
    })),
])
/** A blank brings its material with it; one of its own keeps the nearest known one beside it. */
function chooseBlank(id: string) {
  form.value.blank = id === NONE ? null : id
  const blank = stock.blank(form.value.blank)
  if (blank) form.value.material = blank.material ?? 'unknown'
}
const ofBlank = computed(() => {
  const blank = stock.blank(form.value.blank ?? null)
  return blank && materialOf(blank).name
})

/** The finishes, those that suit the blank first. */
const finishes = computed(() => {
  const from = stock.blank(form.value.blank ?? null)
  const material = from ? materialOf(from) : materials.find(row => row.id === form.value.material)
  const all = methods.methods ?? []
  if (!material) return choose(all)
  return rankedMethods(all, material).map(({ method, verdict }) => ({
    label: verdict === 'suits' ? method.name : `${method.name}, ${verdict}`,
    value: method.id,
  }))
})
const choose = (rows: readonly { id: string, name: string }[]) => rows.map(row => ({ label: row.name, value: row.id }))
const tools = [
  { label: 'Skew', value: 'skew' },
  { label: 'Round carbide', value: 'round carbide' },
  { label: 'Square carbide', value: 'square carbide' },
  { label: 'Gouge', value: 'gouge' },
] satisfies { label: string, value: NewPen['tool'] }[]
const films = [
  { label: 'Deep gloss', value: 'gloss' },
  { label: 'Close to the wood', value: 'close' },
] satisfies { label: string, value: NewPen['film'] }[]
</script>

<template>
  <div class="fields">
    <UFormField class="mark" label="Witness mark" name="mark" :error="errors.mark ?? false" required>
      <UInput
        v-model="form.mark" size="xl" maxlength="4" autocomplete="off" autocapitalize="characters"
        @update:model-value="form.mark = String($event).toUpperCase().trim()"
      />
    </UFormField>
    <UFormField class="name" label="Name" name="name" :error="errors.name ?? false" required>
      <UInput v-model="form.name" size="xl" maxlength="80" autocomplete="off" />
    </UFormField>
    <UFormField label="Fitting" name="fitting" :error="errors.fitting ?? false" required>
      <USelect v-model="form.fitting" size="xl" :items="fittings" placeholder="Choose a fitting" />
    </UFormField>
    <UFormField label="Blank" name="blank" :error="errors.blank ?? false">
      <USelect :model-value="form.blank ?? NONE" size="xl" :items="blanks" @update:model-value="chooseBlank(String($event))" />
    </UFormField>
    <UFormField label="Material" name="material" :error="errors.material ?? false" :hint="ofBlank ? 'as the blank' : undefined" required>
      <UInput v-if="ofBlank" :model-value="ofBlank" size="xl" readonly />
      <USelect v-else v-model="form.material" size="xl" :items="choose(materials)" placeholder="Choose a material" />
    </UFormField>
    <UFormField label="Finish" name="method" :error="errors.method ?? false" required>
      <USelect v-model="form.method" size="xl" :items="finishes" />
    </UFormField>
    <UFormField label="How much film" name="film" :error="errors.film ?? false">
      <USelect v-model="form.film" size="xl" :items="films" />
    </UFormField>
    <UFormField label="Last tool on the wood" name="tool" :error="errors.tool ?? false">
      <USelect v-model="form.tool" size="xl" :items="tools" />
    </UFormField>
    <UFormField label="Due" name="due" :error="errors.due ?? false">
      <UInput :model-value="form.due ?? ''" size="xl" type="date" @update:model-value="form.due = String($event) || null" />
    </UFormField>
    <UFormField class="wide" label="For whom, or why" name="reason" :error="errors.reason ?? false">
      <UInput
        :model-value="form.reason ?? ''" size="xl" maxlength="120" autocomplete="off"
        @update:model-value="form.reason = String($event).trim() ? String($event) : null"
      />
    </UFormField>
  </div>
</template>

<style scoped>
.fields { display: grid; grid-template-columns: repeat(2, minmax(0, 1fr)); gap: 0 1rem; }
.fields > :deep(*) { min-height: 6.1rem; }
.fields :deep(input), .fields :deep(button) { width: 100%; }
.fields > :deep(*) > div:last-child > * { width: 100%; }
.wide { grid-column: 1 / -1; }
@media (max-width: 480px) { .fields { grid-template-columns: minmax(0, 1fr); } }
</style>
