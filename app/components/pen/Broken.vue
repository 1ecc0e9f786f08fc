<script setup lang="ts">
import { format } from 'date-fns'
import type { BrokenPen } from '~/stores/bench'

/** A pen that cannot be worked out: why, what was entered as it came in, and the ways to mend it. */
const props = defineProps<{ broken: BrokenPen }>()
const store = usePen()
const changing = ref(false)
const trouble = ref('')
const busy = ref(false)
const entries = computed(() => [...store.events].sort((a, b) => (a.at < b.at ? -1 : 1)))
/** What was entered, as it lies in the log. */
const raw = (payload: unknown): string => JSON.stringify(payload)
const time = (at: string): string => (Number.isNaN(Date.parse(at)) ? at : format(new Date(at), 'd MMM yyyy HH:mm:ss'))

async function planAnew() {
  busy.value = true
  trouble.value = ''
  try {
    await store.planAgain()
  } catch (error) {
    trouble.value = refused(error).message
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section class="broken">
    <header><PenTag :mark="props.broken.pen.mark" size="head" /><h1>{{ props.broken.pen.name }}</h1></header>
    <p class="harm" role="alert">◆ {{ props.broken.why }}</p>
    <p class="ways">
      <button type="button" class="key next" :disabled="busy" @click="planAnew">Plan it anew</button>
      <button type="button" class="key" @click="changing = true">Choose fitting, material or finish again</button>
      <NuxtLink class="key" to="/">Bench</NuxtLink>
    </p>
    <p v-if="trouble" class="harm" role="alert">◆ {{ trouble }}</p>
    <section class="sheet log" aria-labelledby="entered">
      <h2 id="entered">What was entered</h2>
      <p v-if="!entries.length" class="quiet">Nothing yet.</p>
      <div v-else class="scroll">
        <table>
          <thead><tr><th>When</th><th>What</th><th>With</th><th>Where</th></tr></thead>
          <tbody>
            <tr v-for="event in entries" :key="event.id">
              <td>{{ time(event.at) }}</td><td>{{ event.kind }}</td>
              <td><code>{{ raw(event.payload) }}</code></td><td>{{ event.device }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
    <LazyPenChange v-model:open="changing" :pen="props.broken.pen" :begun="entries.length > 0" />
  </section>
</template>

<style scoped>
.broken { display: grid; grid-template-columns: minmax(0, 1fr); gap: 1rem; }
header { display: flex; align-items: center; gap: 0.8rem; }
.ways { display: flex; flex-wrap: wrap; gap: 0.75rem; }
.log { padding: 0.9rem 1.1rem; }
.scroll { overflow-x: auto; }
table { width: 100%; border-collapse: collapse; font-size: 0.95rem; }
th, td {
  padding: 0.35rem 0.8rem 0.35rem 0;
  text-align: left;
  vertical-align: top;
  white-space: nowrap;
  border-bottom: 1px solid var(--line);
}
td:nth-child(3) { white-space: normal; overflow-wrap: anywhere; min-width: 14rem; }
code { font-family: var(--font-mono); font-size: 0.85rem; }
</style>
