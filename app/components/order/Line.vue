<script setup lang="ts">
import type { ListedPen } from '#contract'
import type { OrderLine } from '#schemas'
import { materials } from '#reference'

/** One pen of an order: what is wished for, what it is sold for, and the pen that stands for it. */
const line = defineModel<OrderLine>({ required: true })
const props = defineProps<{
  order: string
  /** Whether the order is kept already: a pen can only be started for one that is. */
  kept: boolean
  number: number
  pens: readonly ListedPen[]
  /** Whether more of them can stand for it than these. */
  morePens: boolean
  errors: Record<string, string>
  due: string | null
  reason: string | null
}>()
defineEmits<{ remove: [], found: [pens: readonly ListedPen[]] }>()
const stock = useStock()
const methods = useMethods()
const byName = (rows: readonly { id: string, name: string }[]) => [
  { label: 'Any', value: ANY },
  ...rows.map(({ id, name }) => ({ label: name, value: id })).sort((a, b) => a.label.localeCompare(b.label, 'en')),
]
const fittings = computed(() => byName((stock.fittings ?? []).map(one => one.fitting)))
const finishes = computed(() => byName(methods.methods ?? []))
const woods = byName(materials)
const chosen = (field: 'fitting' | 'material' | 'method') => computed({
  get: () => line.value[field] ?? ANY,
  set: (value: string) => {
    line.value = { ...line.value, [field]: value === ANY ? null : value }
  },
})
const [fitting, material, method] = [chosen('fitting'), chosen('material'), chosen('method')]
/** The pen that is chosen brings what it is made of with it. */
const pen = computed({
  get: () => line.value.pen ?? null,
  set: (id: string | null) => {
    const found = props.pens.find(one => one.pen.id === id)?.pen
    const as = found ? { fitting: found.fitting, material: found.material as OrderLine['material'], method: found.method } : {}
    const price = line.value.price ?? found?.asked ?? null
    line.value = { ...line.value, ...as, price, pen: id }
  },
})
const stands = computed(() => props.pens.find(one => one.pen.id === line.value.pen))
/** Where a pen is started for this line, with what is wished for. */
const start = computed(() => ({
  path: '/pens/new',
  query: {
    order: props.order, line: line.value.id,
    ...(line.value.fitting ? { fitting: line.value.fitting } : {}),
    ...(line.value.material ? { material: line.value.material } : {}),
    ...(line.value.method ? { method: line.value.method } : {}),
    ...(props.due ? { due: props.due } : {}),
    ...(props.reason ? { reason: props.reason } : {}),
  },
}))
const { inMoney } = useWorkshop()
/** What is wished for, in one line. */
const says = computed(() => {
  const name = (rows: readonly { label: string, value: string }[], id: string | null) => rows.find(one => id && one.value === id)?.label
  const { fitting: f, material: m, method: w, wish } = line.value
  const said = [name(fittings.value, f), name(woods, m), name(finishes.value, w), wish].filter(Boolean).join(', ')
  return said || 'nothing said yet'
})
/** One that is new, or of which something is wrong, is open. */
const opens = computed(() => !props.kept || (!line.value.pen && !line.value.fitting) || Object.keys(props.errors).length > 0)
const before = shallowRef<string>()
/** What such pens brought before, where it is said which. */
watch(() => [line.value.fitting, line.value.material, line.value.method], async ([f, m, w]) => {
  before.value = undefined
  if (!f || !m || !w) return
  const told = await api('GET /api/brought', { query: { fitting: f, material: m, method: w } }).catch(() => undefined)
  if (told) before.value = broughtWords(told, inMoney)
}, { immediate: true })
</script>

<template>
  <details class="sheet" :open="opens" :aria-label="`Pen ${number}`">
    <summary class="opens figures">
      <b>Pen {{ number }}</b><PenTag v-if="stands" :mark="stands.pen.mark" /><span>{{ says }}</span>
      <span v-if="line.price !== null" class="price">{{ inMoney(line.price) }}</span>
    </summary>
    <div class="fields filled">
      <UFormField label="Fitting" :error="errors.fitting ?? false"><USelect v-model="fitting" size="lg" :items="fittings" /></UFormField>
      <UFormField label="Material" :error="errors.material ?? false"><USelect v-model="material" size="lg" :items="woods" /></UFormField>
      <UFormField label="Finish" :error="errors.method ?? false"><USelect v-model="method" size="lg" :items="finishes" /></UFormField>
      <FieldMoney v-model="line.price" label="Price" :error="errors.price" :hint="before" />
      <UFormField label="Refill" :error="errors.refill ?? false"><UInput v-model="line.refill" size="lg" maxlength="60" /></UFormField>
      <UFormField label="Packing" :error="errors.packing ?? false"><UInput v-model="line.packing" size="lg" maxlength="60" /></UFormField>
      <UFormField class="wide" label="Wishes" :error="errors.wish ?? false">
        <UInput v-model="line.wish" size="lg" maxlength="300" />
      </UFormField>
      <OrderPen v-model="pen" class="wide" :pens="pens" :more="morePens" :error="errors.pen" @found="$emit('found', $event)" />
      <p class="acts">
        <NuxtLink v-if="stands" class="key" :to="`/pens/${stands.pen.id}/record`">Look at {{ stands.pen.mark }}</NuxtLink>
        <NuxtLink v-else-if="kept" class="key" :to="start">Start a pen for it</NuxtLink>
        <button type="button" class="key" @click="$emit('remove')">Take this line out</button>
      </p>
    </div>
  </details>
</template>

<style scoped>
summary { flex-wrap: wrap; padding: 0.4rem 1.1rem; }
.price { margin-left: auto; font-weight: 700; }
.fields { display: grid; grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr)); gap: 0.5rem 1rem; padding: 0.3rem 1.1rem 1rem; }
.wide { grid-column: span 2; }
.acts { display: flex; flex-wrap: wrap; align-items: end; gap: 0.6rem; grid-column: 1 / -1; }
@media (max-width: 640px) { .wide { grid-column: auto; } }
</style>
