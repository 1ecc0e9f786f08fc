<script setup lang="ts">
import { counted } from '#core/format'
import type { Intake } from '#contract'
import { intakeKind } from '#schemas/intake'

/** Sheets that were taken in, each undone as one. */
defineProps<{ intakes: readonly Intake[] }>()
const emit = defineEmits<{ undo: [id: string] }>()
const { minute: now } = useClock()
const says = ({ name, rows }: Intake) => `${intakeKind(name).says}, ${counted(rows, 'row')}`
const undoneWords = ({ kept }: Intake) =>
  kept ? `Undone, but for ${kept === 1 ? 'one that something was' : `${kept} that something was`} done with since.` : 'Undone.'
</script>

<template>
  <section v-if="intakes.length" aria-labelledby="before">
    <h2 id="before">Taken in before</h2>
    <ul>
      <li v-for="one in intakes" :key="one.id" class="sheet">
        <span><b>{{ says(one) }}</b> <span class="quiet">{{ clockTime(one.at, now) }}</span></span>
        <span v-if="one.undone" class="quiet">{{ undoneWords(one) }}</span>
        <button v-else type="button" class="key" :aria-label="`Undo: ${says(one)}`" @click="emit('undo', one.id)">Undo</button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section, ul { display: grid; gap: 0.5rem; }
li { display: flex; flex-wrap: wrap; align-items: center; justify-content: space-between; }
li { gap: 0.4rem 1.2rem; min-height: 56px; padding: 0.4rem 1.1rem; }
</style>
