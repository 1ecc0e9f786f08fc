<script setup lang="ts">
import { must } from '#core/sure'
import type { SizedEnd } from '#core/plan'
import {
  barrelNames, grainLines, layStrip, meeting, outline, placeAt, pointOf, type BarrelId, type End, type Fitting, type Shape, type StripPlace,
} from '#core/barrel'
import type { Defect } from '#core/defects'

/** A pen side on and to scale, tip at the left: bushings, barrels, tubes, diameters above the ends, defects where they are. */
const props = withDefaults(
  defineProps<{
    fitting: Fitting
    colour: string
    size?: 'row' | 'work' | 'head'
    shapes?: Partial<Record<BarrelId, Shape>>
    ends?: readonly SizedEnd[]
    /** Diameters as measured, with how they will end; the latest at each place. */
    measured?: readonly { barrel: BarrelId, fromTip: number, diameter: number, meets: string, says: string }[]
    /** Whether the ends can be dragged up and down. */
    live?: boolean
    defects?: readonly (Defect & { status?: string })[]
    resin?: boolean
    /** A place that is being chosen. */
    place?: { barrel: BarrelId, fromTip: number, around?: number } | null
    label: string
  }>(),
  { size: 'row', shapes: () => ({}), ends: () => [], measured: () => [], live: false, defects: () => [], resin: false, place: null },
)
const emit = defineEmits<{ pick: [place: StripPlace], turn: [end: { barrel: BarrelId, end: End, diameter: number }] }>()

const { units } = storeToRefs(useWorkshop())
/** The greatest height of the drawing in each size. */
const MOST = { row: '46px', work: '46px', head: '92px' }
/** Half the size of a defect's mark, mm: alike on the screen in every size. */
const half = computed(() => (props.size === 'head' ? 1.2 : 2))
const id = useId()
const strip = computed(() => layStrip(props.fitting, props.shapes))
const y = computed(() => strip.value.height / 2)
const percent = (mm: number) => `${(100 * mm) / strip.value.width}%`
const spot = (place: { barrel: BarrelId, fromTip: number, around?: number }) => pointOf(strip.value, place)
const laidOf = (barrel: BarrelId) =>
  must(strip.value.barrels.find(laid => laid.barrel.id === barrel), 'the barrels drawn are those of the fitting')
const xOf = (barrel: BarrelId, fromTip: number) => laidOf(barrel).x + fromTip

const marks = computed(() =>
  props.ends.map((end) => {
    const laid = laidOf(end.barrel)
    return { end, x: end.end === 'tip' ? laid.x : laid.x + laid.barrel.tubeLength }
  }),
)
const proudWords = (end: SizedEnd) =>
  Math.abs(end.proud) < 0.005 ? 'flush' : `${units.value.length(Math.abs(end.proud))} ${end.proud < 0 ? 'under' : 'proud'}`
/**
 * What stands below the diameter: how it was measured to end, how one's own diameter will end, or how far the figure lies from the
 * metal.
 */
function meets(end: SizedEnd): { says: string, off: boolean } {
  const at = end.end === 'tip' ? 0 : laidOf(end.barrel).barrel.tubeLength
  const found = props.measured.findLast(one => one.barrel === end.barrel && Math.abs(one.fromTip - at) <= 1)
  if (found) return { says: `now ${units.value.length(found.diameter)}: ${found.meets}`, off: found.meets !== 'flush' }
  if (end.own === undefined) return { says: proudWords(end), off: false }
  const way = meeting(end.over)
  return { says: way === 'flush' ? 'ends flush' : `ends ${units.value.length(Math.abs(end.over))} ${way}`, off: way !== 'flush' }
}

