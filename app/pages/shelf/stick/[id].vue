<script setup lang="ts">
import { assemblyOf, barrelNames, cutSticks, storyStick, usualCut } from '#core/barrel'

/** A story stick and an assembly board for one fitting, printed at full size: where to cut, and what goes where. */
const route = useRoute()
const stock = useStock()
const workshop = useWorkshop()
const { units } = storeToRefs(workshop)
const { failed, loaded, again } = useLoad(() => stock.load())
const fitting = computed(() => stock.fitting(String(route.params.id))?.fitting)
useHead({ title: computed(() => `${fitting.value?.name ?? 'Story stick'} · Oxlip`) })

const stick = computed(() =>
  fitting.value && cutSticks(fitting.value, usualCut(false, { perEnd: workshop.workshop?.perEnd, kerf: workshop.workshop?.kerf })))
const marks = computed(() => (fitting.value && stick.value ? storyStick(fitting.value, stick.value) : []))
const MARGIN = 4
const length = computed(() => (stick.value?.total.value ?? 0) + 2 * MARGIN)
/** Words under one another, so that marks that lie close do not write over each other. */
const rows = computed(() => marks.value.map((mark, index) => ({ ...mark, x: MARGIN + mark.at, y: 22 + 4 * index })))
const height = computed(() => 24 + 4 * marks.value.length)

const parts = computed(() => (fitting.value ? assemblyOf(fitting.value) : []))
const GAP = 10
const barrels = computed(() => {
  let from = MARGIN
  return (fitting.value?.barrels ?? []).map((one) => {
    const drawn = { ...one, from }
    from += one.tubeLength + GAP
    return drawn
  })
})
const board = computed(() => barrels.value.reduce((sum, one) => sum + one.tubeLength + GAP, 2 * MARGIN))
const shape = ({ from, tubeLength, tipEnd, clipEnd }: (typeof barrels.value)[number]) =>
  `M${from} ${9 - tipEnd / 2}L${from + tubeLength} ${9 - clipEnd / 2}v${clipEnd}L${from} ${9 + tipEnd / 2}z`
const print = () => window.print()
/** Drawings that can be saved. */
const marked = useTemplateRef('marked')
const laid = useTemplateRef('laid')
</script>

<template>
  <ShellTrouble v-if="failed && !loaded" :refused="failed" @again="again" />
  <div v-else-if="fitting && stick" class="story figures">
    <p class="no-print ways">
      <NuxtLink class="key" :to="`/shelf/fittings/${fitting.id}`">Back to the fitting</NuxtLink>
      <button type="button" class="key next" @click="print">Print at full size</button>
      <FieldSaveSvg :within="marked" :name="`stick-${fitting.id}`" label="Save the stick" />
      <FieldSaveSvg :within="laid" :name="`barrels-${fitting.id}`" label="Save the barrels" />
    </p>
    <p class="no-print quiet">Print without “fit to page”, then measure the 50 mm line: it has to be 50 mm long.</p>
    <article class="paper" aria-label="Story stick" tabindex="0">
      <h1>{{ fitting.name }}</h1>
      <div ref="marked">
        <svg
          :width="`${length}mm`" :height="`${height}mm`" :viewBox="`0 0 ${length} ${height}`" role="img" aria-label="The stick at full size"
        >
          <rect :x="MARGIN" y="4" :width="stick.total.value" height="14" class="wood" />
          <path v-for="(mark, index) in rows" :key="`line${index}`" :class="mark.is" :d="`M${mark.x} 2V${mark.y}`" />
          <text
            v-for="(mark, index) in rows" :key="index" :x="mark.x + (mark.x < length / 2 ? 1 : -1)" :y="mark.y"
            :text-anchor="mark.x < length / 2 ? 'start' : 'end'"
          >
            {{ units.length(mark.at, 1) }} {{ mark.says }}
          </text>
        </svg>
      </div>
      <h2>What goes where</h2>
      <div ref="laid">
        <svg
          :width="`${board}mm`" height="22mm" :viewBox="`0 0 ${board} 22`" role="img" aria-label="The barrels at full size, tip at the left"
        >
          <g v-for="one in barrels" :key="one.id">
            <path class="wood" :d="shape(one)" />
            <text :x="one.from" y="21">{{ barrelNames[one.id] }}</text>
          </g>
        </svg>
      </div>
      <ol>
        <li v-for="part in parts" :key="part.name">
          <b>{{ part.name }}</b>{{ part.into ? `: ${barrelNames[part.into.barrel]}, ${part.into.end} end` : '' }}{{
            part.tries ? '; to just short of its ring, then try' : '' }}
        </li>
      </ol>
      <svg width="54mm" height="7mm" viewBox="0 0 54 7" role="img" aria-label="A line of 50 mm, to check the print">
        <path d="M2 1v4M2 3h50M52 1v4" class="check" /><text x="4" y="6.6">50 mm</text>
      </svg>
    </article>
  </div>
  <p v-else-if="loaded" class="quiet">
    No such fitting is on the shelf. <NuxtLink class="way" to="/shelf/fittings">Look at the fittings</NuxtLink>
  </p>
</template>

<style scoped>
.story { display: grid; gap: 0.8rem; }
.ways { display: flex; flex-wrap: wrap; gap: 0.6rem; }
.paper { display: grid; gap: 0.8rem; padding: 1rem 1.2rem; overflow-x: auto; background: #fff; color: #000; }
svg { display: block; }
path { fill: none; stroke: #000; stroke-width: 0.25; }
.wood { fill: #f3ede0; stroke: #000; stroke-width: 0.25; }
.cut { stroke-width: 0.5; }
.tube { stroke-dasharray: 1.2 0.8; }
.witness { stroke-width: 0.7; }
/* Words stand on their own ground, not across lines. */
text { font: 400 2.9px var(--font-sans); fill: #000; stroke: #fff; stroke-width: 1.2px; paint-order: stroke; }
.way { text-decoration: underline; }
@media print { .no-print { display: none; } .paper { padding: 0; } }
</style>
