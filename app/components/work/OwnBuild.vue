<script setup lang="ts">
import { counted, decimal } from '#core/format'
import type { Plan } from '#core/plan'

/**
 * What the turner's own coats build, fitted to the diameters measured between them, beside the default; and readings that were set
 * aside.
 */
const props = defineProps<{ plan: Plan, mark: string }>()
const { fit } = storeToRefs(useWorkshop())

const products = computed(() => [
  ...new Map(
    props.plan.steps.flatMap(step => (step.kind === 'coat' && step.product.film ? [[step.product.id, step.product] as const] : [])),
  ).values(),
])
const rows = computed(() =>
  products.value.flatMap((product) => {
    const own = fit.value.products[product.id]
    return own?.measurements ? [{ product, own }] : []
  }),
)
const aside = computed(() => fit.value.setAside.filter(one => one.id.startsWith(`${props.mark},`)))
</script>

<template>
  <div class="own figures" role="status">
    <p v-for="{ product, own } in rows" :key="product.id">
      <b>Your {{ product.name }} builds {{ decimal(own.build, 1) }} µm a coat</b>,
      {{ decimal(own.low, 1) }} to {{ decimal(own.high, 1) }} from {{ counted(own.measurements, 'measurement') }};
      the default is {{ product.film?.build }}.
      <span v-if="own.held" class="harm">◆ The readings say what no coat builds: it is held there. Measure again.</span>
    </p>
    <p v-if="!rows.length && products.length" class="quiet">
      Measure a place before and after some coats: that tells what yours build. The default is
      {{ products.map(product => `${product.film?.build} µm for ${product.name}`).join(', ') }}.
    </p>
    <p v-for="one in aside" :key="one.id" class="harm">
      ◆ {{ one.id }}: set aside, {{ decimal(Math.abs(one.deviations)) }} times further off than a calliper errs. Measure again if it was
      right.
    </p>
  </div>
</template>

<style scoped>
.own { display: grid; gap: 0.3rem; font-size: 1.1rem; }
</style>
