<script setup lang="ts">
import type { MeasuredFilm } from '#contract'
import { counted, micrometres } from '#core/format'

/** Film that coats built, measured, beside what their plan had reckoned with. */
const workshop = useWorkshop()
const film = shallowRef<MeasuredFilm>()
const { failed, again } = useLoad(async () => {
  const [told] = await Promise.all([api('GET /api/findings/film'), workshop.shelf ? undefined : workshop.load()])
  film.value = told
})
const nameOf = (id: string) => workshop.shelf?.products.find(one => one.id === id)?.name ?? id
const coats = computed(() => (film.value?.coats ?? []).map(one => ({
  ...one,
  product: nameOf(one.product),
  words: `${micrometres(one.built)} µm built, ${micrometres(one.planned)} µm planned`,
})))
/** A coat that built half as much again, or as little, as was planned. */
const isOut = ({ built, planned }: { built: number, planned: number }) => built > 1.5 * planned || built < planned / 1.5
const points = computed(() => coats.value.map(one => ({
  mark: one.mark, says: `${one.product}, ${one.words}`, x: one.planned, y: one.built, out: isOut(one),
})))
const says = computed(() => {
  if (!coats.value.length) return 'Nothing was measured yet: put the calliper on before and after a coat, at one place.'
  const sum = (of: 'built' | 'planned') => coats.value.reduce((all, one) => all + one[of], 0)
  const out = points.value.filter(one => one.out).length
  const all = `${counted(coats.value.length, 'measurement')}: ${micrometres(sum('built') / coats.value.length)} µm built on the mean, `
    + `${micrometres(sum('planned') / coats.value.length)} µm planned.`
  return `${all} ${out ? `Further off than by half: ${out}.` : 'None is further off than by half.'}`
})
</script>

<template>
  <FindingsPicture
    title="Film, built and planned" :says="says" :failed="failed" :loaded="film !== undefined" :has="coats.length > 0"
    file="oxlip-film-built" @again="again"
  >
    <LazyFindingsScatterChart :points="points" :axes="['planned, µm', 'built, µm']" same :label="`Film built against planned. ${says}`" />
    <p class="quiet">On the dashed line coats build what was planned. Above it they build more; levelling has more to take off.</p>
    <template #table>
      <thead>
        <tr><th v-for="head in ['Pen', 'When', 'Coats of', 'Film']" :key="head" scope="col">{{ head }}</th></tr>
      </thead>
      <tbody>
        <tr v-for="(one, index) in coats" :key="index">
          <th scope="row"><NuxtLink :to="`/pens/${one.id}/record`">{{ one.mark }}</NuxtLink></th>
          <td>{{ pastDay(one.at) }}</td>
          <td>{{ one.product }}</td>
          <td>{{ one.words }}</td>
        </tr>
      </tbody>
    </template>
  </FindingsPicture>
</template>
