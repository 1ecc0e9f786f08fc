<script setup lang="ts">
import { counted, formatSpan } from '#core/format'
import type { ClassPage, Seat } from '#contract'

/** What a teacher gives one pen: points by their own criteria, words, and what the log holds as evidence beside them. */
const props = defineProps<{ id: string, seat: Seat, criteria: readonly string[] }>()
const emit = defineEmits<{ kept: [page: ClassPage] }>()
const form = reactive({ points: props.criteria.map((_, index) => props.seat.marks.points[index] ?? null), words: props.seat.marks.words })
const fault = ref('')
const evidence = computed(() => {
  const { summary } = props.seat.pen
  const { early = [], looked } = props.seat.standing ?? {}
  return [
    doneWords(summary), `${counted(props.seat.defects, 'defect')} open`,
    ...(looked ? [`${looked.taken} of ${looked.all} looks`] : []),
    ...(early.length ? [early.length === 1 ? 'too early once' : `too early ${early.length} times`] : []),
    ...(summary.handsOnLeft ? [`${formatSpan(summary.handsOnLeft)} of work left`] : []),
  ].join(' · ')
})
async function keep() {
  fault.value = ''
  try {
    emit('kept', await api('PUT /api/classes/:id/marks', {
      params: { id: props.id }, body: { pen: props.seat.pen.pen.id, points: form.points.map(one => one ?? null), words: form.words.trim() },
    }))
  } catch (error) {
    const { message, fields } = refused(error)
    fault.value = Object.values(fields)[0] ?? message
  }
}
</script>

<template>
  <form class="filled" @submit.prevent="keep">
    <UFormField v-for="(name, index) in criteria" :key="name" :label="`${name}, of ten`">
      <UInputNumber v-model="form.points[index]" size="lg" :min="0" :max="10" :step="0.5" :step-snapping="false" />
    </UFormField>
    <UFormField label="In words" class="wide"><UInput v-model="form.words" size="lg" maxlength="500" /></UFormField>
    <p class="quiet wide figures">
      From the log: {{ evidence }}. <NuxtLink :to="`/pens/${seat.pen.pen.id}/record`">Its record</NuxtLink>
    </p>
    <p v-if="fault" class="harm wide" role="alert">◆ {{ fault }}</p>
    <button type="submit" class="key next">Keep the marks</button>
  </form>
</template>

<style scoped>
form { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 11rem), 1fr)); gap: 0.6rem 1rem; align-items: end; }
.wide { grid-column: 1 / -1; }
a { text-decoration: underline; text-underline-offset: 3px; }
</style>
