<script setup lang="ts">
import { materials } from '#reference'

/** For which blank, fitting and depth methods are shown. */
const { chosen } = useSample()
const stock = useStock()
const woods = materials.map(row => ({ label: row.name, value: row.id }))
const fittings = computed(() => (stock.fittings ?? []).map(({ fitting }) => ({ label: fitting.name, value: fitting.id })))
</script>

<template>
  <div class="sample filled">
    <UFormField label="Shown on"><USelect v-model="chosen.material" size="lg" :items="woods" /></UFormField>
    <UFormField label="Fitting"><USelect v-model="chosen.fitting" size="lg" :items="fittings" /></UFormField>
    <PlanDepth v-model="chosen.depth" class="deep" />
  </div>
</template>

<style scoped>
.sample { display: grid; grid-template-columns: 15rem 17rem minmax(0, 1fr); gap: 0.6rem 1.4rem; align-items: end; }
@media (max-width: 900px) { .sample { grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); } .deep { grid-column: 1 / -1; } }
</style>
