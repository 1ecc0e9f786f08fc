<script setup lang="ts">
import { capital } from '#core/format'
import { askingPrices, costParts, penCost, type Costed, type CostPart } from '#core/money'

/** What a pen costs, part by part, each opening to what went into it; and what may be asked for it. */
const props = defineProps<Costed>()
const store = usePrices()
onMounted(() => void store.load().catch(() => undefined))
const cost = computed(() => store.prices && penCost(props, store.prices))
const asking = computed(() => (cost.value && store.prices ? askingPrices(cost.value, props.handsOn, store.prices) : {}))
const LABELS: Record<CostPart, string> = {
  set: 'The set', blank: 'Its blank', finish: 'Coats', abrasives: 'Sheets and pads', packing: 'Packing', hands: 'Hands',
}
/** What such pens brought before. */
const before = shallowRef('')
const { inMoney } = useWorkshop()
onMounted(async () => {
  const { fitting, material, method } = props.plan.inputs
  const query = { fitting: fitting.id, material: material.id, method: method.id }
  const told = await api('GET /api/brought', { query }).catch(() => undefined)
  if (told) before.value = broughtWords(told, inMoney)
})
const isKnown = computed(() => cost.value && cost.value.missing.length < costParts.length)
</script>

<template>
  <div v-if="cost" class="cost">
    <table v-if="isKnown">
      <tbody>
        <tr v-for="part in costParts" :key="part">
          <th scope="row">{{ LABELS[part] }}</th>
          <td><FigureOpen v-if="cost.parts[part]" :figure="cost.parts[part]" /><span v-else class="quiet">not known</span></td>
        </tr>
        <tr class="total">
          <th scope="row">{{ cost.missing.length ? 'What is known' : 'In all' }}</th>
          <td><FigureOpen :figure="cost.total" /></td>
        </tr>
      </tbody>
    </table>
    <p v-if="before" class="figures">{{ capital(before) }}.</p>
    <p v-if="asking.byMargin || asking.byWage" class="asked">
      <span>{{ cost.missing.length ? 'To be asked for it, at the least:' : 'To be asked for it:' }}</span>
      <span v-if="asking.byMargin">by margin <b><FigureOpen :figure="asking.byMargin" /></b></span>
      <span v-if="asking.byWage">by wage <b><FigureOpen :figure="asking.byWage" /></b></span>
    </p>
    <p v-if="cost.missing.length" class="quiet">
      <template v-if="!isKnown">No price is known yet. </template><NuxtLink to="/shelf/prices">Say what things cost</NuxtLink>;
      what bottles cost is said at <NuxtLink to="/shelf/finishes">glues and finishes</NuxtLink>.
    </p>
  </div>
</template>

<style scoped>
.cost { display: grid; justify-items: start; gap: 0.6rem; }
table { border-collapse: collapse; }
p a { text-decoration: underline; text-underline-offset: 3px; }
.asked { display: flex; flex-wrap: wrap; gap: 0.2rem 1rem; }
th, td { padding: 0.25rem 2rem 0.25rem 0; text-align: left; font-weight: 400; }
td { padding-right: 0; text-align: right; }
.total > * { border-top: 1px solid var(--ink-2); font-weight: 700; }
</style>
