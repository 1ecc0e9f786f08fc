<script setup lang="ts">
import type { BarrelId, Fitting, TurnedEnd } from '#core/barrel'
import type { Defect } from '#core/defects'

/** A pen side on and to scale, tip at the left: bushings, barrels, tubes, diameters above the ends, defects where they are. */
const props = withDefaults(defineProps<{
  fitting: Fitting
  colour: string
  size?: 'row' | 'work' | 'head'
  ends?: readonly TurnedEnd[]
  defects?: readonly (Defect & { settled?: unknown })[]
  resin?: boolean
  /** A place that is being chosen. */
  place?: { barrel: BarrelId, fromTip: number } | null
  label: string
}>(), { size: 'row', ends: () => [], defects: () => [], resin: false, place: null })
const emit = defineEmits<{ pick: [place: { barrel: BarrelId, fromTip: number }] }>()

const { units } = storeToRefs(useWorkshop())
/** The greatest height of the drawing in each size. */
const MOST = { row: '46px', work: '46px', head: '92px' }
/** Half the size of a defect's mark, mm: alike on the screen in every size. */
const half = computed(() => props.size === 'head' ? 1.2 : 2)
const id = useId()
const strip = computed(() => layStrip(props.fitting))
const y = computed(() => strip.value.height / 2)
const percent = (mm: number) => `${100 * mm / strip.value.width}%`
const xOf = (barrel: BarrelId, fromTip: number) => strip.value.barrels.find(laid => laid.barrel.id === barrel)!.x + fromTip

const marks = computed(() => props.ends.map((end) => {
  const laid = strip.value.barrels.find(one => one.barrel.id === end.barrel)!
  return { end, x: end.end === 'tip' ? laid.x : laid.x + laid.barrel.tubeLength }
}))
const proudWords = (end: TurnedEnd) => Math.abs(end.proud) < 0.005 ? 'flush' : `${units.value.length(Math.abs(end.proud))} ${end.proud < 0 ? 'under' : 'proud'}`

function pick(event: MouseEvent) {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const place = placeAt(strip.value, (event.clientX - box.left) / box.width * strip.value.width)
  if (place) emit('pick', place)
}
</script>

<template>
  <div class="mandrel" :class="{ marked: marks.length }" :style="{ '--ratio': strip.width / strip.height, '--most': MOST[size] }">
    <div v-if="marks.length" class="marks figures">
      <div v-for="{ end, x } in marks" :key="`${end.barrel}${end.end}`" :class="end.end" :style="{ left: percent(x) }">
        <FigureOpen :figure="end.diameter"><b>{{ units.length(end.diameter.value) }}</b></FigureOpen>
        <span class="quiet">{{ proudWords(end) }}</span>
      </div>
    </div>
    <svg :viewBox="`0 0 ${strip.width} ${strip.height}`" role="img" :aria-label="label" @click="pick">
      <defs>
        <linearGradient :id="`${id}round`" x1="0" x2="0" y1="0" y2="1">
          <stop offset="0" stop-color="#fff" stop-opacity="0.05" />
          <stop offset="0.28" stop-color="#fff" stop-opacity="0.34" />
          <stop offset="0.5" stop-color="#fff" stop-opacity="0.04" />
          <stop offset="1" stop-color="#000" stop-opacity="0.34" />
        </linearGradient>
        <clipPath v-for="laid in strip.barrels" :id="`${id}${laid.barrel.id}`" :key="laid.barrel.id"><path :d="outline(laid, y)" /></clipPath>
      </defs>
      <rect x="0" :y="y - 1.6" :width="strip.width" height="3.2" class="steel" />
      <rect x="0" :y="y - 1.6" :width="strip.width" height="1.2" class="steel-light" />
      <g v-for="bushing in strip.bushings" :key="bushing.x">
        <rect :x="bushing.x" :y="y - bushing.diameter / 2" :width="bushing.width" :height="bushing.diameter" class="steel" />
        <rect :x="bushing.x" :y="y - bushing.diameter / 2" :width="bushing.width" :height="bushing.diameter * 0.3" class="steel-light" />
      </g>
      <g v-for="laid in strip.barrels" :key="laid.barrel.id">
        <path :d="outline(laid, y)" :fill="colour" />
        <g v-if="!resin" :clip-path="`url(#${id}${laid.barrel.id})`"><path v-for="line in grainLines(laid, y)" :key="line" :d="line" class="grain" /></g>
        <path :d="outline(laid, y)" :fill="`url(#${id}round)`" />
        <path v-for="side in [-1, 1]" :key="side" :d="`M${laid.x} ${y + side * laid.barrel.tubeOuter / 2}h${laid.barrel.tubeLength}`" class="tube" />
      </g>
      <g v-for="defect in defects" :key="defect.id" :class="['fault', { settled: defect.settled }]" :transform="`translate(${xOf(defect.barrel, defect.fromTip)} ${y})`">
        <path :d="`M0-${half} ${half} 0 0 ${half}-${half} 0Z`" />
      </g>
      <path v-if="place" :d="`M${xOf(place.barrel, place.fromTip)} 0v${strip.height}`" class="place" />
    </svg>
  </div>
</template>

<style scoped>
.mandrel { position: relative; width: 100%; max-width: calc(var(--most) * var(--ratio)); margin-inline: auto; }
svg { display: block; width: 100%; aspect-ratio: var(--ratio); overflow: visible; }
.steel { fill: var(--steel); }
.steel-light { fill: var(--steel-light); }
.grain { fill: none; stroke: #2a1608; stroke-opacity: 0.28; stroke-width: 0.16; }
.tube { fill: none; stroke: var(--brass); stroke-width: 0.16; stroke-dasharray: 1 0.7; opacity: 0.9; }
.fault path { fill: var(--brick); stroke: var(--surface); stroke-width: 0.5; }
.fault.settled path { fill: none; stroke: var(--brick); }
.place { stroke: var(--ink); stroke-width: 0.5; stroke-dasharray: 1.5 1; }
.marks { height: 3.6rem; }
.marks > div { position: absolute; top: 0; display: grid; height: 3.6rem; align-content: end; padding-bottom: 0.9rem; line-height: 1.25; white-space: nowrap; }
.marks > div::after { content: ""; position: absolute; bottom: -4px; height: 1rem; width: 0; border-left: 2px solid var(--ink-2); }
.marks .tip { justify-items: start; }
.marks .tip::after { left: 0; }
.marks .clip { transform: translateX(-100%); justify-items: end; text-align: right; }
.marks .clip::after { right: 0; }
.marks span { font-size: 0.85rem; }
/* On a phone there is no room for all above: the clip ends stand below. */
@media (max-width: 640px) {
  .marked { padding-bottom: 3.6rem; }
  .marks .clip { top: auto; bottom: 0; align-content: start; padding: 0.9rem 0 0; }
  .marks .clip::after { bottom: auto; top: -4px; }
}
</style>