/** A pixel of dragging is this much on the diameter, mm; an arrow key as much. */
const FINE = 0.01
const dragged = ref<{ key: string, from: number, diameter: number }>()
const keyOf = (end: SizedEnd) => `${end.barrel} ${end.end}`
const turnedTo = (end: SizedEnd) => end.own ?? end.diameter.value
function turn(end: SizedEnd, diameter: number) {
  emit('turn', { barrel: end.barrel, end: end.end, diameter: Math.max(0.1, Math.round(diameter * 1000) / 1000) })
}
function grab(event: PointerEvent, end: SizedEnd) {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  dragged.value = { key: keyOf(end), from: event.clientY, diameter: turnedTo(end) }
}
function drag(event: PointerEvent, end: SizedEnd) {
  if (dragged.value?.key === keyOf(end)) turn(end, dragged.value.diameter + (dragged.value.from - event.clientY) * FINE)
}
function nudge(event: KeyboardEvent, end: SizedEnd) {
  const by = { ArrowUp: FINE, ArrowDown: -FINE, PageUp: 0.1, PageDown: -0.1 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  turn(end, turnedTo(end) + by)
}

function pick(event: MouseEvent) {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const place = placeAt(
    strip.value,
    ((event.clientX - box.left) / box.width) * strip.value.width,
    ((event.clientY - box.top) / box.height) * strip.value.height,
  )
  if (place) emit('pick', place)
}
</script>

<template>
  <div class="mandrel" :class="{ marked: marks.length }" :style="{ '--ratio': strip.width / strip.height, '--most': MOST[size] }">
    <div v-if="marks.length" class="marks figures">
      <div v-for="{ end, x } in marks" :key="`${end.barrel}${end.end}`" :class="end.end" :style="{ left: percent(x) }">
        <FigureOpen :figure="end.diameter"><b>{{ units.length(turnedTo(end)) }}</b></FigureOpen>
        <span :class="meets(end).off ? 'harm' : 'quiet'">{{ meets(end).says }}</span>
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
        <clipPath v-for="laid in strip.barrels" :id="`${id}${laid.barrel.id}`" :key="laid.barrel.id">
          <path :d="outline(laid, y)" />
        </clipPath>
      </defs>
      <rect x="0" :y="y - 1.6" :width="strip.width" height="3.2" class="steel" />
      <rect x="0" :y="y - 1.6" :width="strip.width" height="1.2" class="steel-light" />
      <g v-for="bushing in strip.bushings" :key="bushing.x">
        <rect :x="bushing.x" :y="y - bushing.diameter / 2" :width="bushing.width" :height="bushing.diameter" class="steel" />
        <rect :x="bushing.x" :y="y - bushing.diameter / 2" :width="bushing.width" :height="bushing.diameter * 0.3" class="steel-light" />
      </g>
      <g v-for="laid in strip.barrels" :key="laid.barrel.id">
        <path :d="outline(laid, y)" :fill="colour" />
        <g v-if="!resin" :clip-path="`url(#${id}${laid.barrel.id})`">
          <path v-for="line in grainLines(laid, y)" :key="line" :d="line" class="grain" />
        </g>
        <path :d="outline(laid, y)" :fill="`url(#${id}round)`" />
        <path
          v-for="side in [-1, 1]" :key="side" :d="`M${laid.x} ${y + side * laid.barrel.tubeOuter / 2}h${laid.barrel.tubeLength}`"
          class="tube"
        />
      </g>
      <g
        v-for="defect in defects" :key="defect.id"
        :class="['fault', { settled: defect.status === 'mended' || defect.status === 'left', far: spot(defect).far }]"
        :transform="`translate(${spot(defect).x} ${spot(defect).y})`"
      >
        <path :d="`M0-${half} ${half} 0 0 ${half}-${half} 0Z`" />
      </g>
      <path
        v-for="one in measured" :key="`${one.barrel}${one.fromTip}`"
        :d="`M${xOf(one.barrel, one.fromTip)} ${y - one.diameter / 2 - 0.6}v${one.diameter + 1.2}`" class="measured"
      >
        <title>{{ one.says }}</title>
      </path>
      <path v-if="place" :d="`M${xOf(place.barrel, place.fromTip)} 0v${strip.height}`" class="place" />
      <circle v-if="place?.around !== undefined" :cx="spot(place).x" :cy="spot(place).y" r="1" class="place" />
    </svg>
    <template v-if="live">
      <button
        v-for="{ end, x } in marks" :key="keyOf(end)" type="button" class="handle"
        :class="[end.end, { dragged: dragged?.key === keyOf(end) }]" :style="{ left: percent(x) }" role="slider"
        aria-orientation="vertical" :aria-label="`Turn the ${end.end} end of the ${barrelNames[end.barrel]} to`"
        :aria-valuenow="Math.round(turnedTo(end) * 1000) / 1000" :aria-valuemin="0" :aria-valuemax="40"
        :aria-valuetext="`${units.length(turnedTo(end))}, ${meets(end).says}`" title="Drag up or down; arrow keys turn by a hundredth"
        @pointerdown="grab($event, end)" @pointermove="drag($event, end)" @pointerup="dragged = undefined"
        @pointercancel="dragged = undefined" @keydown="nudge($event, end)"
      >
        <i aria-hidden="true" />
      </button>
    </template>
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
.fault.far path { fill: var(--surface); stroke: var(--brick); stroke-dasharray: 0.8 0.6; }
/* The hand that turns an end: a small double arrow on the joint, with room for a finger round it. */
.handle {
  position: absolute;
  bottom: 0;
  width: 44px;
  height: 100%;
  max-height: 92px;
  padding: 0;
  cursor: ns-resize;
  touch-action: none;
  display: grid;
  align-items: end;
  justify-items: center;
}
.handle.tip { transform: translateX(-4px); justify-items: start; }
.handle.clip { transform: translateX(calc(-100% + 4px)); justify-items: end; }
.handle i {
  width: 10px;
  height: 30px;
  margin-bottom: calc(50% - 4px);
  border-radius: 5px;
  border: 2px solid var(--surface);
  background: var(--ink);
  opacity: 0.75;
}
.handle:hover i, .handle:focus-visible i, .handle.dragged i { opacity: 1; background: var(--leaf); }
.measured { stroke: var(--ink); stroke-width: 0.35; }
.place { stroke: var(--ink); stroke-width: 0.5; stroke-dasharray: 1.5 1; }
.marks { height: 3.6rem; }
.marks > div {
  position: absolute;
  top: 0;
  display: grid;
  height: 3.6rem;
  align-content: end;
  padding-bottom: 0.9rem;
  line-height: 1.25;
  white-space: nowrap;
}
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
  .handle { bottom: 3.6rem; max-height: 60px; }
  .handle i { height: 22px; margin-bottom: 4px; }
}
</style>
