<script setup lang="ts">
import { barrelNames } from '#core/barrel'
import { endsOf } from '#core/plan'
import { capital, formatSpan } from '#core/format'
import { cautionsFor } from '#reference'

/** Everything for the saw, the drill and the lathe on one page, to pin up beside them. */
const store = usePen()
const { pen, plan, traced } = storeToRefs(store)
const stock = useStock()
const { units, workshop } = storeToRefs(useWorkshop())
const ends = computed(() => (traced.value ? endsOf(traced.value.size) : []))
const story = computed(() => stock.blank(pen.value?.blank ?? null)?.origin)
const cautions = computed(() => [
  ...new Set(
    (plan.value?.steps ?? [])
      .filter(step => ['cut', 'drill', 'tube', 'turn'].includes(step.kind))
      .flatMap(step => cautionsFor(step, plan.value?.inputs.material, workshop.value?.cautions).map(one => one.short)),
  ),
])
const wait = computed(() => traced.value?.steps.find(one => one.step.kind === 'square')?.wait?.length)
const glue = computed(() => {
  const step = plan.value?.steps.find(one => one.kind === 'tube')
  return step?.kind === 'tube' ? `${step.product?.name ?? 'glue'}${step.accelerated ? ', with accelerator' : ''}` : ''
})
const print = () => window.print()
</script>

