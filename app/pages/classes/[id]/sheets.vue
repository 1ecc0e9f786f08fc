<script setup lang="ts">
import type { ClassPage } from '#contract'

/** A sheet for each pupil of a class: points, words, and what the log holds; each on a page of its own when printed. */
const route = useRoute()
const people = usePeople()
const { minute: now } = useClock()
const page = shallowRef<ClassPage>()
const { failed, loaded, again } = useLoad(async () => {
  const [told] = await Promise.all([api('GET /api/classes/:id', { params: { id: String(route.params.id) } }), people.load()])
  page.value = told
})
// Marks may still be on their way when one comes here.
watch(() => useClasses().told, () => void again())
useHead({ title: () => `${page.value?.entry.name ?? 'Class'}, sheets · Oxlip` })
const print = () => window.print()
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!page" class="quiet" role="status">Fetching the class ...</p>
  <div v-else class="all figures">
    <header class="no-print">
      <h1>{{ page.entry.name }}, sheets</h1>
      <button type="button" class="key" @click="print">Print</button>
      <NuxtLink class="key" :to="`/classes/${page.entry.id}`">The class</NuxtLink>
    </header>
    <article v-for="seat in page.seats" :key="seat.pen.pen.id" class="sheet">
      <h2>{{ people.nameOf(seat.person) }}</h2>
      <p>
        {{ page.entry.name }} · {{ seat.pen.pen.mark }} · {{ seat.pen.summary.fitting.name }},
        {{ seat.pen.summary.material.name }}
      </p>
      <table v-if="page.entry.work.criteria.length">
        <tbody>
          <tr v-for="(name, index) in page.entry.work.criteria" :key="name">
            <th scope="row">{{ name }}</th>
            <td>{{ seat.marks.points[index] == null ? 'not marked' : `${seat.marks.points[index]} of 10` }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="seat.marks.words">{{ seat.marks.words }}</p>
      <h3>What the log holds</h3>
      <ul>
        <li>{{ doneWords(seat.pen.summary) }}</li>
        <li v-if="seat.standing">Looks taken: {{ seat.standing.looked.taken }} of {{ seat.standing.looked.all }}</li>
        <li v-for="one in seat.standing?.early ?? []" :key="one.gate">
          Before the teacher had looked: {{ workLabel(one.gate).toLowerCase() }}, {{ clockTime(one.at, now) }}
        </li>
        <li>Defects still open: {{ seat.defects }}</li>
      </ul>
    </article>
  </div>
</template>

<style scoped>
.all { display: grid; grid-template-columns: minmax(0, 46rem); gap: 1rem; }
header { display: flex; flex-wrap: wrap; align-items: center; gap: 0.5rem 1rem; }
article { display: grid; gap: 0.5rem; padding: 1rem 1.25rem; break-after: page; }
ul { padding-left: 1.2rem; list-style: disc; }
th, td { padding: 0.2rem 1.6rem 0.2rem 0; text-align: left; font-weight: 400; }
td { font-weight: 700; }
</style>
