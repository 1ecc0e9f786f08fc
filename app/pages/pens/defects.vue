<script setup lang="ts">
import { causes, defects as catalogue, materials } from '#reference'
import { defectStates } from '~/utils/defect-words'

/** All defects over all pens: what, where, why, how they were mended and how that went. */
useHead({ title: 'Defects · Oxlip' })
const store = useDefects()
const { asked, chosen, isNarrowed, clear } = useDefectFilter()
const [kind, material, status, cause] = [chosen('kind', 'cause'), chosen('material'), chosen('status'), chosen('cause')]
const list = useDefectList(() => asked.value)
const { failed, loaded, again } = useLoad(() => Promise.all([list.load(), store.load()]))
watch(asked, again)
list.onChanged(() => void store.load().catch(() => undefined))

/** Choices by what they are called. */
function choices(any: string, rows: readonly { value: string, label: string }[]) {
  const sorted = [...rows].sort((a, b) => a.label.localeCompare(b.label, 'en'))
  return [{ label: any, value: ANY }, ...sorted]
}
const kinds = choices('Every kind', catalogue.map(one => ({ value: one.kind, label: one.name })))
const woods = choices('Every material', materials.map(({ id, name }) => ({ value: id, label: name })))
const states = choices('Open or over', Object.entries(defectStates).map(([value, label]) => ({ value, label })))
const judged = computed(() => {
  const known = causes.filter(one => !asked.value.kind || one.kind === asked.value.kind)
  return choices('Every cause', known.map(({ id, says }) => ({ value: id, label: says })))
})
/** About how high a row is, px. */
const HIGH = 110
/** How each way to mend has gone so far. */
const record = computed(() => [...store.history.ways].sort((a, b) => b.worked + b.failed - a.worked - a.failed).slice(0, 6))
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!loaded" class="quiet" role="status">Looking the defects up ...</p>
  <div v-else class="defects figures">
    <header>
      <h1>Defects</h1>
      <NuxtLink class="key" to="/pens">All pens</NuxtLink>
    </header>
    <section v-if="!list.defects.value?.length && !isNarrowed" class="empty sheet">
      <h2>No defect yet</h2>
      <p>What goes wrong at the bench is noted there with <kbd>w</kbd>, and gathers here: what it was, why, and what mended it.</p>
    </section>
    <template v-else>
      <div class="filters">
        <UFormField label="Kind"><USelect v-model="kind" :items="kinds" size="lg" /></UFormField>
        <UFormField label="Material"><USelect v-model="material" :items="woods" size="lg" /></UFormField>
        <UFormField label="Outcome"><USelect v-model="status" :items="states" size="lg" /></UFormField>
        <UFormField label="Cause"><USelect v-model="cause" :items="judged" size="lg" /></UFormField>
        <button v-if="isNarrowed" type="button" class="key" @click="clear">Show all</button>
      </div>
      <p v-if="!list.defects.value?.length" class="quiet" role="status">No defect fits: show all, or choose otherwise.</p>
      <ListRows
        v-else :rows="list.defects.value" :id-of="one => one.id" :high="HIGH" aria-label="Defects" @end="list.more"
      >
        <template #default="{ row, place, measured }"><DefectRow :ref="measured" :one="row" v-bind="place" /></template>
      </ListRows>
      <section v-if="record.length" aria-labelledby="record">
        <h2 id="record">How mends have gone</h2>
        <ul class="quiet">
          <li v-for="one in record" :key="one.kind + one.way">
            {{ defectName(one.kind) }}, {{ one.way }}: {{ one.worked }} of {{ one.worked + one.failed }} held
          </li>
        </ul>
      </section>
    </template>
  </div>
</template>

<style scoped>
.defects { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.9rem; }
header { display: flex; flex-wrap: wrap; align-items: baseline; gap: 0.4rem 1rem; }
header .key { margin-left: auto; align-self: center; }
.filters { display: flex; flex-wrap: wrap; gap: 0.4rem 1rem; align-items: end; }
.filters > :deep(*) { min-width: 10rem; }
.empty { display: grid; gap: 0.6rem; padding: 1.25rem; max-width: 44rem; }
h2 { margin-bottom: 0.3rem; }
</style>