<template>
  <div v-if="pen && plan && traced" class="card figures">
    <p class="no-print ways">
      <NuxtLink class="key" :to="`/pens/${pen.id}`">Back to the plan</NuxtLink>
      <NuxtLink class="key" :to="`/pens/${pen.id}/papers`">All its papers</NuxtLink>
      <button type="button" class="key next" @click="print">Print this card</button>
    </p>
    <article class="paper" aria-label="Cut and drill card">
      <header>
        <PenTag :mark="pen.mark" size="head" />
        <div>
          <h1>{{ pen.name }}</h1>
          <p>
            {{ plan.inputs.fitting.name }} ·
            {{ plan.inputs.material.name }}<template v-if="plan.inputs.blank">, from the blank “{{ plan.inputs.blank.name }}”</template>
          </p>
        </div>
      </header>
      <BarrelStick
        :stick="traced.stick" :mark="pen.mark" :colour="plan.inputs.material.colour" :section="traced.size.section.value" drilled
        label="The stick to scale: lengths, cuts in their order, witness mark, and from where it is drilled"
      />
      <h2>Cut</h2>
      <ol>
        <li>
          Mark the line and <b>{{ pen.mark }}</b>
          {{
            traced.stick.pieces.length > 1
              ? `across the stick ${units.length(traced.stick.witness, 1)} from its tip end, on both sides of the cut to come`
              : 'at its tip end'
          }}.
        </li>
        <li v-for="(cut, index) in traced.stick.cuts" :key="index">
          {{
            cut.what === 'off'
              ? `Cut the pen’s stick off at ${units.length(cut.at, 1)}.`
              : `Cut it in two at ${units.length(cut.at, 1)}, through the mark.`
          }}
        </li>
      </ol>
      <table>
        <thead>
          <tr>
            <td />
            <th v-for="one in traced.size.barrels" :key="one.barrel.id" scope="col">{{ capital(barrelNames[one.barrel.id]) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">Cut length</th>
            <td v-for="piece in traced.stick.pieces" :key="piece.barrel">{{ units.length(piece.length.value, 1) }}</td>
          </tr>
          <tr>
            <th scope="row">Square, {{ units.length(traced.size.square.value, 1) }}; at least</th>
            <td v-for="one in traced.size.barrels" :key="one.barrel.id">
              {{ units.length(one.section.side.value, 1) }}, {{ units.length(one.section.overCorners, 1) }} over the corners
            </td>
          </tr>
          <tr>
            <th scope="row">Bit</th>
            <td v-for="one in traced.size.barrels" :key="one.barrel.id">{{ units.length(one.drilling.bit.value) }}</td>
          </tr>
          <tr>
            <th scope="row">Speed</th>
            <td v-for="one in traced.size.barrels" :key="one.barrel.id">
              {{ one.drilling.slow.value }} to {{ one.drilling.fast.value }} rev/min
            </td>
          </tr>
          <tr>
            <th scope="row">Depth, bites</th>
            <td v-for="one in traced.size.barrels" :key="one.barrel.id">
              {{ units.length(one.drilling.depth.value, 1) }} in {{ one.drilling.bites }} bites, clear the bit after each
            </td>
          </tr>
          <tr><th scope="row">From</th><td v-for="one in traced.size.barrels" :key="one.barrel.id">{{ one.drilling.from }}</td></tr>
          <tr>
            <th scope="row">Tube</th>
            <td v-for="one in traced.size.barrels" :key="one.barrel.id">
              {{ units.length(one.barrel.tubeLength, 1) }}, {{ units.length(one.glue.play.value) }} of play
            </td>
          </tr>
          <tr>
            <th scope="row">Turn to, tip end</th>
            <td v-for="one in traced.size.barrels" :key="one.barrel.id">
              <b>{{ units.length(one.ends[0]!.own ?? one.ends[0]!.diameter.value) }}</b>
              <template v-if="one.ends[0]!.bushing"> (bushing {{ units.length(one.ends[0]!.bushing.measured.value) }})</template>
            </td>
          </tr>
          <tr>
            <th scope="row">Turn to, clip end</th>
            <td v-for="one in traced.size.barrels" :key="one.barrel.id">
              <b>{{ units.length(one.ends[1]!.own ?? one.ends[1]!.diameter.value) }}</b>
              <template v-if="one.ends[1]!.bushing"> (bushing {{ units.length(one.ends[1]!.bushing.measured.value) }})</template>
            </td>
          </tr>
        </tbody>
      </table>
      <p>
        Glue: {{ glue }}<template v-if="wait">; square the ends after {{ formatSpan(wait.value) }} in this air</template>. Metal at the
        ends: {{ ends.map(end => units.length(end.metal.value)).join(' · ') }}.
      </p>
      <p v-if="story" class="story">{{ story }}</p>
      <ul class="cautions">
        <li v-for="caution in cautions" :key="caution">◆ {{ caution }}</li>
        <li>The product’s label, its safety data sheet and local rules stand above this card.</li>
      </ul>
    </article>
  </div>
</template>

<style scoped>
.card { display: grid; gap: 0.8rem; }
.ways { display: flex; gap: 0.75rem; flex-wrap: wrap; }
.paper {
  display: grid;
  gap: 0.8rem;
  padding: 1.4rem 1.6rem;
  max-width: 60rem;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: 8px;
}
header { display: flex; gap: 1.1rem; align-items: center; }
h1 { font-size: 1.6rem; }
ol { list-style: decimal; padding-left: 1.4rem; }
table { border-collapse: collapse; width: 100%; }
th, td { padding: 0.35rem 0.8rem 0.35rem 0; text-align: left; border-bottom: 1px solid var(--line); vertical-align: baseline; }
tbody th { font-weight: 500; color: var(--ink-2); }
.story { white-space: pre-line; font-style: italic; color: var(--ink-2); }
.cautions { display: grid; gap: 0.2rem; color: var(--brick); font-size: 0.95rem; }
.cautions li:last-child { color: var(--ink-2); }
@media print {
  @page { size: A4; margin: 14mm; }
  .paper { border: 0; padding: 0; max-width: none; gap: 0.35rem; background: none; font-size: 10.5pt; line-height: 1.3; }
  .paper :deep(svg) { max-height: 7rem; }
  h1 { font-size: 1.3rem; }
  h2 { font-size: 1.05rem; }
  th, td { padding-block: 0.12rem; }
  .cautions { font-size: 9pt; }
}
@media (max-width: 560px) { .paper { padding: 1rem; } th, td { padding-right: 0.5rem; font-size: 0.92rem; } }
</style>
