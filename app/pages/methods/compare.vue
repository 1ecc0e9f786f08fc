<script setup lang="ts">
import { nth } from '#core/sure'
import { decimal, formatSpan, millilitres } from '#core/format'
import { abrasiveName } from '#core/abrasives'
import { chance, leastFilm, type MethodFigures } from '#core/plan'
import { BLOOM_HUMIDITY } from '#core/climate'

useHead({ title: 'Compare · Methods · Oxlip' })
const methods = useMethods()
const route = useRoute()
const router = useRouter()
const { failed, loaded, again } = useLoad(methods.load)
const { fitting, material, figuresFor, suitsOf } = useSample()
const { units, inMoney } = useWorkshop()

const ids = computed(() =>
  (['a', 'b'] as const).map((side, index) =>
    typeof route.query[side] === 'string' ? route.query[side] : (methods.methods?.[index]?.id ?? ''),
  ),
)
const choices = computed(() => (methods.methods ?? []).map(one => ({ label: one.name, value: one.id })))
const choose = (index: number, id: string) => router.replace({ query: { a: ids.value[0], b: ids.value[1], [index ? 'b' : 'a']: id } })
const sides = computed(() =>
  ids.value.flatMap((id) => {
    const method = methods.method(id)
    const figures = method && figuresFor(method)
    return method && figures ? [{ method, figures, suits: suitsOf(method) }] : []
  }),
)

interface Line {
  name: string
  text: (figures: MethodFigures) => string
  less?: (figures: MethodFigures) => number
}
const lines: Line[] = [
  { name: 'Coats', text: ({ traced }) => traced.needs.map(need => `${need.coats} × ${need.product.name}`).join(', ') || 'none' },
  { name: 'Hands on the finish', text: ({ finishing }) => formatSpan(finishing.value), less: ({ finishing }) => finishing.value },
  {
    name: 'Hands on in all, sanding too',
    text: ({ traced }) => formatSpan(traced.handsOn.value),
    less: ({ traced }) => traced.handsOn.value,
  },
  { name: 'Ready to hand over', text: ({ ready }) => `after ${formatSpan(ready.value)}`, less: ({ ready }) => ready.value },
  { name: 'Film, mean', text: ({ traced }) => (traced.filmLeft.value >= 0.5 ? `${decimal(traced.filmLeft.value, 1)} µm` : 'none') },
  {
    name: 'Film sure at the thinnest',
    text: ({ traced }) => (traced.filmThinnest.value >= 0.5 ? `${decimal(traced.filmThinnest.value, 1)} µm` : 'none'),
  },
  { name: 'Levellings', text: ({ levellings }) => String(levellings) },
  {
    name: 'Worst risk of going through, at the edges',
    text: ({ risk }) => (risk ? chance(risk.edges) : 'nothing is levelled'),
    less: ({ risk }) => risk?.edges ?? 0,
  },
  { name: 'Ends turned', text: ({ traced }) => proudWords(nth(traced.ends, 0).proud) },
  { name: 'Last bare grit', text: ({ plan }) => lastGrit(plan) },
  {
    name: 'From the bottles',
    text: ({ traced }) =>
      traced.needs.length ? millilitres(traced.needs.reduce((sum, need) => sum + need.volume.value, 0)) : 'nothing',
  },
  {
    name: 'Cost of the finish',
    text: ({ cost, traced }) =>
      cost ? inMoney(cost.value) : traced.needs.length ? 'not known: say on the shelf what the bottles cost' : inMoney(0),
    less: ({ cost }) => cost?.value ?? NaN,
  },
  { name: 'Damp air', text: ({ plan }) => airWords(plan) },
]
function proudWords(proud: number) {
  return Math.abs(proud) < 0.005 ? 'flush' : `${units.length(Math.abs(proud))} ${proud < 0 ? 'under the metal' : 'proud'}`
}
function lastGrit({ steps }: MethodFigures['plan']) {
  const last = steps.findLast(step => step.kind === 'sand')
  return last?.kind === 'sand' ? abrasiveName(last.abrasive) : 'none'
}
function airWords({ steps }: MethodFigures['plan']) {
  const kinds = new Set(steps.flatMap(step => (step.kind === 'coat' ? [step.product.setsBy] : [])))
  return (
    [kinds.has('moisture') ? `blooms above ${BLOOM_HUMIDITY} %` : '', kinds.has('solvent') ? 'blushes near the dew point' : '']
      .filter(Boolean)
      .join(', ') || 'does no harm'
  )
}
/** Which side has less of what one wants little of; none where they are alike, or so near that they read the same. */
function better(line: Line): number {
  if (new Set(sides.value.map(side => line.text(side.figures))).size < 2) return -1
  const [a, b] = sides.value.map(side => line.less?.(side.figures) ?? NaN)
  return a === undefined || b === undefined || Number.isNaN(a) || Number.isNaN(b) || Math.abs(a - b) < 1e-9 ? -1 : a < b ? 0 : 1
}
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <div v-else-if="sides.length === 2 && fitting" class="compare figures">
    <header><h1>Compare</h1><p class="quiet"><NuxtLink to="/methods">All methods</NuxtLink></p></header>
    <FinishSample />
    <div class="scrolls" tabindex="0" role="region" aria-label="Two methods side by side">
      <table class="sheet">
        <thead>
          <tr>
            <td />
            <th v-for="(side, index) in sides" :key="index" scope="col">
              <USelect
                :model-value="side.method.id" :items="choices" size="lg" class="pick"
                :aria-label="index ? 'Second method' : 'First method'" @update:model-value="choose(index, String($event))"
              />
              <BuildSection
                :traced="side.figures.traced" :least="leastFilm(side.figures.plan.inputs).value" :colour="material.colour" size="card"
              />
            </th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">On {{ material.name.toLowerCase() }}</th>
            <td v-for="(side, index) in sides" :key="index">
              <b>{{ side.suits.verdict }}</b>
              <span v-for="reason in side.suits.reasons" :key="reason.says" class="quiet reason">{{ reason.says }}</span>
            </td>
          </tr>
          <tr v-for="line in lines" :key="line.name">
            <th scope="row">{{ line.name }}</th>
            <td v-for="(side, index) in sides" :key="index" :class="{ less: better(line) === index }">
              {{ line.text(side.figures) }}<span v-if="better(line) === index" class="sr-only">, less</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
  <p v-else class="quiet" role="status">Looking at the methods ...</p>
</template>

<style scoped>
.compare { display: grid; grid-template-columns: minmax(0, 1fr); gap: 0.9rem; }
header { display: flex; align-items: baseline; gap: 1.2rem; }
header a { display: inline-grid; align-items: center; min-height: 44px; color: var(--leaf); text-decoration: underline; }
.scrolls { position: relative; overflow-x: auto; min-width: 0; }
table { width: 100%; border-collapse: separate; border-spacing: 0; }
th, td { padding: 0.4rem 0.9rem; text-align: left; vertical-align: top; border-top: 1px solid var(--line); }
thead th, thead td { border: 0; padding-block: 0.8rem; width: 38%; }
thead td { width: 24%; }
tbody th { font-weight: 400; color: var(--ink-2); }
.pick { width: 100%; margin-bottom: 0.5rem; }
.less { color: var(--leaf); font-weight: 700; }
.reason { display: block; font-size: 0.95rem; font-weight: 400; }
thead svg { max-width: 26rem; }
@media (max-width: 640px) { th, td { padding-inline: 0.5rem; } table { min-width: 34rem; } }
</style>
