<script setup lang="ts">
import { barrelNames } from '#core/barrel'
import type { DefectState } from '#core/bench'
import type { Defect } from '#core/defects'
import { defects as catalogue } from '#reference'

/** Defects of the pen at the bench: those to decide about, and mends until somebody says that they held. */
defineProps<{ open: readonly DefectState[], mends: readonly DefectState[] }>()
const emit = defineEmits<{ judge: [defect: string], settle: [defect: DefectState, how: 'mended' | 'failed'] }>()
const { units } = storeToRefs(useWorkshop())

const nameOf = (kind: string) => catalogue.find(row => row.kind === kind)?.name ?? kind
const where = ({ kind, size, barrel, fromTip }: Defect) => {
  const { length } = units.value
  return `${nameOf(kind)}, ${length(size, size < 1 ? 2 : 1)}, ${barrelNames[barrel]}, ${length(fromTip, 1)} from its tip end`
}
const wayOf = ({ mends }: DefectState) => mends.at(-1)?.way
</script>

<template>
  <ul v-if="open.length || mends.length" class="open" aria-label="Defects">
    <li v-for="defect in open" :key="defect.id">
      <span class="harm">◆ {{ where(defect) }}</span>
      <button type="button" class="key" @click="emit('judge', defect.id)">Why, and what now</button>
    </li>
    <li v-for="defect in mends" :key="defect.id">
      <span>{{ where(defect) }}: {{ wayOf(defect) }}, {{ defect.status === 'mending' ? 'under way' : 'done' }}</span>
      <template v-if="defect.status === 'mended' || wayOf(defect) === 'turn it out'">
        <button type="button" class="key" @click="emit('settle', defect, 'mended')">It is gone</button>
        <button type="button" class="key" @click="emit('settle', defect, 'failed')">It still shows</button>
      </template>
    </li>
  </ul>
</template>

<style scoped>
.open { display: grid; gap: 0.5rem; }
.open li { display: flex; flex-wrap: wrap; align-items: center; gap: 0.6rem 1rem; font-size: 1.1rem; }
</style>
