<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'

/** The papers of one pen: each opens as PDF, to be printed or kept. */
const { pen, plan } = storeToRefs(usePen())
const { entered } = storeToRefs(useWorkshops())
const stock = useStock()
const words = useLocalStorage('oxlip-makers-words', '')
const sheet = useLocalStorage('oxlip-label-sheet', 24)
const from = ref(1)
const sheets = [
  { label: '24 on a sheet, 70 × 37 mm', value: 24 }, { label: '21 on a sheet, 63.5 × 38.1 mm', value: 21 },
  { label: '10 on a sheet, 105 × 57 mm', value: 10 },
]
/** What is set on them that somebody wrote. */
const written = computed(() => {
  const made = plan.value?.inputs
  const names = [made?.material.name, made?.fitting.name, made?.method.name, entered.value?.name]
  return [pen.value?.name, pen.value?.reason, words.value, stock.blank(pen.value?.blank ?? null)?.origin, ...names]
})
const paper = (name: string, query = '') => addressHere(`/api/pens/${pen.value?.id}/papers/${name}.pdf${query}`)
</script>

<template>
  <div v-if="pen" class="papers">
    <PenHead :pen="pen" />
    <h2>Papers</h2>
    <PaperSigns :texts="written" />
    <section class="sheet" aria-label="Job card">
      <h3>Job card</h3>
      <p>Cut, drill and turn-to, and every step with a box to tick at the bench.</p>
      <a class="key" :href="paper('job-card')" target="_blank" rel="noopener">Open the job card</a>
    </section>
    <section class="sheet" aria-label="Story stick">
      <h3>Story stick and assembly board</h3>
      <p>At full size. Print without “fit to page”; the 50 mm line on it tells whether the printer kept the size.</p>
      <a class="key" :href="paper('story-stick')" target="_blank" rel="noopener">Open the story stick</a>
    </section>
    <section class="sheet filled" aria-label="Card for whoever gets it">
      <h3>Card for whoever gets it</h3>
      <p>The pen drawn, its wood and story, its finish and its care, your own words, and the same in a code that leads nowhere.</p>
      <UFormField label="Your own words"><UInput v-model="words" size="lg" maxlength="300" /></UFormField>
      <a
        class="key" target="_blank" rel="noopener"
        :href="paper('hand-over', words.trim() ? `?words=${encodeURIComponent(words.trim())}` : '')"
      >Open the card</a>
    </section>
    <section class="sheet" aria-label="Label for its bag">
      <h3>Label for its bag</h3>
      <div class="row">
        <UFormField label="Sheet of labels"><USelect v-model="sheet" size="lg" :items="sheets" /></UFormField>
        <UFormField label="From place"><UInputNumber v-model="from" size="lg" :min="1" :max="sheet" /></UFormField>
      </div>
      <a class="key" :href="paper('label', `?sheet=${sheet}&from=${from}`)" target="_blank" rel="noopener">Open the label</a>
    </section>
    <section class="sheet" aria-label="Drawing">
      <h3>Drawing</h3>
      <p>The pen to scale at full size, as SVG.</p>
      <a class="key" :href="addressHere(`/api/pens/${pen.id}/drawing.svg`)" download>Save the drawing</a>
    </section>
  </div>
</template>

<style scoped>
.papers { display: grid; gap: 1rem; }
section { display: grid; justify-items: start; gap: 0.6rem; max-width: 44rem; padding: 1rem 1.25rem; }
section.filled > :deep(*) { max-width: 100%; }
h3 { font-size: 1.1rem; }
.row { display: flex; flex-wrap: wrap; gap: 0.6rem 1rem; }
</style>
