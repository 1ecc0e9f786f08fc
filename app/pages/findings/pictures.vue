<script setup lang="ts">
import type { DefectPlaces, FigureCourse } from '#contract'
import { counted, list } from '#core/format'
import { barrelNames } from '#core/barrel'
import type { DefectKind } from '#core/defects'
import { controlOf, figures, type FigureName } from '#core/findings'
import { defects } from '#reference'

useHead({ title: 'In pictures · Findings · Oxlip' })
const figure = ref<FigureName>('minutes')
const kind = ref<DefectKind>('chip')
const figureItems = figures.map(value => ({ label: ofLabel(value), value }))
const kindItems = defects.map(({ name, kind: value }) => ({ label: name, value }))

const course = shallowRef<{ of: FigureName, is: FigureCourse }>()
const places = shallowRef<{ of: DefectKind, is: DefectPlaces[] }>()
const { failed, loaded, again } = useLoad(async () => {
  const [of, what] = [figure.value, kind.value]
  const [told, found] = await Promise.all([
    api('GET /api/findings/course', { query: { of } }), api('GET /api/findings/places', { query: { kind: what } }),
  ])
  if (of !== figure.value || what !== kind.value) return
  course.value = { of, is: told }
  places.value = { of: what, is: found }
})
watch([figure, kind], () => void again())

const pens = computed(() => {
  const told = course.value
  return told ? told.is.pens.map(one => ({ ...one, says: figureWords(told.of, one.figure) })) : []
})
const control = computed(() => controlOf(pens.value.map(one => one.figure)))
const out = computed(() => (control.value?.out ?? []).flatMap(index => pens.value[index] ?? []))
const courseSays = computed(() => {
  if (!pens.value.length) return 'No pen that is over tells this yet.'
  if (!control.value) return `${counted(pens.value.length, 'pen')} so far: from eight on it can be told what is chance.`
  const of = course.value?.of ?? 'minutes'
  const within = `${figureWords(of, control.value.middle)} on the mean; by chance it goes from `
    + `${figureWords(of, Math.max(0, control.value.low))} to ${figureWords(of, control.value.high)}.`
  return out.value.length ? `${within} Beyond that: ${list(out.value.map(one => one.mark))}.` : `${within} None lies beyond that.`
})
/** Thirds of a barrel, and how many were found in each. */
function thirds({ fitting, defects: found }: DefectPlaces) {
  return fitting.barrels.map(({ id, tubeLength }) => {
    const own = found.filter(one => one.barrel === id)
    const upTo = (part: number) => own.filter(one => one.fromTip < part * tubeLength).length
    const [tip, both] = [upTo(1 / 3), upTo(2 / 3)]
    return { name: barrelNames[id], tip, middle: both - tip, clip: own.length - both }
  })
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <p v-else-if="!course || !places" class="quiet" role="status">Fetching the pictures ...</p>
  <div v-else class="pictures figures">
    <header>
      <h1>In pictures</h1>
      <p class="quiet"><NuxtLink to="/findings">All findings</NuxtLink></p>
    </header>
    <section class="sheet" aria-labelledby="course">
      <div class="top">
        <h2 id="course">From pen to pen</h2>
        <USelect v-model="figure" :items="figureItems" size="lg" aria-label="Which figure" />
      </div>
      <p role="status">{{ courseSays }}</p>
      <template v-if="pens.length">
        <LazyFindingsCourseChart :pens="pens" :control="control" :label="`${ofLabel(course.of)}, pen by pen: ${courseSays}`" />
        <details>
          <summary>As a table</summary>
          <table>
            <thead><tr><th scope="col">Pen</th><th scope="col">Over</th><th scope="col">{{ ofLabel(course.of) }}</th></tr></thead>
            <tbody>
              <tr v-for="one in pens" :key="one.id">
                <th scope="row"><NuxtLink :to="`/pens/${one.id}/record`">{{ one.mark }}</NuxtLink></th>
                <td>{{ dayWords(one.ended.slice(0, 10)) }}</td>
                <td>{{ one.says }}</td>
              </tr>
            </tbody>
          </table>
        </details>
      </template>
    </section>
    <section class="sheet" aria-labelledby="places">
      <div class="top">
        <h2 id="places">Where on the barrel</h2>
        <USelect v-model="kind" :items="kindItems" size="lg" aria-label="Which defect" />
      </div>
      <p v-if="!places.is.length" class="quiet" role="status">None of this kind was noted yet.</p>
      <article v-for="one in places.is" :key="one.fitting.id">
        <h3>{{ one.fitting.name }}: {{ one.defects.length }}</h3>
        <PenStrip
          :fitting="one.fitting" colour="#c6a07a" :defects="one.defects" size="head"
          :label="`${ofLabel(places.of)} on ${one.fitting.name}, each where it was found; the table below says how many in which third`"
        />
        <table>
          <thead>
            <tr><th v-for="head in ['Barrel', 'At the tip', 'In the middle', 'At the clip']" :key="head" scope="col">{{ head }}</th></tr>
          </thead>
          <tbody>
            <tr v-for="row in thirds(one)" :key="row.name">
              <th scope="row">{{ row.name }}</th><td>{{ row.tip }}</td><td>{{ row.middle }}</td><td>{{ row.clip }}</td>
            </tr>
          </tbody>
        </table>
      </article>
    </section>
  </div>
</template>

<style scoped>
.pictures { display: grid; grid-template-columns: minmax(0, 1fr); gap: 1rem; }
header, .top { display: flex; flex-wrap: wrap; align-items: center; gap: 0.4rem 1.2rem; }
section { display: grid; gap: 0.7rem; padding: 1rem 1.1rem; }
.top :deep(button[role="combobox"]) { min-width: 16rem; min-height: 44px; }
summary { min-height: 40px; cursor: pointer; }
table { border-collapse: collapse; }
th, td { padding: 0.2rem 1.4rem 0.2rem 0; text-align: left; font-weight: 400; }
thead th { color: var(--ink-2); }
article { display: grid; gap: 0.4rem; padding-top: 0.6rem; border-top: 1px solid var(--line); }
h3 { font-size: 1.05rem; }
</style>
