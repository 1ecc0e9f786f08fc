<script setup lang="ts">
import type { StepTimes } from '#contract'
import { counted, formatSpan, list } from '#core/format'

/** How long each kind of step takes, beside what was planned for it. */
const times = shallowRef<StepTimes[]>()
const { failed, again } = useLoad(async () => {
  times.value = await api('GET /api/findings/times')
})
/** Fewer than these say little of a kind. */
const FEW = 5
const rows = computed(() => (times.value ?? []).map(one => ({ ...one, label: workLabel(one.kind) })))
const apart = computed(() => rows.value.filter(({ steps, taken, planned }) => steps >= FEW && (taken[1] > planned || taken[3] < planned)))
const says = computed(() => {
  if (!rows.value.length) return 'No step was measured yet: times are, where steps are entered as they are done.'
  const more = apart.value.filter(one => one.taken[1] > one.planned).map(one => one.label)
  const less = apart.value.filter(one => one.taken[3] < one.planned).map(one => one.label)
  const told = [
    ...(more.length ? [`Mostly longer than planned: ${list(more)}.`] : []),
    ...(less.length ? [`Mostly shorter than planned: ${list(less)}.`] : []),
  ]
  return told.length ? told.join(' ') : 'What is planned lies where half of all times lie, for every kind that was done often enough.'
})
</script>

<template>
  <FindingsPicture
    title="Times by step" :says="says" :failed="failed" :loaded="times !== undefined" :has="rows.length > 0" file="oxlip-times-by-step"
    @again="again"
  >
    <LazyFindingsTimesChart :rows="rows" :label="`How long each kind of step takes. ${says}`" />
    <template #table>
      <thead>
        <tr>
          <th v-for="head in ['Step', 'Steps', 'Half take up to', 'Half lie from', 'to', 'Planned']" :key="head" scope="col">{{ head }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in rows" :key="one.kind">
          <th scope="row">{{ one.label }}</th>
          <td>{{ counted(one.steps, 'step') }}</td>
          <td>{{ formatSpan(one.taken[2]) }}</td>
          <td>{{ formatSpan(one.taken[1]) }}</td>
          <td>{{ formatSpan(one.taken[3]) }}</td>
          <td>{{ formatSpan(one.planned) }}</td>
        </tr>
      </tbody>
    </template>
  </FindingsPicture>
</template>
