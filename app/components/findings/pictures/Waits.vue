<script setup lang="ts">
import type { KeptWaits } from '#contract'
import { capital, counted, decimal, formatSpan } from '#core/format'
import { waitWords } from '#core/plan'
import { waitPurposes, type WaitPurpose } from '#core/shelf'

/** How long something waited, by the air it waited in. */
const purpose = ref<WaitPurpose>('next coat')
const by = ref<'celsius' | 'humidity'>('celsius')
const items = waitPurposes.map(value => ({ label: capital(waitWords[value]), value }))
const airs = [{ label: 'By warmth', value: 'celsius' as const }, { label: 'By damp', value: 'humidity' as const }]
const kept = shallowRef<{ of: WaitPurpose, is: KeptWaits }>()
const { failed, again } = useLoad(async () => {
  const of = purpose.value
  const is = await api('GET /api/findings/waits', { query: { purpose: of } })
  if (of === purpose.value) kept.value = { of, is }
})
watch(purpose, () => void again())

const waits = computed(() => kept.value?.is.waits ?? [])
const airWords = ({ celsius, humidity }: { celsius: number, humidity: number }) => `${decimal(celsius, 1)} °C, ${decimal(humidity)} %`
/** Hours where waits are of hours, else minutes. */
const unit = computed(() => (waits.value.some(one => one.wanted >= 2 * 3600) ? { name: 'h', seconds: 3600 } : { name: 'min', seconds: 60 }))
/** What waited much longer than it had to tells of the turner's days, not of the wait. */
const MUCH = 4
const drawn = computed(() => waits.value.filter(one => one.waited <= MUCH * one.wanted))
const points = computed(() => drawn.value.map(one => ({
  mark: one.mark,
  says: `${formatSpan(one.waited)} in ${airWords(one)}${one.shortBy > 0 ? `, ${formatSpan(one.shortBy)} too short` : ''}`,
  x: one[by.value],
  y: one.waited / unit.value.seconds,
  out: one.shortBy > 0,
})))
const says = computed(() => {
  const all = waits.value.length
  if (!all) return 'No wait for this was noted yet.'
  const short = waits.value.filter(one => one.shortBy > 0).length
  const longer = all - drawn.value.length
  return `${counted(all, 'wait')}, ${short ? `${short} cut short` : 'none cut short'}.`
    + (longer ? ` Not drawn, since they waited over ${MUCH} times as long as they had to: ${longer}.` : '')
})
</script>

<template>
  <FindingsPicture
    title="Waits and the air" :says="says" :failed="failed" :loaded="kept !== undefined" :has="waits.length > 0" file="oxlip-waits"
    @again="again"
  >
    <template #choose>
      <USelect v-model="purpose" :items="items" size="lg" aria-label="Which wait" />
      <USelect v-model="by" :items="airs" size="lg" aria-label="By what of the air" />
    </template>
    <template v-if="points.length">
      <LazyFindingsScatterChart
        :points="points" :axes="[by === 'celsius' ? 'warmth, °C' : 'relative humidity, %', `waited, ${unit.name}`]"
        :label="`How long it waited, by the air. ${says}`"
      />
      <p class="quiet">A red ◆ was cut short. Labels of products go before what is seen here.</p>
    </template>
    <template #table>
      <thead>
        <tr><th v-for="head in ['Pen', 'When', 'Waited', 'Had to', 'Air']" :key="head" scope="col">{{ head }}</th></tr>
      </thead>
      <tbody>
        <tr v-for="(one, index) in waits" :key="index">
          <th scope="row"><NuxtLink :to="`/pens/${one.id}/record`">{{ one.mark }}</NuxtLink></th>
          <td>{{ pastDay(one.at) }}</td>
          <td>{{ formatSpan(one.waited) }}</td>
          <td>{{ formatSpan(one.wanted) }}</td>
          <td>{{ airWords(one) }}</td>
        </tr>
      </tbody>
    </template>
  </FindingsPicture>
</template>
