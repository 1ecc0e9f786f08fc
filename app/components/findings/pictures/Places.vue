<script setup lang="ts">
import type { DefectPlaces } from '#contract'
import { barrelNames } from '#core/barrel'
import type { DefectKind } from '#core/defects'
import { counted } from '#core/format'
import { defects } from '#reference'

/** Where defects of a kind lie on the barrels, drawn on the strip itself. */
const kind = ref<DefectKind>('chip')
const items = defects.map(({ name, kind: value }) => ({ label: name, value }))
const places = shallowRef<{ of: DefectKind, is: DefectPlaces[] }>()
const { failed, again } = useLoad(async () => {
  const of = kind.value
  const is = await api('GET /api/findings/places', { query: { kind: of } })
  if (of === kind.value) places.value = { of, is }
})
watch(kind, () => void again())
const drawn = useTemplateRef('drawn')

const says = computed(() => {
  const found = (places.value?.is ?? []).reduce((sum, one) => sum + one.defects.length, 0)
  return found ? `${counted(found, 'was', 'were')} noted; the tables tell how many in which third.` : 'None of this kind was noted yet.'
})
const THIRDS = ['Barrel', 'At the tip', 'In the middle', 'At the clip']
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
  <FindingsPicture
    title="Where on the barrel" :says="says" :failed="failed" :loaded="places !== undefined" :has="(places?.is.length ?? 0) > 0"
    @again="again"
  >
    <template #choose>
      <USelect v-model="kind" :items="items" size="lg" aria-label="Which defect" />
    </template>
    <article v-for="(one, index) in places?.is" :key="one.fitting.id" ref="drawn">
      <h3>{{ one.fitting.name }}: {{ one.defects.length }}</h3>
      <PenStrip
        :fitting="one.fitting" colour="#c6a07a" :defects="one.defects" size="head"
        :label="`${ofLabel(kind)} on ${one.fitting.name}, each where it was found; the table below says how many in which third`"
      />
      <FieldSaveSvg :within="drawn?.[index] ?? null" :name="`oxlip-${kind}-${one.fitting.id}`" label="Save this strip" />
      <table>
        <thead><tr><th v-for="head in THIRDS" :key="head" scope="col">{{ head }}</th></tr></thead>
        <tbody>
          <tr v-for="row in thirds(one)" :key="row.name">
            <th scope="row">{{ row.name }}</th><td>{{ row.tip }}</td><td>{{ row.middle }}</td><td>{{ row.clip }}</td>
          </tr>
        </tbody>
      </table>
    </article>
  </FindingsPicture>
</template>

<style scoped>
article { display: grid; justify-items: start; gap: 0.4rem; padding-top: 0.6rem; border-top: 1px solid var(--line); }
h3 { font-size: 1.05rem; }
table { border-collapse: collapse; }
th, td { padding: 0.2rem 1.4rem 0.2rem 0; text-align: left; font-weight: 400; }
thead th { color: var(--ink-2); }
</style>
