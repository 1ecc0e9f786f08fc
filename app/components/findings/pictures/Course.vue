<script setup lang="ts">
import type { FigureCourse } from '#contract'
import { counted, list } from '#core/format'
import { controlOf, figures, type FigureName } from '#core/findings'

/** A figure from pen to pen, with the bounds within which it goes by chance. */
const figure = ref<FigureName>('minutes')
const items = figures.map(value => ({ label: ofLabel(value), value }))
const course = shallowRef<{ of: FigureName, is: FigureCourse }>()
const { failed, again } = useLoad(async () => {
  const of = figure.value
  const is = await api('GET /api/findings/course', { query: { of } })
  if (of === figure.value) course.value = { of, is }
})
watch(figure, () => void again())

const pens = computed(() => {
  const told = course.value
  return told ? told.is.pens.map(one => ({ ...one, says: figureWords(told.of, one.figure) })) : []
})
const control = computed(() => controlOf(pens.value.map(one => one.figure)))
const out = computed(() => (control.value?.out ?? []).flatMap(index => pens.value[index] ?? []))
const says = computed(() => {
  if (!pens.value.length) return 'No pen that is over tells this yet.'
  if (!control.value) return `${counted(pens.value.length, 'pen')} so far: from eight on it can be told what is chance.`
  const of = course.value?.of ?? 'minutes'
  const within = `${figureWords(of, control.value.middle)} on the mean; by chance it goes from `
    + `${figureWords(of, Math.max(0, control.value.low))} to ${figureWords(of, control.value.high)}.`
  return out.value.length ? `${within} Beyond that: ${list(out.value.map(one => one.mark))}.` : `${within} None lies beyond that.`
})
</script>

<template>
  <FindingsPicture
    title="From pen to pen" :says="says" :failed="failed" :loaded="course !== undefined" :has="pens.length > 0" file="oxlip-from-pen-to-pen"
    @again="again"
  >
    <template #choose>
      <USelect v-model="figure" :items="items" size="lg" aria-label="Which figure" />
    </template>
    <LazyFindingsCourseChart v-if="course" :pens="pens" :control="control" :label="`${ofLabel(course.of)}, pen by pen: ${says}`" />
    <template #table>
      <thead><tr><th scope="col">Pen</th><th scope="col">Over</th><th scope="col">{{ ofLabel(figure) }}</th></tr></thead>
      <tbody>
        <tr v-for="one in pens" :key="one.id">
          <th scope="row"><NuxtLink :to="`/pens/${one.id}/record`">{{ one.mark }}</NuxtLink></th>
          <td>{{ pastDay(one.ended) }}</td>
          <td>{{ one.says }}</td>
        </tr>
      </tbody>
    </template>
  </FindingsPicture>
</template>
