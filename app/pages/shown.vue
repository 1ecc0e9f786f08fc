<script setup lang="ts">
import { format } from 'date-fns'
import type { ShownPen } from '#contract'
import type { Refused } from '~/utils/refusal'

/** One pen for whoever it is made for: what it is made of, how far it is, and what was done on which day. */
definePageMeta({ layout: 'door' })
// The page that would ask for the workshops is not open: nothing is waited for.
useWorkshops().known = true
const pen = shallowRef<ShownPen>()
const failed = ref<Refused>()
async function load() {
  failed.value = undefined
  try {
    pen.value = await api('GET /api/shown/:secret', { params: { secret: decodeURIComponent(location.hash.slice(1)) } })
  } catch (error) {
    failed.value = refused(error)
  }
}
onMounted(load)
useHead({ title: () => `${pen.value?.name ?? 'A pen'} · Oxlip` })
const STAGE = {
  'planned': 'Planned, and not begun yet.', 'in work': 'In work.', 'finished': 'Finished.', 'set aside': 'Set aside for now.',
}
</script>

<template>
  <div class="shown">
    <ShellTrouble v-if="failed" :refused="failed" @again="load" />
    <p v-else-if="!pen" class="quiet" role="status">Fetching the pen ...</p>
    <template v-else>
      <h1>{{ pen.name }}</h1>
      <PenStrip
        :fitting="pen.fitting" :colour="pen.material.colour" :resin="pen.material.resin" size="head"
        :label="`${pen.fitting.name} in ${pen.material.name}, to scale`"
      />
      <p>{{ pen.material.name }} · {{ pen.fitting.name }} · {{ pen.finish }}</p>
      <p v-if="pen.wood" class="quiet">{{ pen.wood }}</p>
      <p role="status">
        <b>{{ STAGE[pen.stage] }}</b> <span class="quiet figures">{{ pen.steps.done }} of {{ pen.steps.all }} steps</span>
      </p>
      <ol v-if="pen.days.length" class="sheet">
        <li v-for="one in pen.days" :key="one.day">
          <h2>{{ format(new Date(`${one.day}T12:00:00`), 'EEEE d MMMM yyyy') }}</h2>
          <p>{{ one.titles.join(' · ') }}</p>
        </li>
      </ol>
    </template>
  </div>
</template>

<style scoped>
.shown { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.8rem; }
ol { display: grid; gap: 0.7rem; padding: 1rem 1.25rem; }
h2 { font-size: 1.05rem; }
</style>
